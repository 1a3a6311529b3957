<script setup lang="ts">
import { turnReach, type Pipe } from '#core/catalogue'
import { roomToTurn } from '#core/joints'
import type { JointBody } from '#core/record'
import type { UnitSystem } from '#core/units'
import { readLengthField } from '~/reading/length-field'
import { tapeText } from '~/reading/tape'
import { scaleText, tapeWords, unitOf } from '~/reading/format'
import { OPEN_WORDS, SIDE_WORDS, TURNED } from '~/wording/valve'

/** A valve from above: the quarter turn of its lever to scale, with what stands on each side of the pipe, typed. */
const props = defineProps<{
  valve: JointBody['valve']
  pipe: Pipe | null
  system: UnitSystem
  width: number
  height: number
  disabled: boolean
}>()
const emit = defineEmits<{ change: [valve: JointBody['valve']] }>()

const typical = computed(() => (props.valve.kind && props.pipe ? turnReach(props.valve.kind, props.pipe) : null))
const reach = computed(() => props.valve.lever ?? typical.value?.value ?? null)
const turned = computed(() => (props.valve.kind ? TURNED[props.valve.kind] : undefined))
const open = computed(() => (props.valve.kind ? OPEN_WORDS[props.valve.kind] : undefined))
const isQuarter = computed(() => props.valve.kind === 'ball')
const turn = computed(() => props.valve.turn ?? 'other')
const SIDES = ['wall', 'other'] as const
const roomOf = (side: (typeof SIDES)[number]) => {
  const room = props.valve[side]
  return room === undefined || reach.value === null ? null : roomToTurn(reach.value, room)
}
/** Sides as they stand above and below the pipe, each with what is left over. */
const sides = computed(() =>
  SIDES.map((side) => ({
    side,
    room: props.valve[side],
    left: roomOf(side),
    isTurned: side === turn.value || !isQuarter.value,
  })),
)
function sideWords({ room, left }: (typeof sides.value)[number]): string {
  if (room === undefined) return 'not measured'
  if (!left) return `${tapeWords(room, props.system)} away`
  if (left.isShort) return `${tapeWords(-left.spare, props.system)} short`
  return `${tapeWords(left.spare, props.system)} to spare${left.isTight ? ', little for fingers' : ''}`
}
const half = computed(() => props.height / 2 - 14)
const far = computed(() => Math.max(60, 1.15 * (reach.value ?? 60), props.valve.wall ?? 0, props.valve.other ?? 0))
const k = computed(() => half.value / far.value)
const cx = computed(() => props.width * 0.42)
const cy = computed(() => props.height / 2)
const r = computed(() => (reach.value ?? 0) * k.value)
const down = computed(() => (turn.value === 'wall' ? -1 : 1))
const pipeR = computed(() => Math.max(4, ((props.pipe?.od ?? 20) / 2) * k.value))
const sweep = computed(() => {
  const y = cy.value + down.value * r.value
  return `M${cx.value + r.value} ${cy.value}A${r.value} ${r.value} 0 0 ${down.value > 0 ? 1 : 0} ${cx.value} ${y}`
})

const problem = (text: string): string | null =>
  text.trim() === '' || readLengthField(text, props.system) !== null
    ? null
    : `${text.trim()} what? ${unitOf(props.system)}.`
const shown = (mm: number | undefined) => (mm === undefined ? '' : tapeText(mm, props.system))
function set(name: 'wall' | 'other' | 'lever', text: string) {
  const { [name]: _, ...others } = props.valve
  const mm = text.trim() === '' ? null : readLengthField(text, props.system)
  emit('change', mm === null || (name === 'lever' && mm === 0) ? others : { ...others, [name]: mm })
}
const flip = () => emit('change', { ...props.valve, turn: turn.value === 'wall' ? 'other' : 'wall' })
useKeys({
  r: () => {
    if (isQuarter.value && !props.disabled) flip()
  },
})
</script>

<template>
  <section v-if="turned" class="room" aria-label="Room to turn">
    <svg :width="width" :height="height" role="img" aria-label="From above">
      <path :d="`M0 ${cy - pipeR}H${width}M0 ${cy + pipeR}H${width}`" class="l-thin" />
      <rect
        :x="cx - pipeR * 1.6"
        :y="cy - pipeR * 1.3"
        :width="pipeR * 3.2"
        :height="pipeR * 2.6"
        class="l-edge"
        fill="var(--paper)" />
      <template v-for="one in sides" :key="one.side">
        <template v-if="one.room !== undefined">
          <rect
            x="0"
            :y="one.side === 'wall' ? cy - one.room * k - 8 : cy + one.room * k"
            :width="width"
            height="8"
            fill="url(#hatch-wall)" />
          <path :d="`M0 ${cy + (one.side === 'wall' ? -1 : 1) * one.room * k}H${width}`" class="l-edge" />
        </template>
      </template>
      <template v-if="reach !== null">
        <template v-if="isQuarter">
          <path :d="sweep" class="sweep" :class="{ short: sides.find(({ side }) => side === turn)?.left?.isShort }" />
          <rect :x="cx - 5" :y="cy - 5" :width="r + 5" height="10" class="l-edge" fill="var(--paper)" />
          <rect :x="cx - 5" :y="down > 0 ? cy : cy - r" width="10" :height="r" class="l-hidden" fill="none" />
          <circle :cx="cx" :cy="cy" r="4" fill="var(--ink)" />
        </template>
        <circle v-else :cx="cx" :cy="cy" :r="r" class="sweep" />
      </template>
    </svg>
    <p class="note t13">
      From above, {{ scaleText(k, system) }}<template v-if="open">; {{ open }}</template>
    </p>
    <div class="fields">
      <label class="one"
        ><span class="note t14">{{ turned === 'lever' ? 'lever' : 'half of its wheel' }}</span
        ><KeptField
          class="t17 w7 field"
          :value="shown(valve.lever)"
          :placeholder="typical?.value == null ? '?' : tapeText(typical.value, system)"
          :check="problem"
          :disabled="disabled"
          maxlength="16"
          data-lever-field
          @keep="(text) => set('lever', text)" /><span v-if="valve.lever === undefined && typical" class="note t13"
          >typical</span
        ></label
      >
      <label v-for="one in sides" :key="one.side" class="one"
        ><span class="note t14">{{ SIDE_WORDS[one.side] }}</span
        ><KeptField
          class="t17 w7 field"
          :value="shown(one.room)"
          placeholder="?"
          :check="problem"
          :disabled="disabled"
          maxlength="16"
          :data-room-field="one.side"
          @keep="(text) => set(one.side, text)" /><span
          class="t14 flex gap-1 items-center"
          :class="{ 'brick w6': one.left?.isShort && one.isTurned, note: !one.left }"
          :data-room-left="one.side"
          ><StatusShape v-if="one.left?.isShort" status="refused" :size="13" />{{ sideWords(one) }}</span
        ></label
      >
      <button
        v-if="isQuarter"
        type="button"
        class="underline t14 min-h-9"
        :disabled="disabled"
        data-test="turn-lever"
        @click="flip">
        Turn the lever to the {{ SIDE_WORDS[turn === 'wall' ? 'other' : 'wall'] }} <kbd class="only-wide">R</kbd>
      </button>
    </div>
  </section>
</template>

<style scoped>
.room {
  border-left: 1px solid var(--rule);
  padding: 4px 10px;
}
.fields {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.one {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
}
.one :deep(.field) {
  width: 56px;
  text-align: center;
  border-bottom: 2px solid var(--ink);
}
.sweep {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
.sweep.short {
  stroke: var(--brick);
}
@media (max-width: 899px) {
  .room {
    border-left: 0;
    border-top: 1px solid var(--rule);
    padding: 6px 12px;
  }
}
</style>
