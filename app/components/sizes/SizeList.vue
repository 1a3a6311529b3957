<script setup lang="ts">
import { FAMILIES, FAMILY_WORDS, PIPES, seriesOf, type Family, type Pipe } from '#core/catalogue'
import { type UnitSystem, REGIONS, type Region } from '#core/units'
import { pipesCalled } from '~/reading/called'
import { formatReading } from '~/reading/format'
import { REGION_WORDS } from '~/wording/en'

/**
 * Every size of a region by its kind, or those near a size or a measured diameter; each goes to the side that is chosen.
 */
const props = defineProps<{ a: Pipe; b: Pipe; side: 'a' | 'b'; system: UnitSystem }>()
const region = defineModel<Region>('region', { required: true })
const emit = defineEmits<{ take: [pipe: Pipe] }>()
const families = computed(() =>
  FAMILIES.filter((family) => PIPES.some((pipe) => pipe.family === family && pipe.regions.includes(region.value))),
)
const chosen = ref<Family>(props.b.family)
const family = computed(() => (families.value.includes(chosen.value) ? chosen.value : families.value[0]!))
/** A size or a measured diameter looked up over all families. */
const wanted = ref('')
const shown = computed<readonly Pipe[]>(() =>
  wanted.value.trim()
    ? pipesCalled(wanted.value, region.value)
    : PIPES.filter((pipe) => pipe.family === family.value && pipe.regions.includes(region.value)),
)
const groups = computed(() =>
  [...new Set(shown.value.map((pipe) => pipe.series))].map((id) => ({
    series: seriesOf(id),
    pipes: shown.value.filter((pipe) => pipe.series === id),
  })),
)
const figure = (mm: number | null) => (mm === null ? '?' : formatReading(mm, props.system))
</script>

<template>
  <aside class="list">
    <div role="group" aria-label="Region" class="flex gap-5 flex-wrap">
      <button
        v-for="one in REGIONS"
        :key="one"
        type="button"
        class="choice"
        :aria-pressed="region === one"
        @click="region = one">
        {{ REGION_WORDS[one] }}
      </button>
    </div>
    <SizeField
      v-model="wanted"
      class="mt-[10px]"
      :system="system"
      :is-missing="shown.length === 0"
      test="wanted-size" />
    <div v-if="!wanted.trim()" class="answers my-3" role="group" aria-label="Kind of pipe">
      <button
        v-for="one in families"
        :key="one"
        type="button"
        class="answer"
        :aria-pressed="family === one"
        :data-family="one"
        @click="chosen = one">
        {{ FAMILY_WORDS[one] }}
      </button>
    </div>
    <table v-for="{ series, pipes } in groups" :key="series.id" class="w-full rows">
      <caption class="t15 w6">
        {{
          series.words
        }}
      </caption>
      <thead>
        <tr>
          <th class="left">size</th>
          <th>outside</th>
          <th>wall</th>
          <th>bore</th>
          <th><span class="visually-hidden">compare</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="pipe in pipes" :key="pipe.id" :class="{ 'row-selected': pipe.id === a.id || pipe.id === b.id }">
          <td class="left">
            <b class="t17">{{ pipe.nominal }}</b>
          </td>
          <td>{{ figure(pipe.od) }}</td>
          <td>{{ figure(pipe.wall) }}</td>
          <td>{{ figure(pipe.bore) }}</td>
          <td>
            <button
              type="button"
              class="answer"
              :data-pipe="pipe.id"
              :aria-label="`${side === 'a' ? 'left' : 'right'}: ${pipe.label}`"
              @click="emit('take', pipe)">
              {{ side === 'a' ? 'left' : 'right' }}
            </button>
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td colspan="5" class="note t13">
            {{ series.standard
            }}{{ pipes.some(({ typical }) => typical) ? '; some walls are typical, makers differ' : '' }}
          </td>
        </tr>
      </tfoot>
    </table>
    <p class="note t13 mt-2">
      Lengths in {{ system === 'inch' ? 'inches' : 'mm' }}.
      <a class="underline" :href="`/api/print/wrap-strip.pdf?region=${region}`" target="_blank" data-test="wrap-strip"
        >Print the wrap strip</a
      >, <NuxtLink to="/gauge" class="underline" data-test="to-gauge">open the screen gauge</NuxtLink>.
    </p>
  </aside>
</template>

<style scoped src="./size-table.css"></style>

<style scoped>
.list {
  border-left: 1px solid var(--rule);
  padding: 10px 22px 18px 24px;
}
tfoot td {
  text-align: left;
  border: 0;
  height: auto;
  padding: 4px 0 14px 10px;
}
.rows tbody td:first-child,
.rows th:first-child {
  padding-left: 10px;
}
.rows {
  table-layout: fixed;
}
caption {
  text-align: left;
  padding: 6px 0 0 10px;
}
@media (max-width: 899px) {
  .list {
    border-left: 0;
    border-top: 1px solid var(--rule);
    padding: 10px 12px;
  }
}
</style>
