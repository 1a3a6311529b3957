<script setup lang="ts">
import type { Slip } from '#core/making'
import type { JobRecord, JointBody, JointRecord } from '#core/record'
import { MM_PER_INCH, unitSystemOf } from '#core/units'
import { readLengthField } from '~/reading/length-field'
import { rangeText, unitOf } from '~/reading/format'
import { tapeText } from '~/reading/tape'

/**
 * A coupling without a stop: its length, the gap as it is, the pipe it is slid onto, and its three moves. Another gap
 * moves both marks at once.
 */
const props = defineProps<{
  job: JobRecord
  joint: JointRecord
  slip: Slip
  move: 1 | 2 | 3 | null
  isSigned: boolean
}>()
const emit = defineEmits<{ change: [changes: Partial<JointBody>] }>()
const system = computed(() => unitSystemOf(props.job.region))
const text = (mm: number | null) => tapeText(mm, system.value)
const given = (mm: number | null | undefined) => (mm === null || mm === undefined ? '' : text(mm))
const read = (typed: string) => readLengthField(typed, system.value)
const problem = (typed: string) =>
  typed.trim() === '' || read(typed) !== null ? null : `${typed.trim()} what? ${unitOf(system.value)} is accepted.`
function setGap(typed: string) {
  const { gap: _, ...others } = props.joint.conditions
  const gap = typed.trim() === '' ? null : read(typed)
  emit('change', { conditions: gap === null ? others : { ...others, gap } })
}
function setLength(typed: string) {
  const length = typed.trim() === '' ? undefined : (read(typed) ?? undefined)
  emit('change', { slip: { ...props.joint.slip, length: length || undefined } })
}
/** Gaps beside the one there is, each with the mark it gives, mm. */
const STEP_MM = { metric: 2, inch: MM_PER_INCH / 16 } as const
const near = computed(() => {
  const { length, gap, most } = props.slip
  if (length === null || gap === null || most === null) return []
  const step = STEP_MM[system.value]
  const gaps = [gap - 2 * step, gap - step, gap, gap + step, most].filter(
    (one, i, all) => one >= 0 && all.indexOf(one) === i,
  )
  return gaps
    .filter((one) => one <= most)
    .map((one) => ({ gap: one, mark: (length - one) / 2, isNow: one === gap, isMost: one === most }))
})
const isOver = computed(() => props.slip.gap !== null && props.slip.most !== null && props.slip.gap > props.slip.most)
const isStuck = ref(false)
const MOVES = ['All of it on the one pipe', 'Bring the ends in line', 'Slide back to both marks'] as const
/** Where the coupling stands in each move, px of a picture 250 wide: left pipe to 96, right pipe from 140. */
const at = (move: number): number => {
  const parked = props.slip.on === 'a' ? 6 : 150
  return move === 3 ? 74 : parked
}
const ends = (move: number) => (move === 1 ? [96, 156] : [96, 140])
</script>

<template>
  <section class="slip" aria-label="Coupling without a stop" data-test="slip">
    <div class="moves">
      <div v-for="(words, i) in MOVES" :key="words" class="move" :class="{ now: move === i + 1 }">
        <p class="t14 w6">
          {{ i + 1 }}&ensp;{{ words }}{{ i === 1 && slip.gap !== null ? `, ${text(slip.gap)}` : '' }}
        </p>
        <svg viewBox="0 0 250 74" width="100%" height="74" aria-hidden="true">
          <path :d="`M0 26H${ends(i + 1)[0]}V50H0M250 26H${ends(i + 1)[1]}V50H250`" class="l-edge" fill="none" />
          <rect
            :x="at(i + 1)"
            y="19"
            width="88"
            height="38"
            fill="var(--paper)"
            stroke="var(--ink)"
            stroke-width="1.5" />
          <path d="M74 14V62M162 14V62" class="l-sel" />
          <path
            v-if="i === 0"
            :d="slip.on === 'a' ? 'M150 68H106m8 -5l-8 5l8 5' : 'M96 68H140m-8 -5l8 5l-8 5'"
            class="l-sel" />
          <path v-if="i === 1" d="M200 68H156m8 -5l-8 5l8 5" class="l-sel" />
          <path
            v-if="i === 2"
            :d="slip.on === 'a' ? 'M30 68H74m-8 -5l8 5l-8 5' : 'M216 68H172m8 -5l-8 5l8 5'"
            class="l-sel" />
        </svg>
      </div>
    </div>
    <div class="fields">
      <label class="one"
        ><span class="note t14">the gap, as it is</span
        ><KeptField
          class="t20 w7 field"
          :value="given(slip.gap)"
          placeholder="?"
          :check="problem"
          :disabled="isSigned"
          maxlength="16"
          data-test="slip-gap"
          @keep="setGap" /><span class="note t14">{{ unitOf(system) }}</span></label
      >
      <label class="one"
        ><span class="note t14">coupling, end to end</span
        ><KeptField
          class="t17 w7 field"
          :value="given(joint.slip.length)"
          :placeholder="slip.length === null ? '?' : text(slip.length)"
          :check="problem"
          :disabled="isSigned"
          maxlength="16"
          data-test="slip-length"
          @keep="setLength" /><span class="note t13">{{ slip.isOwn ? 'tape, you' : slip.source }}</span></label
      >
      <span class="one" role="group" aria-label="Slid wholly onto"
        ><span class="note t14">slid wholly onto</span
        ><button
          v-for="end in ['a', 'b'] as const"
          :key="end"
          type="button"
          class="choice t14"
          :aria-pressed="slip.on === end"
          :disabled="isSigned"
          :data-slip-on="end"
          @click="emit('change', { slip: { ...joint.slip, on: end } })">
          {{ end === 'a' ? 'the first end' : 'the other end' }}
        </button></span
      >
      <p v-if="isOver" class="brick w6 t15" role="alert" data-test="slip-over">
        The gap is over {{ text(slip.most) }}: it would hold too little. Cut a longer stub, or take a longer coupling.
      </p>
      <p v-else-if="slip.gap === null" class="ochre w6 t15">Measure the gap: the marks depend on it as it really is.</p>
      <p v-else class="t15" data-test="slip-sum">
        ({{ text(slip.length) }} &#8722; {{ text(slip.gap) }}) &#247; 2 = <b class="copper">{{ text(slip.mark) }}</b> on
        both pipes. <span class="note">Gap may be {{ rangeText(0, slip.most ?? 0, system) }}.</span>
      </p>
      <ul v-if="near.length > 1" class="near" aria-label="Marks of other gaps">
        <li v-for="one in near" :key="one.gap" :class="{ now: one.isNow }">
          <span class="note t13">gap {{ text(one.gap) }}</span
          ><b class="t17">{{ text(one.mark) }}</b
          >{{ one.isMost ? ' least' : '' }}
        </li>
      </ul>
      <p class="t14">
        <button
          type="button"
          class="underline min-h-9"
          :aria-expanded="isStuck"
          data-test="stuck"
          @click="isStuck = !isStuck">
          It will not slide
        </button>
      </p>
      <p v-if="isStuck" class="t14">
        Never force it: a seal that is cut leaks later. Take it off, feel for a burr, paint or solder, check that the
        pipe is round, clean all {{ text(slip.bare) }} again, then try it with a twist.
      </p>
    </div>
  </section>
</template>

<style scoped>
.slip {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 520px;
  border-bottom: 1px solid var(--rule);
}
.moves {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
}
.move {
  padding: 6px 10px;
  border-right: 1px solid var(--hair);
}
.move.now {
  background: var(--paper2);
  outline: 2px solid var(--copper);
  outline-offset: -2px;
}
.fields {
  border-left: 1px solid var(--rule);
  padding: 8px 24px;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.one {
  display: flex;
  gap: 10px;
  align-items: baseline;
  flex-wrap: wrap;
}
.one :deep(.field) {
  width: 92px;
  text-align: center;
  border-bottom: 2px solid var(--ink);
}
.near {
  display: flex;
  border-top: 1px solid var(--hair);
}
.near li {
  display: flex;
  flex-direction: column;
  padding: 4px 14px 4px 10px;
  border-left: 1px solid var(--hair);
}
.near li.now {
  background: var(--paper2);
  border-left: 4px solid var(--copper);
}
@media (max-width: 1100px) {
  .slip {
    grid-template-columns: minmax(0, 1fr) 380px;
  }
}
@media (max-width: 899px) {
  .slip {
    display: flex;
    flex-direction: column;
  }
  .fields {
    border-left: 0;
    padding: 8px 12px;
    order: -1;
  }
}
</style>
