<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'
import type { TimerRecord } from '#core/record'
import { LOCALES } from '#core/speech'
import { endOfWait } from '~/reading/waits'

/** One wait in a line: which joint, what is left, or since when it is over. */
const props = defineProps<{ name: string; timer: TimerRecord; to: RouteLocationRaw | null }>()
const region = useRegion()
const left = useWait(() => props.timer)
/** A wait that was over long ago was left to itself, such as over night. */
const LONG_AGO_S = 3600
const over = computed(() => {
  const end = new Date(endOfWait(props.timer))
  if ((Date.now() - end.getTime()) / 1000 <= LONG_AGO_S) return 'over'
  const since = end.toLocaleString(LOCALES[region.value], { weekday: 'short', hour: '2-digit', minute: '2-digit' })
  return `over since ${since}: look at it before you go on`
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
