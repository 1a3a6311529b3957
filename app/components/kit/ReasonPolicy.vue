<script setup lang="ts">
import { METHODS, type Method, type Policy, type Reason } from '#core/joints'
import { readNumber } from '~/reading/number-field'
import { methodWords } from '~/wording/en'
import { REASON_WORDS } from '~/wording/policy'

/** What the job minds, said at the ways it bears on; and how long a method serves, by the user's own figures. */
const props = defineProps<{ policy: Partial<Policy> }>()
const emit = defineEmits<{ change: [policy: Partial<Policy>] }>()
const minded = computed(() => props.policy.reasons ?? [])
const years = computed(() => props.policy.years ?? {})
const method = ref<Method>('press')
const problem = ref<string | null>(null)
const MOST_YEARS = 200
const set = (changes: Partial<Policy>) => emit('change', { ...props.policy, ...changes })
const turn = (reason: Reason) =>
  set({
    reasons: minded.value.includes(reason) ? minded.value.filter((one) => one !== reason) : [...minded.value, reason],
  })
function setYears(text: string) {
  const { [method.value]: _, ...others } = years.value
  const value = readNumber(text, MOST_YEARS)
  problem.value = value === null ? `Years: 0 to ${MOST_YEARS} are accepted.` : null
  if (value !== null) set({ years: text.trim() === '' ? others : { ...others, [method.value]: value } })
}
const said = computed(() =>
  Object.entries(years.value)
    .map(([one, value]) => `${methodWords(one as Method)} ${value}`)
    .join(', '),
)
</script>

<template>
  <section class="policy" aria-label="What the job minds" data-test="reason-policy">
    <p class="name">
      <b class="t17">What this job minds</b
      ><span class="note t14">Said at each way that it bears on; refuses nothing.</span>
    </p>
    <div class="row" role="group" aria-label="What this job minds">
      <button
        v-for="{ reason, words } in REASON_WORDS"
        :key="reason"
        type="button"
        class="choice t15"
        :aria-pressed="minded.includes(reason)"
        :data-reason="reason"
        @click="turn(reason)">
        {{ words }}
      </button>
    </div>
    <label class="row"
      ><span class="note t14">plastic pipe, liner and fitting all of</span
      ><KeptField
        class="t15 grow"
        :value="policy.plasticSystem ?? ''"
        maxlength="60"
        placeholder="not said"
        data-test="plastic-system"
        @keep="(text) => set({ plasticSystem: text.trim() })"
    /></label>
    <label class="row"
      ><span class="note t14">years it serves, by your figures</span
      ><select v-model="method" class="plain-input t15" aria-label="Method" data-test="years-method">
        <option v-for="one in METHODS" :key="one" :value="one">{{ methodWords(one) }}</option></select
      ><input
        class="plain-input t15 years"
        :value="years[method] ?? ''"
        inputmode="decimal"
        maxlength="6"
        placeholder="none"
        aria-label="Years"
        data-test="years"
        @change="setYears(($event.target as HTMLInputElement).value)"
    /></label>
    <p v-if="said" class="t14">{{ said }} years</p>
    <p v-if="problem" class="brick t14" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped src="./policy-rows.css"></style>
<style scoped>
.years {
  width: 80px;
}
</style>
