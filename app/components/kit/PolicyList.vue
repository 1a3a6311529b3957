<script setup lang="ts">
import { fillPolicy, type Policy } from '#core/joints'
import { POLICY_WORDS } from '~/wording/policy'

/** The schools of a job: which is in use where practitioners differ. */
const props = defineProps<{ policy: Partial<Policy> }>()
const emit = defineEmits<{ change: [policy: Partial<Policy>] }>()
const filled = computed(() => fillPolicy(props.policy))
const set = (name: keyof Policy, value: Policy[keyof Policy]) => emit('change', { ...props.policy, [name]: value })
</script>

<template>
  <section aria-label="Policies of this job">
    <h2 class="zone-heading">Policies of this job: the school in use is underlined</h2>
    <ul>
      <li v-for="{ name, words, why, choices } in POLICY_WORDS" :key="name" class="policy" :data-policy="name">
        <p class="name">
          <b class="t17">{{ words }}</b><span class="note t14">{{ why }}</span>
        </p>
        <div class="flex gap-4 flex-wrap" role="group" :aria-label="words">
          <button
            v-for="choice in choices"
            :key="String(choice.value)"
            type="button"
            class="choice t15"
            :aria-pressed="filled[name] === choice.value"
            :data-choice="String(choice.value)"
            @click="set(name, choice.value)">
            {{ choice.words }}
          </button>
        </div>
      </li>
    </ul>
    <ReasonPolicy :policy="policy" @change="(policy) => emit('change', policy)" />
    <OrderPolicy :policy="policy" @change="(policy) => emit('change', policy)" />
  </section>
</template>

<style scoped src="./policy-rows.css"></style>
