<script setup lang="ts">
import { overdue, type JobRecord } from '#core/record'
import { today } from '~/reading/today'

/**
 * Kit: the tools on the van, the fittings measured by hand, the schools of the job; what is not right is counted at the
 * top.
 */
const props = defineProps<{ job: JobRecord }>()
const store = useJobStore()
const day = today()
const measured = useOwnMinutes(() => props.job.region)
const late = computed(() => overdue(props.job.tools, day).length)
const unmeasured = computed(
  () => props.job.fittings.filter(({ insertion, takeOut }) => insertion === null || takeOut === null).length,
)
const plural = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`
const title = computed(
  () =>
    `${props.job.tools === null ? 'Any tool' : plural(props.job.tools.length, 'tool')}, ${props.job.fittings.length === 0 ? 'no fitting measured yet' : plural(props.job.fittings.length, 'fitting')}`,
)
const notRight = computed(
  () =>
    [
      late.value ? `${plural(late.value, 'check')} over date` : null,
      unmeasured.value ? `${plural(unmeasured.value, 'figure')} not measured` : null,
    ]
      .filter(Boolean)
      .join('; ') || 'nothing over date',
)
</script>

<template>
  <div class="title">
    <h2 class="t26">{{ title }}</h2>
    <p class="t17" :class="late ? 'ochre w6' : 'note'" data-test="kit-state">{{ notRight }}</p>
    <NuxtLink :to="`/jobs/${job.slug}`" class="link-verb ml-auto">Back to the work</NuxtLink>
  </div>
  <div class="bench">
    <div>
      <ToolList
        :tools="job.tools"
        :region="job.region"
        :today="day"
        @change="(tools) => store.do(job.slug, 'kit/change', null, { tools })" />
      <MinutesTable
        class="mt-6"
        :minutes="job.minutes"
        :measured="measured"
        :region="job.region"
        @change="(minutes) => store.do(job.slug, 'kit/change', null, { minutes })" />
      <PriceList class="mt-4" :job="job" @change="(prices) => store.do(job.slug, 'kit/change', null, { prices })" />
    </div>
    <div>
      <FittingTable
        :fittings="job.fittings"
        :region="job.region"
        :today="day"
        @change="(fittings) => store.do(job.slug, 'kit/change', null, { fittings })" />
      <BenderTable
        class="mt-6"
        :benders="job.benders"
        :region="job.region"
        :today="day"
        @change="(benders) => store.do(job.slug, 'kit/change', null, { benders })" />
      <p class="t15 mt-4">
        <a :href="`/api/jobs/${job.slug}/depth-cards.pdf`" target="_blank" class="link-verb" data-test="depth-cards"
          >Print depth cards</a
        >
        {{ ' ' }}
        <span class="note t14">of this job's joints, at true size</span>
      </p>
      <p class="note t14 mt-3">A way that was taken before stays as it was taken. A new job begins with this kit.</p>
    </div>
    <div>
      <PolicyList :policy="job.policy" @change="(policy) => store.do(job.slug, 'kit/change', null, { policy })" />
      <HotWork
        :hot-work="job.hotWork"
        :region="job.region"
        @change="(hotWork) => store.do(job.slug, 'kit/change', null, { hotWork })" />
    </div>
  </div>
</template>

<style scoped>
.title {
  min-height: 56px;
  border-bottom: 1px solid var(--rule);
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 6px 18px;
  flex-wrap: wrap;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 400px minmax(0, 1fr) 380px;
}
.bench > * {
  padding: 12px 18px;
  min-width: 0;
  border-right: 1px solid var(--rule);
}
.bench > *:last-child {
  border-right: 0;
}
@media (max-width: 1180px) {
  .bench {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 899px) {
  .bench {
    display: flex;
    flex-direction: column;
  }
  .bench > * {
    padding: 12px;
    border-right: 0;
    border-bottom: 1px solid var(--rule);
  }
  .title {
    padding: 6px 12px;
  }
}
</style>
