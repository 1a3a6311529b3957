<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { readDiameter } from '#core/record'
import { formatReading, unitOf } from '~/reading/format'
import { type Region, unitSystemOf } from '#core/units'

/**
 * The screen as a gauge: set by a card once, then a disc at true size; what it shows goes to the find it was opened for.
 */
const route = useRoute()
const router = useRouter()
const store = useJobStore()
const { scale, wasSet, set, forget } = useScreenScale()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const narrow = useNarrow()
/** Height of the line above the disc, px. */
const BAR_PX = 46

const job = computed(() => (typeof route.query.job === 'string' ? store.jobOf(route.query.job) : undefined))
const find = computed(() => job.value?.finds.find(({ id }) => id === route.query.find))
onMounted(() => {
  if (typeof route.query.job === 'string') void store.loadJob(route.query.job)
})
const region = computed<Region>(() => job.value?.region ?? 'gb')
const system = computed(() => unitSystemOf(region.value))
/** A usual size to begin from, or what was measured before, mm. */
const from = computed(() => {
  const reading = find.value && readDiameter(find.value, region.value)
  return reading?.state === 'read' ? reading.mm : 22
})
const isReady = computed(() => route.query.job === undefined || job.value !== undefined)
const back = computed(() =>
  job.value ? { path: `/jobs/${job.value.slug}/find`, query: find.value ? { find: find.value.id } : {} } : '/sizes',
)
const size = computed(() =>
  narrow.value
    ? { width: Math.floor(width.value), height: 330 }
    : { width: Math.max(300, Math.floor(width.value) - 431), height: Math.max(420, Math.floor(height.value) - BAR_PX) },
)

async function take(mm: number) {
  store.do(job.value!.slug, 'find/change', find.value!.id, {
    typed: `${formatReading(mm, system.value)} ${unitOf(system.value)}`,
    by: 'gauge',
  })
  await router.push(back.value)
}
const lastPxPerMm = ref<number | null>(null)
function setAnew() {
  lastPxPerMm.value = scale.value?.pxPerMm ?? null
  forget()
}
useKeys({
  Escape: () => {
    void router.push(back.value)
  },
})
</script>

<template>
  <main ref="frame" class="frame">
    <p class="bar t14">
      <NuxtLink :to="back" class="underline min-h-11 inline-flex items-center" data-test="gauge-back">{{
        find ? `Back to ${find.place || 'the find'}` : 'Back to sizes'
      }}</NuxtLink>
      {{ ' ' }}
      <kbd>Esc</kbd>
    </p>
    <template v-if="width > 0 && isReady">
      <CardScale v-if="!scale" :from="lastPxPerMm" :was-set="wasSet" :room="narrow ? width : width - 431" :set="set" />
      <ScreenGauge
        v-else
        :px-per-mm="scale.pxPerMm"
        :width="size.width"
        :height="size.height"
        :region="region"
        :system="system"
        :from="from"
        :can-take="find !== undefined"
        @take="take"
        @scale="setAnew" />
    </template>
  </main>
</template>

<style scoped>
.frame {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.bar {
  padding: 0 18px;
  border-bottom: 1px solid var(--hair);
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
