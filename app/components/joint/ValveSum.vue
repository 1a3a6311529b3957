<script setup lang="ts">
import { getPipe, turnReach, valveBody } from '#core/catalogue'
import { faceToFace, isLoose, takeOutAt, type Way } from '#core/joints'
import type { JointBody } from '#core/record'
import { formatDecimal, type UnitSystem } from '#core/units'
import { readLengthField } from '~/reading/length-field'
import { tapeText } from '~/reading/tape'
import { rangeText, tapeWords, unitOf } from '~/reading/format'

/** What a valve takes out of the pipe and how long it is over all, with what it weighs and how far it is turned. */
const props = defineProps<{ way: Way; valve: JointBody['valve']; system: UnitSystem; isSigned: boolean }>()
const emit = defineEmits<{ change: [valve: JointBody['valve']] }>()

/** The joints at the valve's own mouths: the pair of one method round it, else its threads. */
const mouths = computed(() => {
  // Between each two joints stands one thing, a tail too.
  const at = props.way.parts.filter((part) => !isLoose(part)).findIndex(({ kind }) => kind === 'valve')
  return [props.way.joints[at], props.way.joints[at + 1]] as const
})
const typical = computed(() => {
  const [first, second] = mouths.value
  // Its middle is as far from both stops only where both mouths are of one kind.
  const isAlike = first?.method === second?.method
  return first && isAlike && props.valve.kind ? takeOutAt(props.valve.kind, first) : null
})
const takeOut = computed(() => props.valve.takeOut ?? typical.value?.value ?? null)
const sum = computed(() => {
  const depths = mouths.value.map((joint) => joint?.insertion.value ?? null)
  const [a, b] = depths
  return takeOut.value === null
    ? null
    : { ...faceToFace(takeOut.value, [a ?? 0, b ?? 0]), isWhole: a != null && b != null }
})
const body = computed(() => {
  const [first] = mouths.value
  return props.valve.kind && first?.pipe ? valveBody(props.valve.kind, getPipe(first.pipe)) : null
})
const reach = computed(() => {
  const [first] = mouths.value
  return props.valve.kind && first?.pipe ? turnReach(props.valve.kind, getPipe(first.pipe)) : null
})
const problem = (text: string): string | null =>
  text.trim() === '' || readLengthField(text, props.system) ? null : `${text.trim()} what? ${unitOf(props.system)}.`
function set(text: string) {
  const { takeOut: _, ...others } = props.valve
  const mm = text.trim() === '' ? null : readLengthField(text, props.system)
  emit('change', mm ? { ...others, takeOut: mm } : others)
}
const words = (mm: number) => tapeWords(mm, props.system)
const whose = computed(() => {
  if (props.valve.takeOut !== undefined) return 'tape, you'
  const { lo, hi } = typical.value ?? { lo: null, hi: null }
  return lo === null || hi === null ? 'measure the valve' : `typical ${rangeText(lo, hi, props.system)}`
})
</script>

<template>
  <section class="mt-3" aria-label="The valve in the pipe" data-test="valve-sum">
    <h3 class="zone-heading">The valve in the pipe</h3>
    <table class="sum">
      <tbody>
        <tr>
          <td>middle to stop</td>
          <td class="v">
            <KeptField
              class="t17 w7 field"
              aria-label="Middle of the valve to its stop"
              :value="valve.takeOut === undefined ? '' : tapeText(valve.takeOut, system)"
              :placeholder="typical?.value == null ? '?' : tapeText(typical.value, system)"
              :check="problem"
              :disabled="isSigned"
              maxlength="16"
              data-valve-take-out
              @keep="set" />
          </td>
          <td class="src">{{ whose }}</td>
        </tr>
        <tr class="sub">
          <td>left out of the pipe</td>
          <td class="v copper w7" data-test="left-out">{{ sum ? words(sum.left) : '?' }}</td>
          <td class="src">stop to stop, twice that</td>
        </tr>
        <tr>
          <td>valve, face to face</td>
          <td class="v">{{ sum && sum.isWhole ? words(sum.overall) : '?' }}</td>
          <td class="src">with both depths</td>
        </tr>
        <tr v-if="body?.turns">
          <td>shut to open</td>
          <td class="v">{{ formatDecimal(body.turns, 2) }}</td>
          <td class="src">turns, typical</td>
        </tr>
        <tr v-if="reach?.value">
          <td>reaches, turned</td>
          <td class="v">{{ words(reach.value) }}</td>
          <td class="src">{{ rangeText(reach.lo ?? 0, reach.hi ?? 0, system) }}, typical</td>
        </tr>
        <tr v-if="body">
          <td>weighs</td>
          <td class="v">
            {{ system === 'inch' ? formatDecimal(body.kg / 0.45359237, 1) : formatDecimal(body.kg, 2) }}
          </td>
          <td class="src">{{ system === 'inch' ? 'lb' : 'kg' }}, typical</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="../line/sum-table.css"></style>
<style scoped>
.v :deep(.field) {
  width: 72px;
  text-align: right;
  border-bottom: 2px solid var(--ink);
}
</style>
