<script setup lang="ts">
import type { JobRecord } from '#core/record'
import { REGION_WORDS } from '~/wording/en'

/** Top strip: where you are, what units, whether it is saved, light or cellar. */
const props = defineProps<{ job?: JobRecord; title?: string }>()
const store = useJobStore()
const { state, words } = useSaveState()
const keptOpen = useState('kept-open', () => false)
const { theme, flip } = useTheme()
const keysOpen = useState('keys-open', () => false)
const jobOpen = useState<string | null>('job-open', () => null)
const router = useRouter()
const route = useRoute()
/** The job in the address, before it is read. */
const slug = computed(() => props.job?.slug ?? (typeof route.params.job === 'string' ? route.params.job : null))
/** Sheets are brought when they are first opened. */
const wasOpen = {
  keys: useEver(() => keysOpen.value),
  kept: useEver(() => keptOpen.value),
  job: useEver(() => jobOpen.value !== null),
}
useKeys({
  '\\': flip,
  '?': () => {
    keysOpen.value = true
  },
  z: () => {
    void router.push('/sizes')
  },
  e: () => {
    if (props.job && !store.isLoose(props.job.id)) jobOpen.value = props.job.slug
  },
  v: () => {
    if (slug.value) void router.push(`/jobs/${slug.value}/kit`)
  },
})
</script>

<template>
  <header class="top">
    <NuxtLink to="/" class="home" aria-label="Jolvet, all jobs"><JolvetMark /></NuxtLink>
    <template v-if="job">
      <h1 class="name">
        <button
          v-if="!store.isLoose(job.id)"
          type="button"
          class="own"
          data-test="open-job"
          @click="jobOpen = job.slug">
          {{ job.name }}<i>{{ job.place }}</i>
        </button>
        <template v-else>{{ job.name }}</template>
      </h1>
      <button
        v-if="!store.isLoose(job.id)"
        type="button"
        class="only-wide t14 w6 region"
        data-test="open-region"
        :aria-label="`${REGION_WORDS[job.region]}: standards and units of this job`"
        @click="jobOpen = job.slug">
        {{ REGION_WORDS[job.region] }}
      </button>
      <span v-else class="only-wide t14 w6">{{ REGION_WORDS[job.region] }}</span>
    </template>
    <h1 v-else class="name">
      Jolvet<i>{{ title }}</i>
    </h1>
    <span class="right">
      <AskStrip :job="job" />
      <span v-if="store.problem" class="brick t14 w6 problem" role="alert"
        ><StatusShape status="refused" /> {{ store.problem }}</span
      >
      <button
        type="button"
        class="state t13"
        :class="state"
        :data-saved="state"
        :title="store.refused[0]?.issue?.message"
        @click="keptOpen = true">
        <StatusShape v-if="state === 'clash'" status="held" :size="14" /><StatusShape
          v-else-if="state === 'refused'"
          status="refused"
          :size="14" /><span role="status">{{ words }}</span>
      </button>
      <button
        type="button"
        class="flip"
        :aria-label="theme === 'cellar' ? 'Light paper' : 'Cellar, dark'"
        @click="flip">
        <span class="word t14"
          ><span>{{ theme === 'cellar' ? 'light' : 'cellar' }}</span> <kbd>\</kbd></span
        >
        <svg class="only-narrow" width="20" height="20" viewBox="-10 -10 20 20" aria-hidden="true">
          <circle r="7" class="l-edge" />
          <path d="M0-7A7 7 0 0 0 0 7Z" fill="var(--ink)" />
        </svg>
      </button>
      <NuxtLink v-if="slug" :to="`/jobs/${slug}/kit`" class="flip t14"
        ><span class="kit">kit</span> <kbd class="only-wide">V</kbd></NuxtLink
      >
      <NuxtLink to="/sizes" class="flip keys t14"><span>sizes</span> <kbd>Z</kbd></NuxtLink>
      <button type="button" class="flip keys t14" @click="keysOpen = true"><span>keys</span> <kbd>?</kbd></button>
    </span>
    <LazyKeysSheet v-if="wasOpen.keys.value" />
    <LazyKeptSheet v-if="wasOpen.kept.value" />
    <LazyJobSheet v-if="wasOpen.job.value" />
  </header>
  <PlainBand />
</template>

<style scoped>
.top {
  height: 44px;
  border-bottom: 1px solid var(--rule);
  display: flex;
  align-items: center;
  padding: 0 18px;
  gap: 16px;
  white-space: nowrap;
}
.home {
  display: grid;
  place-items: center;
  min-height: 44px;
}
.name {
  font-size: 16px;
  letter-spacing: -0.01em;
  flex: 0 1 auto;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
.own {
  min-height: 44px;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.own:hover {
  text-decoration: underline;
}
.name i {
  font-style: normal;
  font-weight: 400;
  color: var(--ink2);
  margin-left: 6px;
}
.region {
  min-height: 40px;
  border-bottom: 2px solid var(--copper);
}
.right {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 16px;
  flex: none;
  max-width: 72%;
}
.problem {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  overflow: hidden;
  text-overflow: ellipsis;
}
.state {
  min-height: 44px;
  min-width: 52px;
  display: flex;
  gap: 5px;
  align-items: center;
  justify-content: flex-end;
  color: var(--ink2);
  overflow: hidden;
  text-overflow: ellipsis;
}
.state:hover {
  text-decoration: underline;
}
.state.kept,
.state.away {
  color: var(--ink);
  font-weight: 600;
}
.state.clash {
  color: var(--ochre);
  font-weight: 700;
}
.state.refused {
  color: var(--brick);
  font-weight: 700;
}
.flip {
  min-height: 44px;
  min-width: 44px;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
}
.word {
  display: flex;
  align-items: center;
  gap: 6px;
}
@media (max-width: 899px) {
  .top {
    height: 48px;
    padding: 0 12px;
    gap: 10px;
  }
  .keys,
  .word {
    display: none;
  }
  .kit {
    text-decoration: underline;
  }
  .right {
    gap: 8px;
  }
  .problem,
  .state {
    white-space: normal;
    font-size: 13px;
    line-height: 1.1;
    max-width: 150px;
    text-align: right;
  }
}
</style>
