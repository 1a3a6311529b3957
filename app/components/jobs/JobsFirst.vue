<script setup lang="ts">
import { readDiameter, type Means, type Station } from '#core/record'
import { unitOf } from '~/reading/format'
import { MEANS_WORDS, REGION_WORDS } from '~/wording/en'
import { REGIONS, unitSystemOf } from '#core/units'
import { speak, w } from '#core/speech'

/** First sight, with no job yet: what the calliper says is typed at once, and kept to a job later. */
const store = useJobStore()
const list = useListStore()
const router = useRouter()
const region = useUsualRegion()
const typed = ref('')
const by = ref<Means>('calliper')
const isNewOpen = ref(false)
const problem = ref<string | null>(null)
const field = useTemplateRef<HTMLInputElement>('field')
const MEANS_SHOWN = ['calliper', 'tape-round', 'rule'] as const satisfies readonly Means[]
const LOOKS = [
  ['colour', w.colour],
  ['print', 'print along it'],
  ['held-by', 'what holds the joints'],
  ['magnet', 'magnet'],
] as const
const system = computed(() => unitSystemOf(region.value))
const isTyped = computed(() => typed.value.trim() !== '')
onMounted(() => field.value?.focus({ preventScroll: true }))

/** A find that is in no job yet, opened where it is answered. */
async function find(query: Record<string, string> = {}) {
  const loose = await store.createLoose(region.value)
  const begun = store.begin(loose.slug, 'find/begin', { typed: typed.value.trim(), by: by.value })
  if (begun.ok) await router.push({ path: `/jobs/${loose.slug}/find`, query: { find: begun.value.id, ...query } })
  else problem.value = begun.error.message
}
async function measure() {
  if (!isTyped.value) return
  const reading = readDiameter({ typed: typed.value, by: by.value }, region.value)
  if (reading.state === 'wrong') problem.value = reading.message
  else await find()
}
/** The screen as a gauge, for who has nothing else. */
async function onScreen() {
  const loose = await store.createLoose(region.value)
  const begun = store.begin(loose.slug, 'find/begin', {})
  if (begun.ok) await router.push({ path: '/gauge', query: { job: loose.slug, find: begun.value.id } })
}
async function at(station: Station) {
  const loose = await store.createLoose(region.value)
  await router.push(`/jobs/${loose.slug}/${station}`)
}
const nextRegion = () => {
  region.value = REGIONS[(REGIONS.indexOf(region.value) + 1) % REGIONS.length]!
}
const isLoading = ref(false)
async function demo() {
  isLoading.value = true
  const loaded = await useApi().loadDemo()
  isLoading.value = false
  problem.value = loaded.ok ? null : loaded.error.message
  await list.load()
}
useKeys({
  g: nextRegion,
  n: () => {
    isNewOpen.value = true
  },
  d: () => void demo(),
})
</script>

<template>
  <main class="first">
    <section class="measure" aria-labelledby="measure-title">
      <h2 id="measure-title" class="title"><b class="t26">Measure a pipe</b> now, no job needed</h2>
      <div class="how">
        <svg viewBox="-150 -140 300 330" class="end" aria-hidden="true">
          <circle r="104" class="l-hidden wide" />
          <circle r="95" class="l-hidden" />
          <path d="M-128 0H128M0-124V124" class="l-centre" />
          <path d="M-104 0V156M104 0V156" class="l-dim2" />
          <path :d="isTyped ? 'M-104 148H104' : 'M-104 148H-30M30 148H104'" class="l-sel" />
          <path d="M-109 153L-99 143M99 153L109 143" class="l-sel" />
          <text v-if="!isTyped" y="170" class="mid copper ask">?</text>
          <text v-else y="140" class="mid copper w7" font-size="30">{{ typed.slice(0, 12) }}</text>
        </svg>
        <ol>
          <li>
            <b class="n copper">1</b><b class="t20">Measure across, outside.</b
            ><span class="note">{{ speak(`By ${w.calliper}, rule, or paper round it.`, region) }}</span>
          </li>
          <li>
            <b class="n copper">2</b><b class="t20">Type what you read.</b
            ><span class="note">{{
              system === 'inch' ? '0.875, 7/8 in, or 2 3/4 round it' : '21.5, or 7/8 in, or 67.5 round it'
            }}</span>
          </li>
          <li>
            <b class="n copper">3</b><b class="t20">Read what it is.</b
            ><span class="note">Then what joins it, and how deep.</span>
          </li>
        </ol>
      </div>
      <form class="ask-line" @submit.prevent="measure">
        <label class="outside"
          ><span class="t17">{{ by === 'tape-round' ? 'round it' : 'outside' }}</span
          ><input
            ref="field"
            v-model="typed"
            class="t20 w7"
            maxlength="40"
            autocomplete="off"
            spellcheck="false"
            :aria-invalid="problem !== null"
            aria-describedby="first-problem"
            data-test="first-typed"
            @input="problem = null" /><span class="note">{{ unitOf(system) }}</span></label
        >
        <span role="group" aria-label="Measured with" class="means">
          <button
            v-for="one in MEANS_SHOWN"
            :key="one"
            type="button"
            class="choice"
            :aria-pressed="by === one"
            @click="by = one">
            {{ speak(MEANS_WORDS[one], region) }}
          </button>
          <button type="button" class="choice" data-test="on-screen" @click="onScreen">on the screen</button>
        </span>
        <button
          type="submit"
          class="what"
          :class="{ ready: isTyped }"
          :aria-disabled="!isTyped"
          data-test="first-measure">
          What is it? <kbd class="only-wide">Enter</kbd>
        </button>
      </form>
      <p id="first-problem" class="brick w6 said" role="alert">{{ problem }}</p>
      <p class="said">
        Nothing to measure with? Answer by look:
        <template v-for="([check, words], i) in LOOKS" :key="check"
          >{{ i ? ', ' : ''
          }}<button type="button" class="underline look" :data-look="check" @click="find({ check })">
            {{ speak(words, region) }}
          </button></template
        >. It is kept on this tablet till it gets a job.
      </p>
      <ul v-if="list.loose.length" aria-label="In no job yet">
        <li v-for="job in list.loose" :key="job.id"><LooseRow :job="job" /></li>
      </ul>
    </section>
    <aside class="aside">
      <div>
        <p class="zone-heading">Which sizes <kbd class="only-wide">G</kbd></p>
        <div role="group" aria-label="Sizes" class="regions">
          <button
            v-for="one in REGIONS"
            :key="one"
            type="button"
            class="pick"
            :aria-pressed="region === one"
            :data-region="one"
            @click="region = one">
            {{ REGION_WORDS[one] }}
          </button>
        </div>
        <p class="note t14">Sizes, words and rules follow it. Each job may differ.</p>
      </div>
      <div>
        <h3 class="t20">You know the pipes</h3>
        <p class="t15">
          <kbd>/</kbd> at the top: {{ system === 'inch' ? '3/4 copper to 1/2 pex' : '22 copper to 20 multilayer hot' }}
        </p>
        <p class="note t14">One line gives the ways and their depths.</p>
      </div>
      <div>
        <h3 class="t20">You have a whole job</h3>
        <RuledButton block variant="outline" data-test="new-job" @click="isNewOpen = true"
          >Start a job <kbd class="only-wide">N</kbd></RuledButton
        >
        <p class="note t14">Name and place, nothing else. It runs left to right along the pipe below.</p>
      </div>
      <div>
        <h3 class="t20">You only want to look</h3>
        <RuledButton block variant="outline" :loading="isLoading" data-test="demo" @click="demo"
          >Open the demo, 4 jobs <kbd class="only-wide">D</kbd></RuledButton
        >
        <p class="note t14">Four made-up places. Each is deleted like any job.</p>
      </div>
    </aside>
    <FirstWay class="way" @at="at" />
    <NewJobDialog v-model:open="isNewOpen" />
  </main>
</template>

<style scoped>
.first {
  flex: 1;
  display: grid;
  grid-template: 'measure aside' 1fr 'way way' auto / 1fr 430px;
}
.measure {
  grid-area: measure;
  display: flex;
  flex-direction: column;
}
.title {
  height: 56px;
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 18px;
  font-weight: 400;
  font-size: 17px;
  border-bottom: 1px solid var(--rule);
}
.how {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 60px;
  flex: 1;
  padding: 16px 18px;
}
.end {
  width: 290px;
  flex: none;
}
.wide {
  stroke-width: 2;
}
.ask {
  font-size: 64px;
  font-weight: 700;
}
.how li {
  display: grid;
  grid-template-columns: 26px 1fr;
  padding: 14px 0;
}
.how li > .note {
  grid-column: 2;
}
.n {
  font-size: 26px;
  line-height: 1;
}
.ask-line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 22px;
  margin: 0 18px;
  padding: 12px 18px;
  background: var(--paper2);
  border: 2px solid var(--copper);
  border-width: 2px 0 2px 5px;
}
.outside {
  display: flex;
  align-items: center;
  gap: 14px;
  font-weight: 600;
}
.outside input {
  width: 150px;
  height: 44px;
  background: transparent;
  border: 0;
  border-bottom: 2px solid var(--ink);
  color: var(--ink);
  caret-color: var(--copper);
}
.means {
  display: flex;
  gap: 14px;
}
.what {
  margin-left: auto;
  min-height: 52px;
  padding: 0 18px;
  font-size: 17px;
  border: 2px dashed var(--rule);
}
.what.ready {
  border: 2px solid var(--ink);
  font-weight: 700;
}
.said {
  padding: 6px 18px;
}
.look {
  min-height: 32px;
}
.aside {
  grid-area: aside;
  border-left: 1px solid var(--rule);
}
.aside > div {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 14px 18px 14px 22px;
  border-bottom: 1px solid var(--rule);
}
.aside > div:last-child {
  border-bottom: 0;
}
.regions {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 10px;
}
.pick {
  min-height: 44px;
  text-align: center;
  border: 1px solid var(--rule);
}
.pick[aria-pressed='true'] {
  border: 2px solid var(--copper);
  font-weight: 700;
}
.way {
  grid-area: way;
}
@media (max-width: 899px) {
  .first {
    grid-template: 'measure' auto 'aside' auto 'way' auto / minmax(0, 1fr);
  }
  .title {
    padding: 0 12px;
    height: 48px;
  }
  .how {
    order: 1;
    gap: 12px;
    padding: 8px 12px;
  }
  .end {
    width: 112px;
  }
  .how li {
    padding: 5px 0;
  }
  .ask-line {
    margin: 10px 0 0;
    padding: 12px;
  }
  .outside {
    width: 100%;
  }
  .outside input {
    flex: 1;
    width: auto;
  }
  .what {
    width: 100%;
    min-height: 60px;
  }
  .said {
    padding: 6px 12px;
  }
  .aside {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
  .aside > div {
    padding: 14px 12px;
  }
}
</style>
