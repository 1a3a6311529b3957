<script setup lang="ts">
import { SERVICES, type Conditions, type Service } from '#core/joints'
import type { UnitSystem } from '#core/units'
import { SERVICE_WORDS } from '~/wording/en'

/** What the joint has to stand and what is round it, as one row of quarter-turn switches. */
const props = defineProps<{
  conditions: Conditions
  system: UnitSystem
  /** The two ends in words, where it matters which of them the water comes from. */
  flowEnds?: { a: string; b: string } | null
}>()
const emit = defineEmits<{ set: [name: keyof Conditions, value: Conditions[keyof Conditions] | undefined] }>()

type Flag = 'hidden' | 'combustibles' | 'wet' | 'noFlame' | 'mustUndo' | 'temporary'
const FLAGS: readonly [Flag, string][] = [
  ['hidden', 'hidden'],
  ['wet', 'will not drain'],
  ['combustibles', 'wood near'],
  ['noFlame', 'no flame here'],
  ['mustUndo', 'must come apart'],
  ['temporary', 'temporary'],
]
const row = useTemplateRef<HTMLElement>('row')
const narrow = useNarrow()
const all = ref(false)
/** Narrow screens show what is on; the rest comes when asked for. */
const shown = computed(() =>
  FLAGS.filter(([name], i) => all.value || props.conditions[name] || (!narrow.value && i < 4)),
)
const services = computed(() =>
  SERVICES.filter((service) => all.value || !narrow.value || props.conditions.service === service),
)
useKeys({ s: () => row.value?.querySelector('button')?.focus() })
</script>

<template>
  <div ref="row" class="conditions" role="group" aria-label="Conditions">
    <div class="services" role="group" aria-label="Service">
      <button
        v-for="service in services"
        :key="service"
        type="button"
        class="choice"
        :aria-pressed="conditions.service === service"
        :data-service="service"
        @click="emit('set', 'service', service as Service)">
        <ServiceLine :service="service" class="inline" /> {{ SERVICE_WORDS[service] }}
      </button>
      <ServiceFields :conditions="conditions" :system="system" @set="(name, value) => emit('set', name, value)" />
      <span class="ml-auto note t13 only-wide"><kbd>S</kbd> switches</span>
    </div>
    <div v-if="flowEnds" class="services" role="group" aria-label="Which way the water runs">
      <span class="note t14 self-center">the water comes from</span>
      <button
        v-for="on in ['a', 'b'] as const"
        :key="on"
        type="button"
        class="choice"
        :aria-pressed="conditions.flowFrom === on"
        :data-flow-from="on"
        @click="emit('set', 'flowFrom', on)">
        {{ flowEnds[on] }}
      </button>
    </div>
    <div class="levers">
      <LeverSwitch
        v-for="[name, words] in shown"
        :key="name"
        :label="words"
        :model-value="conditions[name]"
        :data-condition="name"
        @update:model-value="(value) => emit('set', name, value)" />
      <LeverSwitch
        v-if="all || !narrow || conditions.room === 'tight'"
        label="tight room"
        :model-value="conditions.room === 'tight'"
        data-condition="room"
        @update:model-value="(value) => emit('set', 'room', value ? 'tight' : 'open')" />
      <button v-if="!all" type="button" class="choice" data-test="more-conditions" @click="all = true">
        {{ narrow ? 'other conditions' : `${FLAGS.length - shown.length} more` }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.conditions {
  border-bottom: 1px solid var(--rule);
  border-top: 1px solid var(--rule);
  padding: 0 18px;
}
.services {
  display: flex;
  gap: 20px;
  flex-wrap: wrap;
  padding-top: 5px;
}
.levers {
  display: flex;
  gap: 0 20px;
  flex-wrap: wrap;
  align-items: center;
}
@media (max-width: 899px) {
  .conditions {
    padding: 0 12px;
  }
  .services {
    gap: 4px 16px;
  }
}
</style>
