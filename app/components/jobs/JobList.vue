<script setup lang="ts">
import { useDebounceFn, useNow, useResizeObserver, useWindowSize } from '@vueuse/core'
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { SHELVES, type Shelf } from '#core/record'
import { gapLink } from '~/reading/gap-link'
import { dayTime } from '~/wording/times'
import { SHELF_WORDS } from '~/wording/jobs'

/** Every job as its run of pipe: searched, by shelf, newest work first, only what is in sight drawn. */
const list = useListStore()
const store = useJobStore()
const router = useRouter()
const narrow = useNarrow()
const region = useRegion()
const now = useNow({ interval: 30_000 })
const rows = computed(() => list.shown)
const at = ref(0)
const isNewOpen = ref(false)
const jobOpen = useState<string | null>('job-open', () => null)
const field = useTemplateRef<HTMLInputElement>('field')
const top = useTemplateRef<HTMLElement>('top')
const first = computed(() => list.totals)

/** What stands above the rows, px: told once the page is laid out, so that it is never laid out for this alone. */
const above = ref(0)
useResizeObserver(top, () => {
  above.value = top.value?.offsetTop ?? 0
})

/** Row heights, px: as the pictures have them. */
const height = (index: number): number => {
  if (!narrow.value) return 56
  return index === at.value ? 112 : 104
}
const virtual = useWindowVirtualizer(
  computed(() => ({
    count: rows.value.length,
    estimateSize: height,
    overscan: 6,
    scrollMargin: above.value,
    getItemKey: (index: number) => rows.value[index]!.id,
  })),
)
const drawn = computed(() => virtual.value.getVirtualItems())
watch([at, narrow], () => virtual.value.measure())
// The next page comes before the last row is in sight.
watch(
  () => drawn.value.at(-1)?.index ?? 0,
  (last) => {
    if (last >= rows.value.length - 10) void list.more()
  },
)
watch(
  () => rows.value.length,
  (length) => {
    at.value = Math.min(at.value, Math.max(0, length - 1))
  },
)
const inSight = computed(() => {
  const seen = drawn.value.filter(
    ({ start, end }) =>
      end > (virtual.value.scrollOffset ?? 0) && start < (virtual.value.scrollOffset ?? 0) + innerHeight.value,
  )
  return seen.length === 0 ? '' : `rows ${seen[0]!.index + 1} to ${seen.at(-1)!.index + 1} of ${rowCount.value}`
})
const { height: innerHeight } = useWindowSize()
const rowCount = computed(() =>
  list.query.q.trim() === '' ? Math.max(rows.value.length, first.value.counts[list.query.shelf]) : rows.value.length,
)

const searched = ref(list.query.q)
const search = useDebounceFn(() => list.ask({ q: searched.value }), 200)
function clear() {
  searched.value = ''
  list.ask({ q: '' })
  field.value?.blur()
}
function open(shelf: Shelf) {
  at.value = 0
  searched.value = ''
  list.ask({ shelf, q: '' })
}
async function move(step: number) {
  at.value = Math.min(rows.value.length - 1, Math.max(0, at.value + step))
  virtual.value.scrollToIndex(at.value, { align: 'auto' })
  await nextTick()
  document.querySelector<HTMLElement>(`[data-row="${at.value}"] a`)?.focus()
}
const selected = computed(() => rows.value[at.value])
async function archive() {
  const job = selected.value
  if (!job) return
  const loaded = await store.loadJob(job.slug)
  if (loaded.ok) store.do(job.slug, job.shelf === 'archive' ? 'job/unarchive' : 'job/archive', null, {})
}
const lastDone = computed(() => store.lastJobDone())
function takeBack() {
  if (lastDone.value) store.takeBack(lastDone.value.job)
}
const mine = () => list.ask({ isMine: !list.query.isMine })
const openJob = () => {
  if (selected.value) jobOpen.value = selected.value.slug
}
useKeys(
  {
    j: () => void move(1),
    k: () => void move(-1),
    n: () => {
      isNewOpen.value = true
    },
    f: () => field.value?.focus(),
    m: mine,
    a: () => void archive(),
    e: openJob,
    u: takeBack,
    ...Object.fromEntries(SHELVES.map((shelf, i) => [String(i + 1), () => open(shelf)])),
    Enter: () => {
      if (selected.value) void router.push(gapLink(selected.value))
    },
  },
  {
    words: {
      f: 'search: a place, a pipe, a hand, a day',
      m: 'only mine',
      a: 'to the archive, or back',
      ...Object.fromEntries(SHELVES.map((shelf, i) => [String(i + 1), SHELF_WORDS[shelf]])),
    },
  },
)
const isSearch = computed(() => list.query.q.trim() !== '')
const empty = computed(() => {
  if (!list.isLoaded || rows.value.length > 0) return null
  if (isSearch.value) return `No job with "${list.query.q.trim().slice(0, 60)}" on any shelf.`
  if (list.query.isMine)
    return store.hand
      ? `None of ${store.hand} on this shelf.`
      : 'Say whose tablet this is first: under "saved" at the top.'
  return `Nothing ${list.query.shelf === 'archive' ? 'in the archive' : SHELF_WORDS[list.query.shelf]}.`
})
</script>

<template>
  <main class="jobs" :aria-busy="!list.isLoaded">
    <div class="head">
      <div class="title">
        <h2 class="t26">{{ list.all === 1 ? 'One job' : `${list.all} jobs` }}</h2>
        <p class="t14 note only-wide">
          {{ first.counts.open }} open<template v-if="first.now"
            >, {{ first.now }} with a hand on {{ first.now === 1 ? 'it' : 'them' }} now</template
          >
        </p>
        <label class="search"
          ><kbd class="only-wide">F</kbd
          ><input
            ref="field"
            v-model="searched"
            type="search"
            maxlength="200"
            aria-label="Search jobs"
            placeholder="a place, a pipe, a hand, a day"
            autocomplete="off"
            spellcheck="false"
            data-test="search"
            @input="search"
            @keydown.esc.stop="clear"
        /></label>
        <RuledButton class="only-wide" variant="outline" data-test="new-job" @click="isNewOpen = true"
          >New job <kbd>N</kbd></RuledButton
        >
      </div>
      <ShelfTabs @open="open" @mine="mine" />
    </div>
    <BackBand v-if="list.back.length && !isSearch" :joints="list.back" />
    <p v-if="list.keptAt !== null" class="band ochre w6" data-test="kept-list">
      <StatusShape status="held" :size="16" /> As it was {{ dayTime(new Date(list.keptAt).toISOString(), region) }}:
      {{ store.away?.message ?? 'the server has not answered yet.' }} It is asked again by itself.
    </p>
    <p v-if="list.problem" class="band brick w6" role="alert">
      <StatusShape status="refused" :size="16" /> {{ list.problem }}
    </p>
    <ul v-if="list.loose.length" aria-label="In no job yet">
      <li v-for="job in list.loose" :key="job.id"><LazyLooseRow :job="job" /></li>
    </ul>
    <p v-if="empty" class="band" role="status" data-test="empty">{{ empty }}</p>
    <ul
      ref="top"
      class="rows"
      :class="{ old: !list.isAnswered && list.isLoaded && isSearch }"
      :style="{ height: `${virtual.getTotalSize()}px` }"
      :aria-label="isSearch ? 'Jobs found' : `Jobs, ${SHELF_WORDS[list.query.shelf]}`">
      <li
        v-for="item in drawn"
        :key="rows[item.index]!.id"
        class="row"
        :style="{ transform: `translateY(${item.start - virtual.options.scrollMargin}px)` }"
        :data-row="item.index"
        :aria-setsize="rowCount"
        :aria-posinset="item.index + 1">
        <JobRow
          :job="rows[item.index]!"
          :now="now.getTime()"
          :is-selected="item.index === at"
          :with-shelf="isSearch"
          @focus="at = item.index" />
      </li>
    </ul>
    <div class="foot">
      <span class="keys only-wide">
        <span><kbd>J</kbd> <kbd>K</kbd> down, up</span><span><kbd>Enter</kbd> open at its gap</span>
        <button type="button" class="verb" data-test="open-job" @click="openJob"><kbd>E</kbd> the job itself</button>
        <button type="button" class="verb" data-test="archive" @click="archive">
          <kbd>A</kbd> {{ selected?.shelf === 'archive' ? 'out of the archive' : 'to the archive' }}
        </button>
        <button v-if="lastDone" type="button" class="verb" data-test="take-back" @click="takeBack">
          <kbd>U</kbd> take back: {{ lastDone.words }}
        </button>
      </span>
      <span class="only-wide t14 where">{{ inSight }}</span>
      <span class="thumb only-narrow">
        <RuledButton size="xl" variant="outline" data-test="new-job-thumb" @click="isNewOpen = true"
          >New job</RuledButton
        >
        <RuledButton size="xl" variant="outline" :aria-pressed="list.query.isMine" @click="mine"
          >Mine: {{ first.mine }}</RuledButton
        >
        <RuledButton
          size="xl"
          variant="outline"
          @click="list.ask({ order: list.query.order === 'name' ? 'newest' : 'name' })"
          >{{ list.query.order === 'name' ? 'Newest' : 'By name' }}</RuledButton
        >
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
.head {
  position: sticky;
  top: 0;
  z-index: 5;
  background: var(--paper);
}
.title {
  height: 56px;
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 0 18px;
  border-bottom: 1px solid var(--rule);
}
.title > h2,
.title > p {
  flex: none;
}
.search {
  flex: 0 1 420px;
  min-width: 0;
  margin: 0 auto;
  display: flex;
  align-items: center;
  gap: 8px;
  height: 38px;
  border-bottom: 2px solid var(--ink);
}
.search input {
  flex: 1;
  min-width: 0;
  background: transparent;
  border: 0;
  font: inherit;
  font-size: 17px;
  color: var(--ink);
}
.search:focus-within {
  outline: 2px solid var(--copper);
  outline-offset: 2px;
}
.search input:focus-visible {
  outline: none;
}
.band {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  padding: 6px 18px;
  border-bottom: 1px solid var(--hair);
}
.rows {
  position: relative;
  flex: none;
  overflow-wrap: anywhere;
}
.rows.old {
  opacity: 0.55;
}
.row {
  position: absolute;
  top: 0;
  left: 0;
  right: 0;
}
.foot {
  position: sticky;
  bottom: 0;
  z-index: 5;
  display: flex;
  align-items: center;
  gap: 26px;
  min-height: 40px;
  padding: 0 18px;
  margin-top: auto;
  background: var(--paper);
  border-top: 1px solid var(--rule);
}
.keys {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 22px;
  font-size: 14px;
}
.verb {
  min-height: 40px;
}
.verb:hover {
  text-decoration: underline;
}
.where {
  margin-left: auto;
  flex: none;
}
@media (max-width: 899px) {
  .title {
    height: 48px;
    padding: 0 12px;
  }
  .title > h2 {
    display: none;
  }
  .search {
    flex: 1;
    margin: 0;
  }
  .foot {
    padding: 10px 12px;
  }
  .thumb {
    display: grid;
    grid-template-columns: 1.6fr 1fr 1fr;
    gap: 10px;
    width: 100%;
  }
  .thumb > * {
    white-space: nowrap;
    min-height: 64px;
    justify-content: center;
  }
}
</style>
