<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import type { Candidate } from '#core/identify'
import type { UnitSystem } from '#core/units'
import { formatReading, inHundred, mmBeside, scaleText, unitOf } from '~/reading/format'

/** On a phone: the measured pipe with its measure, and beside it what it most likely is. */
const props = defineProps<{ mm: number; spread: number; leading: Candidate; system: UnitSystem }>()

const WIDTH = 168
const CX = 84
const CY = 76
const ROOM = 124
const Y = 160
/** Whole half px per mm, so that the stated scale is the drawn one. */
const k = computed(() => Math.max(1, Math.floor((ROOM / props.mm) * 2) / 2))
const r = computed(() => (props.mm / 2) * k.value)
const pipe = computed(() => getPipe(props.leading.pipe))
const share = computed(() => inHundred(props.leading.probability))
const figure = computed(() => formatReading(props.mm, props.system))
const spreadText = computed(() => `${unitOf(props.system)} ± ${formatReading(props.spread, props.system)}`)
</script>

<template>
  <div class="verdict" data-test="verdict">
    <svg :width="WIDTH" height="214" :viewBox="`0 0 ${WIDTH} 214`" role="img" aria-label="The pipe end">
      <desc>Outside diameter {{ figure }} {{ unitOf(system) }}. Drawn with the bore of {{ pipe.label }}.</desc>
      <PipeCircle :cx="CX" :cy="CY" :mm="mm" :k="k" :pipe="pipe" />
      <path :d="`M${CX - r} ${CY + 4}V${Y + 8}M${CX + r} ${CY + 4}V${Y + 8}M${CX - r} ${Y}H${CX + r}`" class="l-dim" />
      <path
        :d="`M${CX - r - 5} ${Y + 5}l10 -10M${CX + r - 5} ${Y + 5}l10 -10`"
        stroke="var(--ink)"
        stroke-width="1.75" />
      <text :x="CX" :y="Y + 9" class="mid halo t26 w7">{{ figure }}</text>
      <text :x="CX" :y="Y + 31" class="mid note t13">{{ spreadText }}{{ mmBeside(mm, system) }}</text>
      <text :x="CX" :y="Y + 48" class="mid note t13">{{ scaleText(k, system) }}</text>
    </svg>
    <div class="what">
      <p class="note t14">It is most likely</p>
      <p class="t20 w7">{{ leading.label }}</p>
      <p class="share">
        <b :class="share.length > 2 ? 't40' : 't64'">{{ share }}</b> <span class="t15">in 100</span>
      </p>
      <p v-if="leading.for[0]" class="note t14">{{ leading.for[0].text }}</p>
    </div>
  </div>
</template>

<style scoped>
.verdict {
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr);
  gap: 6px;
  padding: 0 12px 4px 0;
  align-items: start;
}
.what {
  line-height: 1.25;
}
.share {
  line-height: 1.05;
}
</style>
