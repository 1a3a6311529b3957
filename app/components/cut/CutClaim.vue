<script setup lang="ts">
import type { BenchPlan } from '#core/cutting'
import type { CutRecord } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'
import { claimOf } from '~/wording/cut'
import { tapeText } from '~/reading/tape'

/** What is proved of the plan, what goes to the rack, what waits, what was cut wrong. */
const props = defineProps<{
  sheet: CutRecord
  plan: BenchPlan
  /** Length that goes to the rack, mm. */
  keptMm: number
  waiting: number
  slips: readonly { length: number }[]
  system: UnitSystem
}>()
const emit = defineEmits<{ waiting: [] }>()
const claim = computed(() => claimOf(props.plan, props.system))
const kept = computed(() =>
  props.keptMm > 0
    ? `${formatLength(props.keptMm, props.system)} ${props.sheet.result ? 'is on the rack.' : 'to the rack.'}`
    : '',
)
</script>

<template>
  <div class="claim" data-test="claim">
    <VerdictShape :verdict="claim.isProved ? 'fits' : 'care'" :size="20" />
    <div>
      <p>
        <b class="t17">{{ claim.title }}.</b> <span class="t15">{{ claim.text }} {{ kept }}</span> {{ ' ' }}
        <button
          v-if="waiting && !sheet.result"
          type="button"
          class="t15 ochre underline"
          data-test="see-waiting"
          @click="emit('waiting')">
          {{ waiting }} more {{ waiting === 1 ? 'waits' : 'wait' }}
        </button>
        {{ ' ' }}
        <span v-if="slips.length" class="t15 brick"
          >{{ slips.length }} cut wrong: {{ slips.map(({ length }) => tapeText(length, system)).join(', ') }}.</span
        >
      </p>
    </div>
  </div>
</template>

<style scoped>
.claim {
  display: flex;
  gap: 10px;
  padding: 8px 18px 0;
}
.claim > div {
  flex: 1;
}
@media (max-width: 899px) {
  .claim {
    padding: 8px 12px 0;
  }
}
</style>
