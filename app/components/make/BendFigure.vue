<script setup lang="ts">
import type { BendStep } from '#core/line'
import { formatDecimal, type UnitSystem } from '#core/units'
import { unitOf } from '~/reading/format'

/** What a bend's step needs in the hand: a distance along the tube, or an angle. */
defineProps<{ figure: NonNullable<BendStep['figure']>; system: UnitSystem }>()
</script>

<template>
  <p class="big copper w7" data-test="next-figure">
    <template v-if="figure.unit === 'mm'"
      ><TapeFigure :mm="figure.value" :system="system" /> <span class="t20">{{ unitOf(system) }}</span></template
    >
    <template v-else>{{ formatDecimal(figure.value, 1) }}&#176;</template>
  </p>
</template>

<style scoped>
.big {
  font-size: 96px;
  line-height: 1;
  letter-spacing: -0.03em;
}
@media (max-width: 899px) {
  .big {
    font-size: 64px;
    flex-basis: 100%;
  }
}
</style>
