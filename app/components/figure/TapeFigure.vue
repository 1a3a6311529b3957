<script setup lang="ts">
import { formatMm, toTape, type UnitSystem } from '#core/units'

/**
 * A length for the hand: mm in a metric job; in an inch job what the tape shows, a whole and a stacked fraction to
 * the nearest sixteenth. null shows a question mark: it has to be measured.
 */
const props = withDefaults(
  defineProps<{
    mm: number | null
    system: UnitSystem
    withMm?: boolean
    /** Made at a face: nothing goes in, so there is nothing to measure. */
    atFace?: boolean
  }>(),
  { withMm: false, atFace: false },
)
const tape = computed(() => (props.mm === null ? null : toTape(props.mm)))
</script>

<template>
  <span class="tape">
    <span v-if="atFace" class="face">face</span>
    <template v-else-if="mm === null">?</template>
    <template v-else-if="system === 'metric'">{{ formatMm(mm) }}</template>
    <template v-else-if="tape">
      <span v-if="tape.whole > 0 || tape.over === 0">{{ tape.whole }}</span>
      <span v-if="tape.over > 0" class="fraction" :class="{ alone: tape.whole === 0 }">
        <span>{{ tape.over }}</span><span class="visually-hidden">/</span><span class="under">{{ tape.under }}</span>
      </span>
      <small v-if="withMm" class="note beside">in<br />{{ formatMm(mm) }} mm</small>
    </template>
  </span>
</template>

<style scoped>
.tape {
  display: inline-flex;
  align-items: center;
  gap: 0.12em;
}
.fraction {
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  font-size: max(13px, 0.6em);
  line-height: 1;
}
.fraction.alone {
  font-size: max(13px, 0.6em);
}
.beside {
  line-height: 1.15;
  text-align: left;
}
.under {
  border-top: 0.09em solid currentColor;
  padding-top: 0.05em;
  margin-top: 0.05em;
}
/* A word in a figure's place is not as large as a figure. */
.face {
  font-size: max(13px, 0.6em);
}
small {
  font-size: 14px;
  font-weight: 400;
  letter-spacing: 0;
  margin-left: 4px;
}
</style>
