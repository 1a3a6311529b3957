<script setup lang="ts">
import type { LengthAnswer } from '~/reading/answers'
import type { LengthReading } from '~/reading/diameter'
import { formatReading, unitOf } from '~/reading/format'
import type { UnitSystem } from '#core/units'

/** A wall or bore read at a cut end, typed as it was read. */
const props = defineProps<{ name: LengthAnswer, label: string, text: string, reading: LengthReading, system: UnitSystem, bits: number, most: number, isBest: boolean }>()
const emit = defineEmits<{ change: [text: string | undefined] }>()
const isOpen = ref(props.text !== '')
const field = useTemplateRef<HTMLInputElement>('field')
async function toggle() {
  isOpen.value = !isOpen.value
  await nextTick()
  field.value?.focus()
}
function onInput(event: Event) {
  const typed = (event.target as HTMLInputElement).value
  emit('change', typed === '' ? undefined : typed)
}
</script>

<template>
  <CheckRow :name="name" :label="label" :answer="reading.state === 'read' ? `${formatReading(reading.mm, system)} ${unitOf(system)}` : text ? '?' : null" hint="" :bits="bits" :most="most" :is-best="isBest" :is-open="isOpen" @toggle="toggle" />
  <div v-if="isOpen" class="body">
    <input ref="field" class="plain-input t20 w7" :value="text" maxlength="40" autocomplete="off" spellcheck="false" :aria-label="label" :aria-invalid="reading.state === 'wrong'" :aria-describedby="`${name}-note`" :data-test="name" @input="onInput">
    <p :id="`${name}-note`" class="t14" :class="reading.state === 'wrong' ? 'brick w6' : 'note'" role="status">{{ reading.state === 'wrong' ? reading.message : `At a clean cut, in ${unitOf(system)}.` }}</p>
  </div>
</template>

<style scoped>
.body { padding: 2px 18px 10px 40px; }
</style>
