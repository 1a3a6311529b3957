<script setup lang="ts">
import type { Ask } from '#core/joints'
import { rangeWords } from '#core/making'
import type { UnitSystem } from '#core/units'
import { unitOf } from '~/reading/format'
import { askVerdict, readAsk } from '~/reading/ask'

/** The figure that proves a step, read off the work: typed, judged at once, kept with the tick. */
const props = defineProps<{ ask: Ask; system: UnitSystem }>()
const typed = defineModel<string>({ required: true })
const reading = computed(() => readAsk(props.ask, typed.value, props.system))
const verdict = computed(() => (reading.value.value === null ? null : askVerdict(props.ask, reading.value.value)))
const unit = computed(() => {
  if (props.ask.unit === 'mm') return unitOf(props.system)
  return props.ask.unit === 'turns' ? 'turns' : ''
})
const VERDICT_SHAPES = { holds: 'proved', fails: 'refused', care: 'held' } as const
const VERDICT_SENTENCES = {
  holds: 'holds',
  fails: 'outside: the check fails',
  care: "outside what is usual: the fitting's own paper decides",
}
</script>

<template>
  <div class="ask t17">
    <label
      ><span>{{ ask.words }}</span> {{ ' ' }}
      <input
        v-model="typed"
        class="plain-input w7"
        inputmode="decimal"
        maxlength="20"
        autocomplete="off"
        :aria-invalid="reading.problem !== null || verdict === 'fails'"
        data-test="step-ask"
        @keydown.stop />
      {{ ' ' }} <span class="note">{{ unit }}</span></label
    >
    <span class="note t15"
      >{{ rangeWords(ask, system, reading.value) }}<template v-if="!ask.isFirm">, typical</template></span
    >
    <span v-if="reading.problem" class="brick t15" role="status">{{ reading.problem }}</span>
    <span v-else-if="verdict" class="verdict" :class="verdict" role="status" data-test="ask-verdict"
      ><StatusShape :status="VERDICT_SHAPES[verdict]" :size="18" /> {{ VERDICT_SENTENCES[verdict] }}</span
    >
    <span class="note t13 source">{{ ask.source }}</span>
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
}
.ask input {
  width: 84px;
  min-height: 40px;
  font-size: 22px;
}
.verdict {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  font-weight: 600;
}
.verdict.holds {
  color: var(--verd);
}
.verdict.fails {
  color: var(--brick);
}
.verdict.care {
  color: var(--ochre);
}
@media (max-width: 899px) {
  .ask input {
    min-height: 48px;
  }
  .source {
    flex-basis: 100%;
  }
}
</style>
