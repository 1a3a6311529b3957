<script setup lang="ts">
import { refAutoReset } from '@vueuse/core'
import type { Candidate } from '#core/identify'
import type { FindBody } from '#core/record'
import type { Region } from '#core/units'
import { inHundred } from '~/reading/format'
import type { Choice, Settling } from '~/reading/answers'
import type { StopQuestion } from '~/reading/stops'
import type { AskedName } from '~/wording/en'

/**
 * Under the thumb at a find: what the pipe most likely is, and below it one question with its keys, or the way on.
 * When the question changes its keys stay away for a moment, so that a second tap of a hasty hand answers nothing.
 */
const props = defineProps<{
  leading: Candidate | null
  /** Gas or the earth clamp, before anything else is asked. */
  stop: StopQuestion | null
  settling: Settling | null
  isSettled: boolean
  region: Region
}>()
const emit = defineEmits<{
  stop: [answers: Partial<FindBody['answers']>]
  answer: [name: Choice, value: string | boolean]
  more: [name: AskedName]
  joint: []
  keep: [pipe: string]
}>()
/** For this long no key comes where another was, ms. */
const AWAY = 400
const asked = computed(() => {
  if (props.stop) return `stop ${props.stop.keys.map(({ test }) => test).join(' ')}`
  if (props.isSettled) return 'joint'
  if (props.settling) return `check ${props.settling.check}`
  return props.leading ? 'keep' : ''
})
const isAway = refAutoReset(false, AWAY)
watch(
  asked,
  () => {
    isAway.value = true
  },
  { flush: 'sync' },
)
</script>

<template>
  <div v-if="asked" class="thumb" data-test="thumb">
    <p v-if="leading" class="is t14" data-test="thumb-pipe">
      <b>{{ leading.label }}</b> <span class="note">{{ inHundred(leading.probability) }} in 100</span>
    </p>
    <p v-if="isAway" class="away note t15" data-test="thumb-away" aria-hidden="true">noted</p>
    <div v-else-if="stop" class="stops">
      <StopKeys :question="stop" size="xl" @answer="emit('stop', $event)" />
    </div>
    <RuledButton v-else-if="isSettled" size="xl" block data-test="to-joint" @click="emit('joint')"
      >Join this pipe</RuledButton
    >
    <ThumbKeys
      v-else-if="settling"
      :settling="settling"
      :region="region"
      @answer="(name, value) => emit('answer', name, value)"
      @more="emit('more', $event)" />
    <RuledButton v-else-if="leading" size="xl" block data-test="thumb-keep" @click="emit('keep', leading.pipe)"
      >Keep as {{ leading.label }}</RuledButton
    >
  </div>
</template>

<style scoped>
.thumb {
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
  border-top: 1px solid var(--rule);
  padding: 4px 12px 10px;
  z-index: 1;
}
.is {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  align-items: baseline;
  padding: 3px 0 5px;
}
.is span {
  white-space: nowrap;
}
.away {
  display: grid;
  place-items: center;
  height: 72px;
  border: 1px dashed var(--rule);
}
.stops {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(90px, 1fr));
  gap: 12px;
}
.stops :deep(button) {
  min-height: 72px;
  padding: 6px 8px;
  font-size: 17px;
  line-height: 1.25;
  justify-content: center;
  white-space: normal;
  text-align: center;
}
</style>
