<script setup lang="ts">
import { formatLength, parseLength, unitSystemOf } from '#core/units'
import { countStates, gistOfJob, type CountRecord, type JobRecord } from '#core/record'
import { speak } from '#core/speech'

/** Small parts counted out before the work and back after it; one too many names the joints that may lack it. */
const props = defineProps<{ job: JobRecord }>()
const open = defineModel<boolean>('open', { required: true })
const store = useJobStore()
const narrow = useNarrow()
const states = computed(() => countStates(gistOfJob(props.job)))
const problem = ref<string | null>(null)

function set(item: string, unit: string, changes: Partial<Pick<CountRecord, 'out' | 'back'>>) {
  const { out = 0, back = null } = props.job.counts.find((one) => one.item === item) ?? {}
  const after = { item, out, back, ...changes }
  if (after.back !== null && after.back > after.out) {
    problem.value = `${amount(unit, after.back)} of ${item} came back, ${amount(unit, after.out)} went out. Count again.`
    return
  }
  const answer = store.do(props.job.slug, 'kit/count', null, after)
  problem.value = answer.ok ? null : answer.error.message
}
const system = computed(() => unitSystemOf(props.job.region))
/** Wire is counted by its length, all else by the piece. */
function read(unit: string, text: string): { value: number | null; problem: string | null } {
  if (text.trim() === '') return { value: null, problem: null }
  if (unit === 'mm') {
    const length = parseLength(text, system.value, 'wire')
    return length.ok ? { value: length.value.mm, problem: null } : { value: null, problem: length.error.message }
  }
  return /^\d+$/.test(text.trim()) && Number(text) <= 10_000
    ? { value: Number(text), problem: null }
    : { value: null, problem: 'A whole number to 10,000.' }
}
const out = (item: string, unit: string, text: string) => set(item, unit, { out: read(unit, text).value ?? 0 })
const back = (item: string, unit: string, text: string) => set(item, unit, { back: read(unit, text).value })
function amount(unit: string, value: number | null | undefined): string {
  if (value === null || value === undefined) return ''
  return unit === 'mm' ? formatLength(value, system.value) : String(value)
}
</script>

<template>
  <FrameSheet
    v-model:open="open"
    :side="narrow ? 'bottom' : 'right'"
    title="Counted out, counted back"
    description="Rings, liners and the like: one too many left over means that a joint lacks it."
    :ui="{ content: narrow ? '' : 'max-w-[620px]' }">
    <template #body>
      <p v-if="states.length === 0" class="note">No joint of this job takes a part that is counted.</p>
      <table v-else class="counts">
        <thead>
          <tr>
            <th class="l">part</th>
            <th>wanted</th>
            <th>out</th>
            <th>back</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="state in states" :key="state.need.item">
            <tr :data-count="state.need.item">
              <td class="l t17">{{ speak(state.need.item, job.region) }}</td>
              <td>
                {{ amount(state.need.unit, state.need.made + state.need.open)
                }}<span class="note t13"> ({{ amount(state.need.unit, state.need.made) }} made)</span>
              </td>
              <td>
                <KeptField
                  class="w7"
                  :value="amount(state.need.unit, state.count?.out)"
                  :inputmode="state.need.unit === 'mm' ? 'text' : 'numeric'"
                  maxlength="20"
                  :check="(text) => read(state.need.unit, text).problem"
                  :aria-label="`${state.need.item} counted out`"
                  data-out
                  @keep="(text) => out(state.need.item, state.need.unit, text)" />
              </td>
              <td>
                <KeptField
                  class="w7"
                  :value="amount(state.need.unit, state.count?.back)"
                  :inputmode="state.need.unit === 'mm' ? 'text' : 'numeric'"
                  maxlength="20"
                  :check="(text) => read(state.need.unit, text).problem"
                  :disabled="!state.count"
                  :aria-label="`${state.need.item} counted back`"
                  data-back
                  @keep="(text) => back(state.need.item, state.need.unit, text)" />
              </td>
            </tr>
            <tr v-if="state.count?.back !== null && state.count">
              <td colspan="4" class="l verdict">
                <p v-if="state.over > 0" class="ochre flex gap-2" data-test="too-many">
                  <StatusShape status="held" :size="16" class="mt-[3px] flex-none" /> {{ ' ' }}
                  <span
                    >{{
                      state.need.unit === 'mm'
                        ? `${amount('mm', state.over)} less was fed than the rule of the trade.`
                        : `${state.over} too many came back.`
                    }}<template v-if="state.doubted.length">
                      Look at
                      <NuxtLink
                        v-for="(joint, i) in state.doubted"
                        :key="joint.id"
                        :to="{ query: { joint: joint.id } }"
                        class="underline"
                        @click="open = false"
                        >{{ i ? ', ' : '' }}J{{ joint.number }}</NuxtLink
                      >: one may be missing there.</template
                    ><template v-else> Every joint was looked at and has it.</template></span
                  >
                </p>
                <p v-else-if="state.spoilt > 0" class="note">{{ state.spoilt }} spoilt or lost.</p>
                <p v-else class="verd flex gap-2">
                  <StatusShape status="made" :size="14" class="mt-[3px] flex-none" /> The count closes.
                </p>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
      <p v-if="problem" class="brick t15 mt-2" role="status">{{ problem }}</p>
      <p class="note t13 mt-3">
        Out before the first joint, back after the last. Wire is fed by eye: only less than half of the rule tells of a
        joint. Paste, tape and cement are not counted.
      </p>
    </template>
  </FrameSheet>
</template>

<style scoped>
.counts {
  width: 100%;
  border-collapse: collapse;
}
.counts th {
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
  text-align: right;
  border-bottom: 1px solid var(--rule);
}
.counts td {
  text-align: right;
  padding: 6px 0 6px 14px;
  vertical-align: baseline;
}
.counts .l {
  text-align: left;
  padding-left: 0;
}
.counts td:nth-child(3),
.counts td:nth-child(4) {
  width: 92px;
}
.verdict {
  border-bottom: 1px solid var(--hair);
  font-size: 15px;
}
</style>
