<script setup lang="ts">
import type { UnitSystem } from '#core/units'
import type { LengthAnswer, LengthReading } from '#core/record'
import { formatReading, unitOf } from '~/reading/format'

/** A wall or bore read at a cut end, typed as it was read. */
const props = defineProps<{
  name: LengthAnswer
  label: string
  text: string
  reading: LengthReading
  system: UnitSystem
  bits: number
  most: number
  isBest: boolean
  isBarred: boolean
}>()
const emit = defineEmits<{ change: [text: string | undefined]; bar: [isBarred: boolean] }>()
const answer = computed(() => {
  if (props.reading.state === 'read') return `${formatReading(props.reading.mm, props.system)} ${unitOf(props.system)}`
  return props.text ? '?' : null
})
</script>

<template>
  <TypedCheck
    :name="name"
    :label="label"
    :field-label="label"
    :text="text"
    :answer="answer"
    hint=""
    :bits="bits"
    :most="most"
    :is-best="isBest"
    :longest="40"
    :is-wrong="reading.state === 'wrong'"
    :is-barred="isBarred"
    @change="(typed) => emit('change', typed)"
    @bar="(isSo) => emit('bar', isSo)">
    <p :id="`${name}-note`" class="t14" :class="reading.state === 'wrong' ? 'brick w6' : 'note'" role="status">
      {{ reading.state === 'wrong' ? reading.message : `At a clean cut, in ${unitOf(system)}.` }}
    </p>
  </TypedCheck>
</template>
