<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { dayWords, type ComingBack } from '#core/record'
import { today } from '~/reading/today'

/** The days somebody comes back on, along a tape that begins today: a ring each, what is late left of it. */
const props = defineProps<{ joints: readonly ComingBack[] }>()
const DAY_MS = 86_400_000
/** Room a day's words take, px, and the px from the left edge to today. */
const WORDS_PX = 168
const TODAY_PX = 40
/** Days a tape shows at least. */
const LEAST_DAYS = 28
const tape = useTemplateRef<HTMLElement>('tape')
const { width } = useElementSize(tape)
const daysOff = (day: string) => Math.round((Date.parse(day) - Date.parse(today())) / DAY_MS)

const late = computed(() => props.joints.filter(({ late: isLate }) => isLate))
/** One ring a day, with what is come back to then. */
const days = computed(() => {
  const found = new Map<string, ComingBack[]>()
  for (const one of props.joints) if (!one.late) found.set(one.on, [...(found.get(one.on) ?? []), one])
  return [...found].map(([on, joints]) => ({ on, joints }))
})
const span = computed(() => Math.max(LEAST_DAYS, ...days.value.map(({ on }) => daysOff(on))) + 3)
const xOf = (off: number) => TODAY_PX + (off / span.value) * Math.max(0, width.value - TODAY_PX - 8)
const ticks = computed(() =>
  Array.from({ length: span.value }, (_, off) => ({
    x: xOf(off),
    isMonday: new Date(Date.parse(today()) + off * DAY_MS).getUTCDay() === 1,
  })),
)
/** Rings whose words have room beside the one before; the others keep the ring alone. */
const rings = computed(() => {
  let free = 60
  return days.value.map(({ on, joints }) => {
    const x = xOf(daysOff(on))
    const hasRoom = x >= free && x + 60 <= width.value
    if (hasRoom) free = x + WORDS_PX
    return { on, joints, x, hasRoom }
  })
})
const linkOf = ({ job, joint }: ComingBack) => `/jobs/${job.slug}/make?joint=${joint.id}`
const nameOf = ({ job, joint }: ComingBack) => `${job.name.split(' ').slice(0, 2).join(' ')} J${joint.number}`
const region = useRegion()
const day = (on: string) => dayWords(on, today(), region.value).split(',')[0]!
</script>

<template>
  <section class="back" aria-label="To come back to" data-test="coming-back">
    <div class="says">
      <b class="t14">To come back to</b>
      <a href="/api/come-back.ics" class="underline t14" data-test="come-back-ics"
        >{{ joints.length }}, as a calendar</a
      >
    </div>
    <NuxtLink v-for="one in late" :key="one.joint.id" :to="linkOf(one)" class="late ochre w7 t14"
      ><StatusShape status="held" :size="16" />
      <span
        ><b>{{ day(one.on) }}</b> {{ nameOf(one) }}</span
      ></NuxtLink
    >
    <div ref="tape" class="tape">
      <svg v-if="width" :width="width" height="22" aria-hidden="true">
        <path :d="`M${xOf(0)} 11H${width}`" class="l-dim2" />
        <path v-for="tick in ticks" :key="tick.x" :d="`M${tick.x} 11v${tick.isMonday ? -8 : -4}`" class="l-dim2" />
        <path :d="`M${xOf(0)} 2V20`" class="l-sel3" />
      </svg>
      <span class="today t13 w6">today</span>
      <NuxtLink
        v-for="ring in rings"
        :key="ring.on"
        :to="linkOf(ring.joints[0]!)"
        class="on"
        :style="{ left: `${ring.x}px` }"
        :aria-label="`${day(ring.on)}: ${ring.joints.map(nameOf).join(', ')}`"
        ><StatusShape status="planned" :size="16" /><span v-if="ring.hasRoom" class="words t13"
          ><b>{{ day(ring.on) }}</b
          ><span class="note only-wide"
            >{{ ' ' }}{{ nameOf(ring.joints[0]!)
            }}{{ ring.joints.length > 1 ? ` +${ring.joints.length - 1}` : '' }}</span
          ></span
        ></NuxtLink
      >
    </div>
  </section>
</template>

<style scoped>
.back {
  display: flex;
  align-items: center;
  gap: 16px;
  height: 54px;
  padding: 0 18px;
  border-bottom: 1px solid var(--rule);
}
.says {
  display: flex;
  flex-direction: column;
  flex: none;
}
.late {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  flex: none;
}
.tape {
  position: relative;
  flex: 1;
  min-width: 0;
  height: 46px;
  overflow: hidden;
}
.today {
  position: absolute;
  left: 22px;
  bottom: 2px;
}
.on {
  position: absolute;
  top: 3px;
  height: 44px;
  min-width: 44px;
  margin-left: -8px;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.words {
  white-space: nowrap;
}
@media (max-width: 899px) {
  .back {
    padding: 0 12px;
    gap: 8px;
  }
  .says b {
    display: none;
  }
  .says {
    max-width: 84px;
  }
}
</style>
