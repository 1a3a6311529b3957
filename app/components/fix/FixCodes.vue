<script setup lang="ts">
import { spacingOf, type SupportCode } from '#core/catalogue'
import type { FixSettings } from '#core/record'
import type { FixedLine } from '#core/supports'
import type { UnitSystem, Region } from '#core/units'
import { CODE_WORDS, spacingText } from '~/wording/fix'

/** The most each code allows between supports, side by side, and the widest stretch there is. */
const props = defineProps<{ fixed: FixedLine; settings: FixSettings; region: Region; system: UnitSystem }>()
const length = (mm: number | null) => spacingText(mm, props.system)
const pipes = computed(() => [...new Map(props.fixed.groups.map(({ context: { pipe } }) => [pipe.id, pipe])).values()])
const codes = computed<readonly SupportCode[]>(() =>
  props.region === 'us' ? ['ipc', 'irc', 'upc', 'gb'] : ['gb', 'en', 'ipc'],
)
const inUse = computed(() => [...new Set(props.fixed.groups.map(({ answer }) => answer.source))])
const rows = computed(() =>
  pipes.value.flatMap((pipe) =>
    (['horizontal', 'vertical'] as const)
      .filter((run) =>
        props.fixed.groups.some(
          ({ context }) => context.pipe.id === pipe.id && context.question.legs.some((leg) => leg.run === run),
        ),
      )
      .map((run) => ({
        key: `${pipe.id} ${run}`,
        words: `${pipe.label}, ${run === 'horizontal' ? 'across' : 'up'}`,
        by: codes.value.map((code) => spacingOf(code, pipe)?.[run] ?? null),
        widest: widestOf(pipe.id, run),
      })),
  ),
)
/** The widest stretch there really is, ends doubled as the code counts them. */
function widestOf(pipe: string, run: 'horizontal' | 'vertical'): number | null {
  const gaps = props.fixed.groups
    .filter(({ context }) => context.pipe.id === pipe)
    .flatMap(({ context, answer }) =>
      context.question.legs.flatMap((leg, i) => {
        const at = answer.supports.filter((support) => support.leg === i).map((support) => support.at)
        return leg.run !== run || at.length === 0
          ? []
          : [2 * at[0]!, ...at.slice(1).map((place, n) => place - at[n]!), 2 * (leg.length - at.at(-1)!)]
      }),
    )
  return gaps.length ? Math.max(...gaps) : null
}
</script>

<template>
  <h2 class="zone-heading">Most between supports, {{ system === 'inch' ? 'in' : 'mm' }}; widest here</h2>
  <table data-test="codes">
    <thead>
      <tr>
        <th class="l" />
        <th v-for="code in codes" :key="code">{{ CODE_WORDS[code] }}</th>
        <th>here</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key">
        <td class="l">{{ row.words }}</td>
        <td v-for="(mm, i) in row.by" :key="codes[i]" :class="{ used: codes[i] === settings.code }">
          {{ length(mm) }}
        </td>
        <td class="w7">{{ length(row.widest) }}</td>
      </tr>
    </tbody>
  </table>
  <p v-for="source in inUse" :key="source" class="note t13">In use: {{ source }}</p>
  <SourceNotes :of="inUse" />
</template>

<style scoped src="./figure-table.css"></style>

<style scoped>
.zone-heading {
  margin-top: 8px;
}
td.used {
  font-weight: 700;
  box-shadow: inset 0 -2px var(--copper);
}
</style>
