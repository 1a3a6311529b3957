<script setup lang="ts">
import { ASSUMED_PX_PER_MM, CARD } from '#core/gauges'
import type { Result } from '#core/base'

/** Sets the size of the screen: an outline that is made as wide as a bank card laid on it. */
const props = defineProps<{
  from: number | null
  wasSet: boolean
  room: number
  set: (cardWidthPx: number) => Result<unknown>
}>()
const width = ref(Math.round((props.from ?? ASSUMED_PX_PER_MM) * CARD.width))
const problem = ref<string | null>(null)
/** Beside it stand the words, where there is room. */
const most = computed(() => Math.max(120, Math.floor(props.room) - 28))
function step(by: number) {
  width.value = Math.min(most.value, Math.max(100, width.value + by))
  problem.value = null
}
function take() {
  const result = props.set(width.value)
  problem.value = result.ok ? null : result.error.message
}
useKeys({
  ArrowLeft: () => step(-1),
  ArrowRight: () => step(1),
  ArrowDown: () => step(-10),
  ArrowUp: () => step(10),
  Enter: take,
})
const height = computed(() => (width.value * CARD.height) / CARD.width)
const region = useRegion()
</script>

<template>
  <section class="scale" aria-label="Set the screen size">
    <div class="table">
      <svg :width="width + 8" :height="height + 40" role="img" aria-label="Outline of a card">
        <rect x="4" y="2" :width="width" :height="height" rx="9" class="l-hidden" />
        <path :d="`M4 0V${height + 12}M${width + 4} 0V${height + 12}`" class="l-sel" />
        <DimensionLine :x1="4" :x2="width + 4" :y="height + 16" />
        <text :x="width / 2 + 4" :y="height + 35" class="mid t14">
          {{ region === 'us' ? '3.370 in (85.60 mm)' : '85.60 mm' }}, any bank card
        </text>
      </svg>
    </div>
    <div class="side">
      <h2 class="t26">Set the screen size first</h2>
      <p class="t17">
        Lay a bank card on the screen, its left edge on the left line. Make the outline as wide as the card.<template
          v-if="wasSet">
          The page is zoomed since it was set.</template
        >
      </p>
      <StepKeys what="card outline" @step="step" />
      <p v-if="problem" class="brick w6" role="alert">{{ problem }}</p>
      <RuledButton size="xl" data-test="card-fits" @click="take">The card fits <kbd>Enter</kbd></RuledButton>
      <p class="note t14">
        Once for this screen, kept on this device. Card: ISO/IEC 7810, size ID-1,
        {{ region === 'us' ? '3.370 × 2.125 in (85.60 × 53.98 mm)' : '85.60 × 53.98 mm' }}.
      </p>
    </div>
  </section>
</template>

<style scoped>
.scale {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  flex: 1;
}
.table {
  display: grid;
  place-items: center;
  padding: 16px 10px;
  min-width: 0;
}
.side {
  border-left: 1px solid var(--rule);
  padding: 16px 22px 18px 24px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  align-items: flex-start;
}
@media (max-width: 899px) {
  .scale {
    display: flex;
    flex-direction: column;
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--rule);
    padding: 10px 12px;
  }
}
</style>
