<script setup lang="ts">
import { METHODS, type Method, type Policy } from '#core/joints'
import { methodWords } from '~/wording/en'
import { LAST_WORDS } from '~/wording/policy'

/** The order in which a job likes its methods, and why: what comes last whatever it saves, what the client wants first. */
const props = defineProps<{ policy: Partial<Policy> }>()
const emit = defineEmits<{ change: [policy: Partial<Policy>] }>()
const last = computed(() => props.policy.last ?? [])
const first = computed(() => props.policy.order?.[0] ?? '')
const set = (changes: Partial<Policy>) => emit('change', { ...props.policy, ...changes })
const turn = (method: Method) =>
  set({ last: last.value.includes(method) ? last.value.filter((one) => one !== method) : [...last.value, method] })
</script>

<template>
  <section class="policy" aria-label="Order of methods" data-test="order-policy">
    <p class="name">
      <b class="t17">Order of methods</b
      ><span class="note t14">Within what is right: what comes last whatever it saves, what comes first.</span>
    </p>
    <div class="row" role="group" aria-label="What comes last">
      <button
        v-for="{ method, words } in LAST_WORDS"
        :key="method"
        type="button"
        class="choice t15"
        :aria-pressed="last.includes(method)"
        :data-last="method"
        @click="turn(method)">
        {{ words }}
      </button>
    </div>
    <label class="row"
      ><span class="note t14">wanted first</span
      ><select
        class="plain-input t15"
        :value="first"
        data-test="order-first"
        @change="
          set({
            order: ($event.target as HTMLSelectElement).value
              ? [($event.target as HTMLSelectElement).value as Method]
              : [],
          })
        ">
        <option value="">none before the others</option>
        <option v-for="method in METHODS" :key="method" :value="method">{{ methodWords(method) }}</option>
      </select></label
    >
    <label class="row"
      ><span class="note t14">why</span
      ><KeptField
        class="t15 grow"
        :value="policy.orderReason ?? ''"
        maxlength="120"
        placeholder="the client wants no flame in the house"
        data-test="order-reason"
        @keep="(text) => set({ orderReason: text.trim() })"
    /></label>
  </section>
</template>

<style scoped src="./policy-rows.css"></style>
<style scoped>
.row > :deep(.kept) {
  flex: 1;
}
</style>
