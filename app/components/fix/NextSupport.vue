<script setup lang="ts">
import type { LineSupport } from '#core/supports'
import type { UnitSystem } from '#core/units'
import { unitOf } from '~/reading/format'
import { KIND_WORDS } from '~/wording/fix'

/** The support to fix now: its distance as the largest figure, what it is, where that is measured from. */
defineProps<{ support: LineSupport; from: string; system: UnitSystem }>()
</script>

<template>
  <div class="next" data-test="next-support">
    <p class="big copper w7">
      <TapeFigure :mm="support.fromLeft ?? support.at" :system="system" /> <span class="t20">{{ unitOf(system) }}</span>
    </p>
    <p class="t17 w7">
      {{ support.fixedAt ? `${support.name} is fixed` : `fix ${support.name} here` }}: {{ KIND_WORDS[support.kind] }}
    </p>
    <p class="t15">{{ from }}</p>
  </div>
</template>

<style scoped>
.next {
  position: absolute;
  right: 18px;
  bottom: 10px;
  text-align: right;
  pointer-events: none;
}
.big {
  font-size: 64px;
  line-height: 1;
  letter-spacing: -0.03em;
}
@media (max-width: 899px) {
  .next {
    position: static;
    text-align: left;
    padding: 8px 12px;
  }
  .big {
    font-size: 72px;
  }
}
</style>
