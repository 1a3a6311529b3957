<script setup lang="ts">
import type { JobList, ListedJob } from '#core/acts'
import { orderFor, type JobRecord } from '#core/record'
import { REGIONS } from '#core/units'
import { today } from '~/reading/today'
import { REGION_WORDS } from '~/wording/en'

/** One order over the jobs of a day: those worked on today stand ticked, any other open one can be. */
const store = useJobStore()
/** Jobs of the country that is usual here are ticked by themselves; one in other units is by hand. */
const usual = useUsualRegion()
const listed = shallowRef<readonly ListedJob[] | null>(null)
const problem = ref<string | null>(null)
const picked = ref<readonly string[]>([])

onMounted(async () => {
  const answer = await store.read<JobList>('/api/jobs?shelf=open&limit=50')
  if (!answer.ok) {
    problem.value = answer.error.message
    return
  }
  listed.value = answer.value.jobs
  picked.value = answer.value.jobs
    .filter(({ at, region }) => at.slice(0, 10) === today() && region === usual.value)
    .map(({ slug }) => slug)
})
watch(picked, (slugs) => {
  for (const slug of slugs) void store.loadJob(slug)
})
const jobs = computed<JobRecord[]>(() => picked.value.flatMap((slug) => store.jobOf(slug) ?? []))
/** One order for each country's sizes: a counter sells one of them. */
const orders = computed(() =>
  REGIONS.flatMap((region) => {
    const own = jobs.value.filter((job) => job.region === region)
    const rows = orderFor(own)
    const pdf = `/api/order.pdf?${new URLSearchParams(own.map(({ slug }) => ['job', slug])).toString()}`
    return rows.length === 0 ? [] : [{ region, rows, pdf }]
  }),
)
const flip = (slug: string) => {
  picked.value = picked.value.includes(slug) ? picked.value.filter((one) => one !== slug) : [...picked.value, slug]
}
</script>

<template>
  <main class="bench">
    <h1 class="t26 w7">For the counter, a day's jobs together</h1>
    <p v-if="problem" class="t17 flex gap-2 items-center"><StatusShape status="refused" :size="16" /> {{ problem }}</p>
    <div v-else class="answers" role="group" aria-label="Jobs">
      <button
        v-for="job in listed ?? []"
        :key="job.id"
        type="button"
        class="answer"
        :aria-pressed="picked.includes(job.slug)"
        :data-day-job="job.slug"
        @click="flip(job.slug)">
        {{ job.name }} <span class="note t13">{{ job.place }}</span>
      </button>
    </div>
    <p v-if="listed && picked.length === 0" class="t17">Tick the jobs that are bought for.</p>
    <p v-else-if="listed && orders.length === 0" class="t17" data-test="nothing-to-order">
      Nothing to order for these.
    </p>
    <section v-for="order in orders" :key="order.region" :data-day-order="order.region">
      <h2 v-if="orders.length > 1" class="t20 w7 mt-3">{{ REGION_WORDS[order.region] }}</h2>
      <OrderTable :rows="order.rows" :region="order.region" :can-count="false" />
      <OrderVerbs
        :rows="order.rows"
        :region="order.region"
        :pdf="order.pdf"
        :has-key="orders.length === 1"
        class="mt-4" />
    </section>
    <p class="note t13 mt-4">What each van holds is typed on the job's own order.</p>
  </main>
</template>

<style scoped>
.bench {
  padding: 14px 24px 40px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
@media (max-width: 899px) {
  .bench {
    padding: 10px 12px 40px;
  }
}
</style>
