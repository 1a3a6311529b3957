<script setup lang="ts">
import { SUPPORT_CODES } from '#core/catalogue'
import { SERVICES } from '#core/joints'
import type { FixSettings, LineRecord } from '#core/record'
import { FLOW_EXAMPLES, parseFlow, parseLength, type UnitSystem } from '#core/units'
import { degreesOf, degreesSpoken, readAir, temperatureField } from '~/reading/air'
import { unitOf } from '~/reading/format'
import { tapeText } from '~/reading/tape'
import { SERVICE_WORDS } from '~/wording/en'
import { CODE_WORDS } from '~/wording/fix'

/** What a line is held by: what it carries, how warm, whose code, its maker's distances, its flow. */
const props = defineProps<{ line: LineRecord; settings: FixSettings; system: UnitSystem }>()
const emit = defineEmits<{ set: [fix: Partial<LineRecord['fix']>] }>()
const flowProblem = (text: string) => {
  const read = text.trim() === '' ? null : parseFlow(text, props.system)
  return read && !read.ok ? read.error.message : null
}
const given = (mm: number | undefined) => (mm === undefined ? '' : tapeText(mm, props.system))
const distanceProblem = (text: string) => {
  const read = text.trim() === '' ? null : parseLength(text, props.system, 'distance')
  return read && !read.ok ? read.error.message : null
}
const readDistance = (text: string) => {
  const read = text.trim() === '' ? null : parseLength(text, props.system, 'distance')
  return read?.ok ? read.value.mm : undefined
}
/** Most plates of one line that are counted. */
const MOST_GUARDS = 200
const guardsProblem = (text: string) =>
  /^\s*\d*\s*$/.test(text) && Number(text) <= MOST_GUARDS ? null : `Guards: a whole number, 0 to ${MOST_GUARDS}.`
</script>

<template>
  <div class="settings">
    <h2 class="zone-heading">What it is held by</h2>
    <div class="row">
      <span class="note t14">carries</span>
      <div class="answers">
        <button
          v-for="service in SERVICES"
          :key="service"
          type="button"
          class="answer"
          :aria-pressed="settings.service === service"
          :data-fix-service="service"
          @click="emit('set', { service: service })">
          {{ SERVICE_WORDS[service] }}
        </button>
      </div>
    </div>
    <div class="row">
      <span class="note t14">comes to</span
      ><span class="temps"
        ><KeptField
          class="t17 w7"
          :value="temperatureField(line.fix.temperature, system)"
          :placeholder="temperatureField(settings.temperature, system)"
          :check="(text) => readAir(text, system, { most: 150 }).problem"
          maxlength="12"
          :aria-label="`Comes to, ${degreesSpoken(system)}`"
          data-test="fix-temperature"
          @keep="
            (text) => emit('set', { temperature: readAir(text, system, { most: 150 }).value ?? undefined })
          " /><span class="note t14">{{ degreesOf(system) }}, fixed at</span
        ><KeptField
          class="t17 w7"
          :value="temperatureField(line.fix.installedAt, system)"
          :placeholder="temperatureField(settings.installedAt, system)"
          :check="(text) => readAir(text, system).problem"
          maxlength="12"
          :aria-label="`Fixed at, ${degreesSpoken(system)}`"
          data-test="fix-installed"
          @keep="(text) => emit('set', { installedAt: readAir(text, system).value ?? undefined })" /><span
          class="note t14"
          >{{ degreesOf(system) }}</span
        ></span
      >
    </div>
    <div class="row">
      <span class="note t14">code</span>
      <div class="answers">
        <button
          v-for="code in SUPPORT_CODES"
          :key="code"
          type="button"
          class="answer"
          :aria-pressed="settings.code === code"
          :data-code="code"
          @click="emit('set', { code })">
          {{ CODE_WORDS[code] }}
        </button>
      </div>
    </div>
    <div class="row">
      <span class="note t14">maker's</span
      ><span class="temps"
        ><KeptField
          class="t17 w7"
          :value="given(line.fix.across)"
          :check="distanceProblem"
          maxlength="20"
          aria-label="Most between supports across, by the maker"
          data-test="fix-across"
          @keep="(text) => emit('set', { across: readDistance(text) })" /><span class="note t14">across,</span
        ><KeptField
          class="t17 w7"
          :value="given(line.fix.up)"
          :check="distanceProblem"
          maxlength="20"
          aria-label="Most between supports up, by the maker"
          data-test="fix-up"
          @keep="(text) => emit('set', { up: readDistance(text) })" /><span class="note t14"
          >up, {{ unitOf(system) }}</span
        ></span
      >
    </div>
    <div class="row">
      <span class="note t14">guards</span
      ><span class="temps"
        ><KeptField
          class="t17 w7"
          :value="line.fix.guards ? String(line.fix.guards) : ''"
          placeholder="0"
          :check="guardsProblem"
          maxlength="4"
          inputmode="numeric"
          aria-label="Steel plates where nails may come"
          data-test="fix-guards"
          @keep="(text) => emit('set', { guards: Number(text.trim() || 0) })" /><span class="note t14"
          >steel plates where nails may come</span
        ></span
      >
    </div>
    <div class="row">
      <span class="note t14">flow</span
      ><KeptField
        class="t17 w7"
        :value="line.fix.flow ?? ''"
        :placeholder="FLOW_EXAMPLES[system]"
        :check="flowProblem"
        maxlength="40"
        aria-label="Design flow"
        data-test="fix-flow"
        @keep="(text) => emit('set', { flow: text.trim() })" />
    </div>
  </div>
</template>

<style scoped>
.settings {
  display: contents;
}
.row {
  display: grid;
  grid-template-columns: 66px 1fr;
  gap: 10px;
  align-items: baseline;
}
.temps {
  display: grid;
  grid-template-columns: 64px auto 64px auto;
  gap: 8px;
  align-items: baseline;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
.zone-heading {
  margin-top: 8px;
}
@media (pointer: coarse), (max-width: 899px) {
  .answers button {
    min-height: 44px;
  }
}
</style>
