<script setup lang="ts">
import type { JobRecord, Station } from '#core/record'
import { rules } from '~/outbox/rules'

/** Frame of a job's screens: top strip, stage line, the drawing table below. */
const props = defineProps<{
  job: JobRecord | undefined
  here: Station | null
  detail?: string
  missing: string | null
}>()
const store = useJobStore()
useWaitSignal(toRef(props, 'job'))
/** Clashes of this job; one put off stays in the band below the stations. */
const clashes = computed(() => store.clashes.filter((entry) => entry.job === props.job?.id))
const putOff = ref<string | null>(null)
const isKeeping = ref(false)
const clash = computed(() => clashes.value.find(({ key }) => key !== putOff.value))
/** How far the job is at each station takes a while to work out: the line of their names stands first. */
const gist = useGist(() => props.job)
const route = useRoute()
const stations = computed(() =>
  gist.value
    ? stationViews(gist.value, props.here, props.detail)
    : stationNames(String(route.params.job), props.here, props.detail),
)
</script>

<template>
  <div class="frame" :class="{ footed: job && store.lastDone(job.id) }">
    <AppTop :job="job" />
    <InTurn v-if="job || !missing"
      ><StageLine :key="String(route.params.job)" :stations="stations" /><template #before
        ><div class="stage-empty" /></template
    ></InTurn>
    <div v-if="job && store.isLoose(job.id)" class="held loose" data-test="loose-band">
      <StatusShape status="dry-fitted" :size="16" />
      <span><b>In no job yet.</b> It is kept on this tablet alone.</span>
      <RuledButton variant="outline" data-test="keep-loose" @click="isKeeping = true">Keep to a job</RuledButton>
      <KeepLoose v-model:open="isKeeping" :job="job" />
    </div>
    <main class="work">
      <LazyClashBench v-if="job && clash" :key="clash.key" :job="job" :entry="clash" @later="putOff = clash!.key" />
      <template v-else-if="job">
        <p v-for="entry in clashes" :key="entry.key" class="held">
          <StatusShape status="held" :size="18" /> <b>Two hands on {{ rules().recordWords(entry, job) }}.</b> It is held
          till one entry is picked.
          <button type="button" class="link-verb" data-test="open-clash" @click="putOff = null">See both</button>
        </p>
        <InTurn><slot /></InTurn>
      </template>
      <div v-else-if="missing" class="p-6 space-y-4">
        <p class="t20 flex items-center gap-2"><StatusShape status="refused" :size="20" /> {{ missing }}</p>
        <RuledButton to="/" variant="outline">All jobs</RuledButton>
      </div>
    </main>
    <InTurn :after="2"><TakeBack v-if="job && !clash" :key="`back ${job.id}`" :job="job" /><KeepSteps /></InTurn>
  </div>
</template>

<style scoped>
.frame {
  min-height: 100dvh;
  display: flex;
  flex-direction: column;
}
/* As high as the stage line that comes in its place. */
.stage-empty {
  height: 56px;
  border-bottom: 1px solid var(--rule);
}
.held {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 6px 18px;
  min-height: 44px;
  border-bottom: 3px solid var(--ochre);
}
.held.loose {
  border-bottom: 1px dashed var(--rule);
}
.work {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
@media (max-width: 899px) {
  .stage-empty {
    height: 58px;
  }
}
/* What sticks to the foot of a bench stands above the line that takes back. */
@media (min-width: 900px) {
  .footed {
    --foot: 37px;
  }
}
</style>
