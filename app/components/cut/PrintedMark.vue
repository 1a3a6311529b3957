<script setup lang="ts">
import { nearestMark } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'

/** The mark printed on the pipe that lies nearest to where it is cut. */
const props = defineProps<{ place: number; every: number; system: UnitSystem }>()
const mark = computed(() => nearestMark(props.place, props.every))
const words = computed(() => {
  const { at, off, serves } = mark.value
  const where = `printed mark at ${formatLength(at, props.system)}`
  if (serves) return `${where}: cut on it`
  return `nearest ${where}, ${formatLength(Math.abs(off), props.system)} ${off > 0 ? 'over' : 'short'}`
})
</script>

<template>
  <span class="t14" :class="mark.serves ? 'copper w6' : 'note'" data-test="printed-mark">{{ words }}</span>
</template>
