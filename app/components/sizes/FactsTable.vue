<script setup lang="ts">
import { factsOf, pipeRatings, USES, type Pipe, type SeriesFacts } from '#core/catalogue'
import { unitSystemOf, type Region } from '#core/units'
import { ALLOWED_WORDS, FACT_WORDS, USE_WORDS } from '~/wording/en'
import { inUnits } from '~/reading/format'
import { speak } from '#core/speech'

/** What is true of two pipes beside their sizes: how each is sold, marked, used and rated, each with its source. */
const props = defineProps<{ a: Pipe; b: Pipe; region: Region }>()
const system = computed(() => unitSystemOf(props.region))
const ends = computed(() =>
  (props.a.id === props.b.id ? [props.a] : [props.a, props.b]).map((pipe) => ({
    pipe,
    facts: factsOf(pipe.series),
    ratings: pipeRatings(pipe),
  })),
)
const rows = computed(() =>
  (Object.keys(FACT_WORDS) as Exclude<keyof SeriesFacts, 'services'>[]).filter((name) =>
    ends.value.some(({ facts }) => facts[name] !== null),
  ),
)
const TEMPER = { hard: 'hard', soft: 'soft' } as const
</script>

<template>
  <dl class="facts" :style="`--ends: ${ends.length}`" data-test="facts">
    <dt />
    <dd v-for="{ pipe } in ends" :key="pipe.id" class="t17 w7" :class="{ copper: pipe === b && ends.length > 1 }">
      {{ pipe.label }}
    </dd>
    <template v-for="name in rows" :key="name">
      <dt>{{ speak(FACT_WORDS[name], region) }}</dt>
      <dd v-for="{ pipe, facts } in ends" :key="pipe.id">
        <template v-if="facts[name]"
          ><StatusShape v-if="name === 'hazard'" status="held" :size="14" class="inline" />
          {{ speak(facts[name]!.text, region) }}<i>{{ facts[name]!.source }}</i></template
        ><span v-else class="note">nothing held</span>
      </dd>
    </template>
    <dt>used for</dt>
    <dd v-for="{ pipe, facts } in ends" :key="pipe.id">
      <span v-for="use in USES" :key="use" class="use"
        ><StatusShape v-if="facts.services[use] === 'no'" status="refused" :size="13" /><VerdictShape
          v-else
          :verdict="facts.services[use] === 'yes' ? 'fits' : 'care'"
          :size="13" />
        {{ USE_WORDS[use]
        }}<template v-if="facts.services[use] !== 'yes'"
          >: {{ speak(ALLOWED_WORDS[facts.services[use]], region) }}</template
        ></span
      ><i>typical; local code comes first</i>
    </dd>
    <dt>takes</dt>
    <dd v-for="{ pipe, ratings } in ends" :key="pipe.id">
      <table v-if="ratings.length">
        <tbody>
          <tr v-for="row in ratings" :key="`${row.temper}${row.tempC}`">
            <td>
              <b>{{ inUnits('pressure', row.bar, system) }}</b>
            </td>
            <td>to {{ inUnits('temperature', row.tempC, system) }}</td>
            <td>{{ row.temper ? TEMPER[row.temper] : '' }}</td>
          </tr>
        </tbody>
      </table>
      <span v-else class="note">no rating held: read its print</span
      ><i v-if="ratings.length">{{ ratings[0]!.source }}</i>
    </dd>
  </dl>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: 90px repeat(var(--ends), minmax(0, 1fr));
  column-gap: 18px;
  font-size: 14px;
  border-top: 1px solid var(--rule);
}
dt,
dd {
  border-bottom: 1px solid var(--hair);
  padding: 7px 0;
}
dt {
  color: var(--ink2);
  font-size: 13px;
}
i {
  display: block;
  font-style: normal;
  font-size: 13px;
  color: var(--ink2);
}
.use {
  display: flex;
  gap: 6px;
  align-items: center;
}
td {
  padding: 0 12px 0 0;
}
@media (max-width: 899px) {
  .facts {
    grid-template-columns: 62px repeat(var(--ends), minmax(0, 1fr));
    column-gap: 10px;
  }
}
</style>
