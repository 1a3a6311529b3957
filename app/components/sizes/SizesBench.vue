<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { comparePipes, getPipe, namedBy, PIPES, type Pipe } from '#core/catalogue'
import { formatDecimal, type Region, unitSystemOf } from '#core/units'
import { formatReading, unitOf } from '~/reading/format'

/** Every size of the catalogue, and any two of them at one scale: which go into one mouth, and which only seem to. */
const route = useRoute()
const router = useRouter()
const table = useTemplateRef<HTMLElement>('table')
const { width } = useElementSize(table)

const known = (id: unknown): Pipe | undefined => PIPES.find((pipe) => pipe.id === id)
/** What the trade of a country confuses most stands there first: 22 mm and the old 3/4 in; copper's 3/4 and iron's. */
const FIRST: Readonly<Record<Region, readonly [string, string]>> = {
  gb: ['cu-en-x-22', 'cu-bs-imp-3_4'],
  eu: ['cu-en-x-22', 'ss-en-22'],
  us: ['cu-l-3_4', 'st-40-3_4'],
}
const usual = useUsualRegion()
const a = computed(() => known(route.query.a) ?? getPipe(FIRST[usual.value][0]))
const b = computed(() => known(route.query.b) ?? getPipe(FIRST[usual.value][1]))
const region = ref<Region>(a.value.regions.includes(usual.value) ? usual.value : a.value.regions[0]!)
const system = computed(() => unitSystemOf(region.value))
const side = ref<'a' | 'b'>('b')
const comparison = computed(() => comparePipes(a.value, b.value))
const figure = (mm: number | null) => (mm === null ? '?' : formatReading(mm, system.value))
const apart = computed(() => Math.abs(comparison.value.outside))

function take(pipe: Pipe) {
  void router.replace({ query: { a: a.value.id, b: b.value.id, [side.value]: pipe.id } })
}
const swap = () => {
  void router.replace({ query: { a: b.value.id, b: a.value.id } })
}
</script>

<template>
  <main class="bench">
    <div ref="table" class="table">
      <div class="names">
        <button
          v-for="on in ['a', 'b'] as const"
          :key="on"
          type="button"
          class="endpick"
          :class="{ 'text-right': on === 'b' }"
          :aria-pressed="side === on"
          :data-side="on"
          @click="side = on">
          <span class="note t13">{{ side === on ? 'choose it from the list' : 'tap to choose another' }}</span><b
            class="t20"
            :class="{ copper: on === 'b' }"
            >{{ (on === 'a' ? a : b).label }}</b
          >
        </button>
      </div>
      <EndPair v-if="width > 0" :a="a" :b="b" :system="system" :width="Math.floor(width)" />
      <div class="said" data-test="comparison">
        <h2 class="t26 flex gap-3 items-center">
          <VerdictShape v-if="comparison.isSameOutside" verdict="fits" :size="22" /><StatusShape
            v-else
            status="refused"
            :size="22" />
          {{
            comparison.isSameOutside
              ? `The same outside: ${figure(a.od)} ${unitOf(system)}.`
              : `${figure(apart)} ${unitOf(system)} apart outside: no mouth takes both.`
          }}
        </h2>
        <table class="w-full">
          <thead>
            <tr>
              <th />
              <th>outside</th>
              <th>wall</th>
              <th>bore</th>
              <th class="left">its name</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="pipe in [a, b]" :key="pipe.id">
              <th>{{ pipe.label }}</th>
              <td>
                <b>{{ figure(pipe.od) }}</b>
              </td>
              <td>{{ figure(pipe.wall) }}</td>
              <td>{{ figure(pipe.bore) }}</td>
              <td class="left">{{ namedBy(pipe) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="!comparison.isSameOutside && apart < 1" class="t17">
          Near, and force may bring them together, but it does not seal. Only a converter made for both sizes joins
          them.
        </p>
        <p v-if="comparison.area !== null" class="t15">
          {{
            comparison.area > 0.995
              ? 'Their bores are alike.'
              : `The narrower bore has ${formatDecimal(comparison.area * 100, 0)} in 100 of the wider one's area.`
          }}
        </p>
        <p v-if="comparison.isSameOutside && a.family !== b.family" class="t15">
          The same outside is not all: wall, temper and listing decide which joint is made on which.
        </p>
        <FactsTable :a="a" :b="b" :region="region" />
        <p class="note t14">
          {{ a.standard }}{{ a.typical ? ', typical' : '' }}; {{ b.standard }}{{ b.typical ? ', typical' : '' }}. A
          measured pipe wins over a table.
          <button type="button" class="underline min-h-11" @click="swap">swap them</button>
        </p>
        <SourceNotes :of="[a.standard, b.standard]" />
      </div>
    </div>
    <SizeList v-model:region="region" :a="a" :b="b" :side="side" :system="system" @take="take" />
  </main>
</template>

<style scoped src="./size-table.css"></style>

<style scoped>
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
}
.table {
  min-width: 0;
  overflow: hidden;
  padding-top: 8px;
}
.names {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  padding: 4px 18px 10px;
}
.endpick {
  display: flex;
  flex-direction: column;
  min-height: 44px;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 3px;
}
.endpick[aria-pressed='true'] {
  border-bottom: 2px solid var(--ink);
}
.endpick.text-right {
  align-items: flex-end;
}
.said {
  padding: 10px 18px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 360px;
  }
}
@media (max-width: 899px) {
  .bench {
    display: flex;
    flex-direction: column;
  }
  .names,
  .said {
    padding-left: 12px;
    padding-right: 12px;
  }
  .said td.left,
  .said th.left {
    display: none;
  }
}
</style>
