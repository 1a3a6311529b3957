<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { isClosed, isAtFace } from '#core/joints'
import type { MakeCard, Slip } from '#core/making'
import { printedOn, statusOf, type JobRecord, type JointRecord } from '#core/record'
import { formatLength, unitSystemOf } from '#core/units'
import { STATUS_WORDS } from '~/wording/en'
import { endsLabel, wayTitle } from '~/wording/way'
import { rangeText, unitOf } from '~/reading/format'

/** The end that is made, to scale, and what joint it is of; its depth, and one's own measure of it. */
const props = defineProps<{
  job: JobRecord
  joint: JointRecord
  card: MakeCard
  depth: { mm: number | null; isMeasured: boolean; problem: string | null }
  /** The user's own measure as it is typed. */
  typedDepth: string
  isSigned: boolean
  /** The coupling without a stop that the way is made with. */
  slip: Slip | null
}>()
const emit = defineEmits<{ depth: [typed: string]; working: [] }>()
const drawing = useTemplateRef<HTMLElement>('drawing')
const { width } = useElementSize(drawing)
const narrow = useNarrow()
const system = computed(() => unitSystemOf(props.job.region))
/** Marks printed on its pipe, mm apart, by the last cut sheet that says so. */
const every = computed(() => (props.card.joint.pipe === null ? null : printedOn(props.job, props.card.joint.pipe)))
/** Of the drawing, px: kept free until its width is known. */
const height = computed(() => {
  if (props.slip) return narrow.value ? 210 : 250
  return narrow.value ? 186 : 232
})
const depthWords = computed(() => {
  if (isAtFace(props.card.joint)) return 'seals at its face'
  return props.depth.mm === null ? 'no figure held' : `${formatLength(props.depth.mm, system.value)} deep`
})
const depthSource = computed(() => {
  const { lo, hi, source } = props.card.joint.insertion
  if (props.depth.isMeasured) return 'your own measure'
  if (isAtFace(props.card.joint)) return ''
  if (!source.startsWith('typical') || lo === null) return source
  return `typical ${rangeText(lo, hi ?? 0, system.value)}`
})
/** What closes a line is met by the last of its joints. */
const isShut = computed(() => {
  const { b, way } = props.joint
  return isClosed(b) && props.card?.entry === (way?.joints.length ?? 0) - 1
})
</script>

<template>
  <div class="top">
    <div ref="drawing" class="drawing" :style="{ minHeight: `${height}px` }">
      <SlipStrip
        v-if="width > 0 && slip"
        :slip="slip"
        :pipe="card.joint.pipe!"
        :system="system"
        :width="Math.floor(width)"
        :height="height"
        :done="isSigned" />
      <MakeStrip
        v-else-if="width > 0"
        :card="card"
        :mm="depth.mm"
        :is-measured="depth.isMeasured"
        :system="system"
        :width="Math.floor(width)"
        :height="height"
        :is-shut="isShut"
        :done="isSigned" />
    </div>
    <div class="about">
      <p class="t40 w7 flex items-center gap-3">
        J{{ joint.number }}
        <StatusShape :status="statusOf(joint)" :size="28" :label="STATUS_WORDS[statusOf(joint)]" />
      </p>
      <p class="t17 w7">{{ endsLabel(joint) }}</p>
      <p class="note t14">{{ [joint.place, wayTitle(joint.way!, job.region)].filter(Boolean).join('; ') }}</p>
      <p class="t14">
        <button type="button" class="figure-button w7" data-test="depth-working" @click="emit('working')">
          {{ depthWords }}
        </button>
        {{ ' ' }}
        <span class="note">{{ depthSource }}</span>
      </p>
      <label v-if="!isAtFace(card.joint) && !slip" class="measure"
        ><span class="t14 note">your measure, {{ unitOf(system) }}</span
        ><input
          class="plain-input t17 w7"
          :value="typedDepth"
          :disabled="isSigned"
          maxlength="40"
          autocomplete="off"
          :aria-invalid="depth.problem !== null"
          aria-describedby="depth-problem"
          data-test="measured-depth"
          @input="emit('depth', ($event.target as HTMLInputElement).value)"
      /></label>
      <p v-if="every !== null && depth.mm !== null && !isAtFace(card.joint)" class="t14">
        <span class="note">cut on a mark: </span><PrintedMark :place="depth.mm" :every="every" :system="system" />
      </p>
      <p id="depth-problem" class="brick t13" role="alert">{{ depth.problem }}</p>
      <ComeBack v-if="joint.conditions.temporary || joint.comeBack" :joint="joint" :slug="job.slug" />
    </div>
  </div>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  border-bottom: 3px solid var(--ochre);
}
.drawing {
  min-width: 0;
  overflow: hidden;
}
.about {
  padding: 10px 18px;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.measure {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  align-items: baseline;
}
@media (max-width: 899px) {
  .top {
    grid-template-columns: 1fr;
  }
  .about {
    padding: 4px 12px 6px;
    gap: 2px;
  }
  .about .t40 {
    font-size: 26px;
  }
}
</style>
