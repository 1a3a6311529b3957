<script setup lang="ts">
import { unitSystemOf } from '#core/catalogue'
import {
  isMade,
  comingBack,
  dayWords,
  nextAction,
  STATION_IDS,
  STATIONS,
  type JobRecord,
  type Station,
} from '#core/record'
import { today } from '~/reading/today'

/** Every job as its run of pipe under common station heads; the next thing to do stands over each gap. */
const props = defineProps<{ jobs: readonly JobRecord[]; isLoaded: boolean }>()
const router = useRouter()
const rows = computed(() => props.jobs.map((job) => ({ job, next: nextAction(job) })))
const back = computed(() => comingBack(props.jobs, today()))
const at = ref(0)
const isNewOpen = ref(false)
const list = useTemplateRef<HTMLElement>('list')

/** What a station calls the record that it opens, in its address. */
const QUERY_NAMES: Readonly<Record<Station, string>> = {
  find: 'find',
  line: 'line',
  fix: 'line',
  cut: 'cut',
  joint: 'joint',
  make: 'joint',
  handover: 'joint',
}
const linkOf = ({ job, next }: (typeof rows.value)[number]) => {
  // A find that goes on to a joint begins one there.
  const isFromFind = next.station === 'joint' && job.finds.some(({ id }) => id === next.id)
  const name = isFromFind ? 'from' : QUERY_NAMES[next.station]
  const query = next.id === undefined ? {} : { [name]: next.id }
  return { path: `/jobs/${job.slug}/${next.station}`, query }
}
function move(step: number) {
  at.value = Math.min(rows.value.length - 1, Math.max(0, at.value + step))
  list.value?.querySelectorAll('a')[at.value]?.focus()
}
useKeys({
  j: () => move(1),
  k: () => move(-1),
  n: () => {
    isNewOpen.value = true
  },
  Enter: () => {
    if (rows.value[at.value]) void router.push(linkOf(rows.value[at.value]!))
  },
})
type Row = (typeof rows.value)[number]
function progressWords({ job, next }: Row): string {
  if (next.held) return 'held'
  if (next.done) return 'done'
  return `${job.joints.filter(isMade).length} of ${job.joints.length} joints made`
}
function statusOf({ next }: Row) {
  if (next.held) return 'held'
  return next.station === 'make' ? 'dry-fitted' : 'planned'
}
</script>

<template>
  <main class="jobs" :style="{ '--stations': STATION_IDS.length }" :aria-busy="!isLoaded">
    <div class="title">
      <h2 class="t26">{{ jobs.length === 1 ? 'One job' : `${jobs.length} jobs` }}</h2>
      <p v-if="jobs.length" class="t17 only-wide">The next thing to do stands over each gap.</p>
    </div>
    <div class="heads">
      <span v-for="station in STATION_IDS" :key="station">{{ STATIONS[station].name }}</span>
    </div>
    <div v-if="isLoaded && jobs.length === 0" class="p-6 space-y-3">
      <StagePipe :stations="[]" />
      <p>No job yet. Start one.</p>
    </div>
    <ul ref="list">
      <li v-for="(row, i) in rows" :key="row.job.id" :class="{ 'row-selected': i === at }">
        <NuxtLink :to="linkOf(row)" class="job" :data-job="row.job.slug" @focus="at = i">
          <span class="who">
            <b class="t20">{{ row.job.name }}</b>
            <span class="note t15">{{ row.job.place }}</span>
            <span class="t14"
              ><StatusShape v-if="row.next.held" status="held" class="inline" /> {{ progressWords(row) }}</span
            >
          </span>
          <span class="run">
            <span
              class="next"
              :style="{ '--station': STATION_IDS.indexOf(row.next.station) }"
              :class="{ late: STATION_IDS.indexOf(row.next.station) >= STATION_IDS.length / 2 }">
              <span class="words"
                >{{ row.next.words }}
                <span v-if="row.next.mm !== undefined" class="figure copper"
                  ><TapeFigure :mm="row.next.mm" :system="unitSystemOf(row.job.region)" /></span
                ><span v-if="row.next.mm !== undefined" class="t20">{{
                  row.job.region === 'us' ? 'in' : 'mm'
                }}</span></span
              >
              <span class="t15 below">{{ row.next.below }}</span>
            </span>
            <StagePipe :stations="stationViews(row.job, row.next.done ? null : row.next.station)"
              ><template #default><StatusShape :status="statusOf(row)" :size="20" /></template
            ></StagePipe>
          </span>
        </NuxtLink>
      </li>
    </ul>
    <section v-if="back.length" class="back" aria-label="To come back to" data-test="coming-back">
      <h3 class="zone-heading">To come back to</h3>
      <ul>
        <li v-for="one in back" :key="one.joint.id">
          <NuxtLink :to="`/jobs/${one.job.slug}/make?joint=${one.joint.id}`" class="t15"
            ><StatusShape :status="one.late ? 'held' : 'planned'" :size="14" /> <b>{{ dayWords(one.on, today()) }}</b>
            {{ one.job.name }} J{{ one.joint.number }} <span class="note">{{ one.joint.place }}</span></NuxtLink
          >
        </li>
      </ul>
      <a href="/api/come-back.ics" class="underline t14" data-test="come-back-ics">as a calendar (iCalendar)</a>
    </section>
    <div class="foot">
      <UButton data-test="new-job" @click="isNewOpen = true">New job <kbd>N</kbd></UButton>
      <span class="note only-wide"><kbd>J</kbd> <kbd>K</kbd> down, up &ensp;<kbd>Enter</kbd> open</span>
      <NuxtLink to="/sizes" class="link-verb only-narrow">Sizes</NuxtLink>
      <span class="legend">
        <span><StatusShape status="planned" /> planned</span><span><StatusShape status="dry-fitted" /> begun</span
        ><span><StatusShape status="made" /> made</span><span><StatusShape status="held" /> held</span>
      </span>
    </div>
    <NewJobDialog v-model:open="isNewOpen" />
  </main>
</template>

<style scoped>
.jobs {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.title {
  height: 56px;
  display: flex;
  align-items: baseline;
  gap: 16px;
  padding: 16px 18px 0;
  border-bottom: 1px solid var(--rule);
}
.heads {
  display: grid;
  grid-template-columns: repeat(var(--stations), 1fr);
  margin-left: 292px;
  height: 40px;
  align-items: center;
  text-align: center;
  font-size: 14px;
  font-weight: 600;
}
li {
  border-bottom: 2px solid var(--hair);
  /* A name may be one long word. */
  overflow-wrap: anywhere;
}
.job {
  display: grid;
  grid-template-columns: 292px 1fr;
  min-height: 128px;
}
.job:hover {
  background: var(--paper2);
}
.who {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 0 12px 14px 18px;
  justify-content: flex-end;
}
.run {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  padding-bottom: 14px;
  min-width: 0;
}
.next {
  display: flex;
  flex-direction: column;
  padding: 8px 18px 6px 0;
  margin-left: calc(100% / var(--stations) * var(--station) + 2%);
}
.next.late {
  margin: 0 calc(100% / var(--stations) * (var(--stations) - 1 - var(--station)) + 2%) 0 0;
  text-align: right;
  align-items: flex-end;
}
.words {
  font-size: 20px;
  font-weight: 700;
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px;
  line-height: 1.1;
}
.figure :deep(.fraction) {
  font-size: 0.44em;
}
.figure {
  font-size: 54px;
  line-height: 0.85;
  letter-spacing: -0.03em;
}
.back {
  display: flex;
  gap: 2px 26px;
  align-items: baseline;
  flex-wrap: wrap;
  padding: 6px 18px 0;
}
.back .zone-heading {
  flex-basis: auto;
}
.back li {
  border: 0;
}
.back ul {
  display: flex;
  gap: 0 26px;
  flex-wrap: wrap;
}
.back a {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 36px;
}
.foot {
  display: flex;
  align-items: center;
  gap: 26px;
  padding: 12px 18px;
  margin-top: auto;
}
.legend {
  margin-left: auto;
  display: flex;
  gap: 18px;
  font-size: 14px;
}
.legend span {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
@media (max-width: 899px) {
  .job {
    grid-template-columns: 1fr;
  }
  .who {
    padding: 12px 12px 0;
  }
  .run {
    padding: 0 0 10px;
  }
  .next,
  .next.late {
    margin: 0;
    padding: 6px 12px;
    text-align: left;
    align-items: flex-start;
  }
  .foot {
    position: sticky;
    bottom: 0;
    background: var(--paper);
    border-top: 1px solid var(--rule);
  }
  .words {
    font-size: 17px;
  }
  .figure {
    font-size: 40px;
  }
  .heads,
  .legend {
    display: none;
  }
}
</style>
