<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'
import type { TimerRecord } from '#core/record'
import { dateWords } from '#core/speech'
import { endOfWait } from '~/reading/waits'

/** One wait in a line: which joint, what is left, or since when it is over. */
const props = defineProps<{ name: string; timer: TimerRecord; to: RouteLocationRaw | null }>()
const region = useRegion()
const left = useWait(() => props.timer)
/** A wait that was over long ago was left to itself, such as over night. */
const LONG_AGO_S = 3600
const over = computed(() => {
  const end = endOfWait(props.timer)
  if ((Date.now() - end) / 1000 <= LONG_AGO_S) return 'over'
  return `over since ${dateWords(end, 'hour', region.value)}: look at it before you go on`
})
</script>

<template>
  <span v-if="!to" class="wait t15"
    ><b>{{ name }}</b> {{ ' ' }}
    <b class="t20" :class="left === 0 ? 'verd' : 'copper'">{{
      left === 0 ? over : formatClock(left ?? timer.seconds)
    }}</b></span
  >
  <NuxtLink v-else :to="to" class="wait t15 underline"
    ><b>{{ name }}</b> {{ ' ' }}
    <b class="t20" :class="left === 0 ? 'verd' : 'copper'">{{
      left === 0 ? over : formatClock(left ?? timer.seconds)
    }}</b></NuxtLink
  >
</template>

<style scoped>
.wait {
  display: inline-flex;
  gap: 8px;
  align-items: baseline;
}
</style>
