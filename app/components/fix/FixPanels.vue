<script setup lang="ts">
import { supportOrder, type FixSettings, type JobRecord, type LineRecord } from '#core/record'
import type { LineFlow } from '#core/flow'
import type { FixedLine } from '#core/supports'
import type { UnitSystem } from '#core/units'
import type { Result } from '#core/base'
import { speak } from '#core/speech'
import { csvLink } from '~/reading/csv'

/**
 * What stands beside the drawing: settings, growth and arms, the codes side by side, what to see to, flow, the order.
 */
const props = defineProps<{
  job: JobRecord
  line: LineRecord
  fixed: FixedLine
  settings: FixSettings
  flow: Result<LineFlow | null> | null
  system: UnitSystem
}>()
const emit = defineEmits<{ set: [fix: Partial<LineRecord['fix']>] }>()
const problems = computed(() => [
  ...props.fixed.supports.flatMap(({ name, broken }) =>
    broken.map((rule) => ({ key: `${name}${rule.code}${rule.text}`, text: `${name}: ${rule.text}` })),
  ),
  ...props.fixed.rules
    .filter(({ leg, code }) => leg !== undefined && code !== 'too-short')
    .map((rule) => ({ key: rule.code + rule.text, text: rule.text })),
])
const advice = computed(() => props.fixed.rules.filter(({ leg, code }) => leg === undefined || code === 'too-short'))
const order = computed(() => supportOrder(props.job))
const csv = computed(() => csvLink(order.value, ['quantity', 'name', 'size']))
</script>

<template>
  <section aria-label="How it is held" class="panels">
    <FixSettingRows :line="line" :settings="settings" :system="system" @set="(fix) => emit('set', fix)" />

    <FixBeside :job="job" :line="line" :system="system" @set="(fix) => emit('set', fix)" />

    <template v-if="problems.length">
      <h2 class="zone-heading">To put right</h2>
      <ul class="t15">
        <li v-for="one in problems" :key="one.key" class="problem" data-test="fix-problem">
          <StatusShape status="held" :size="16" /> <span>{{ speak(one.text, job.region) }}</span>
        </li>
      </ul>
    </template>

    <FixArms :fixed="fixed" :settings="settings" :system="system" />

    <FixCodes :fixed="fixed" :settings="settings" :region="job.region" :system="system" />
    <div class="schools t14">
      <p>
        <b>Where practitioners differ: near an elbow.</b> 150 from each elbow: stiff, but locks what grows.
        <span class="copper w7">Arm first, then the clip: in use.</span>
      </p>
    </div>

    <FixFlow :fixed="fixed" :flow="flow" :system="system" />

    <h2 class="zone-heading">
      To order, all lines
      <span class="right"
        ><a :href="csv" :download="`${job.slug}-supports.csv`" class="underline" data-test="fix-csv">CSV</a>
        <NuxtLink :to="`/jobs/${job.slug}/order`" class="underline">The whole job's order</NuxtLink></span
      >
    </h2>
    <ul class="t15" data-test="fix-order">
      <li v-for="one in order" :key="one.name + one.size">
        <b>{{ one.quantity }}</b> {{ one.size ? `${one.name}, ${one.size}` : one.name }}
      </li>
    </ul>

    <h2 class="zone-heading">See to</h2>
    <ul class="advice t14">
      <li v-for="rule in advice" :key="rule.code + rule.text" :data-rule="rule.code">
        {{ speak(rule.text, job.region) }}
      </li>
    </ul>
    <p class="note t13">Local code, the maker's paper and a licensed person come first.</p>
  </section>
</template>

<style scoped>
.panels {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.problem {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 2px 0;
}
.advice li {
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
.zone-heading {
  margin-top: 8px;
}
</style>
