<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { formatDecimal, formatLength, type Region, unitSystemOf } from '#core/units'
import { inHundred } from '~/reading/format'
import { inRegion } from '~/wording/en'
import { wayTitle } from '~/wording/way'

/** The answer of a line, in a few rows. */
const props = defineProps<{ asked: Asked; region: Region }>()
const system = computed(() => unitSystemOf(props.region))
const MOST = 4
const length = (mm: number | null) => (mm === null ? 'measure it' : formatLength(mm, system.value))
</script>

<template>
  <div data-test="ask-answer">
    <template v-if="asked.verb === 'ways'">
      <ol v-if="asked.answer.ways.length">
        <li v-for="way in asked.answer.ways.slice(0, MOST)" :key="way.id" class="way">
          <VerdictShape :verdict="way.verdict" :size="16" class="mt-1" /><b>{{ wayTitle(way, region) }}</b
          ><span class="note t14"
            >{{ way.joints.map(({ insertion }) => length(insertion.value)).join(', ') }} deep</span
          >
        </li>
      </ol>
      <template v-else
        ><p class="t17 w7 flex gap-2 items-center">
          <StatusShape status="refused" :size="18" /> No way is right as it stands.
        </p>
        <ul>
          <li v-for="one in asked.answer.instead" :key="one" class="t15">{{ inRegion(one, region) }}</li>
        </ul></template
      >
      <p v-if="asked.answer.ways.length > MOST" class="note t14">
        {{ asked.answer.ways.length - MOST }} more ways; {{ asked.answer.refused.length }} refused.
      </p>
    </template>
    <ol v-else-if="asked.verb === 'identify'">
      <li v-for="one in asked.answer.candidates.slice(0, MOST)" :key="one.pipe" class="row">
        <b class="figure">{{ inHundred(one.probability) }}</b><b>{{ one.label }}</b
        ><span class="note">{{ one.for[0]?.text }}</span>
      </li>
      <li v-for="caution in asked.answer.cautions.slice(0, 2)" :key="caution.code" class="row">
        <StatusShape status="held" :size="16" /><span>{{ caution.text }}</span>
      </li>
    </ol>
    <template v-else-if="asked.verb === 'make'">
      <p v-for="mark in asked.answer.marks" :key="mark.what" class="row">
        <b class="t26 copper">{{ length(mark.fromEnd) }}</b><span
          >{{ mark.what === 'ring' ? 'ring from the end' : 'into the fitting'
          }}<span v-if="mark.lo !== null && mark.lo !== mark.hi" class="note"
            >, met {{ formatDecimal(mark.lo, 1) }} to {{ formatDecimal(mark.hi ?? 0, 1) }} mm</span
          ></span
        >
      </p>
      <p class="note t14">
        {{ asked.pipe ? getPipe(asked.pipe).label : 'thread' }}, {{ asked.method }}; {{ asked.answer.marks[0]?.source }}
      </p>
      <SourceNotes :of="[asked.answer.marks[0]?.source]" />
    </template>
    <template v-else-if="asked.verb === 'fix'">
      <p class="row">
        <b class="t26 copper">{{
          asked.answer.spacing.horizontal === null ? 'none held' : length(asked.answer.spacing.horizontal)
        }}</b><span>at most between supports, across</span>
      </p>
      <p class="row">
        <b>{{
          asked.answer.spacing.vertical === null ? 'by the storey' : length(asked.answer.spacing.vertical)
        }}</b><span>up</span>
      </p>
      <p class="note t14">{{ getPipe(asked.pipe).label }}; {{ asked.answer.source }}</p>
      <SourceNotes :of="[asked.answer.source]" />
    </template>
    <template v-else-if="asked.verb === 'flow'">
      <p class="row">
        <b class="t26 copper">{{ formatDecimal(asked.answer.velocity, 2) }} m/s</b
        ><StatusShape :status="asked.answer.verdict === 'within' ? 'proved' : 'refused'" :size="16" /><span
          >{{ asked.answer.verdict === 'within' ? 'within' : 'over' }} {{ asked.answer.limit }} m/s</span
        >
      </p>
      <p class="row">
        <b>{{ formatDecimal(asked.answer.drop * 1000, 1) }} mbar</b><span>lost</span>
      </p>
      <p class="note t14">
        {{ getPipe(asked.pipe).label }}, bore {{ formatDecimal(asked.answer.boreUsed, 2) }};
        {{ asked.answer.limitSource }}
      </p>
    </template>
    <template v-else>
      <p class="row">
        <b class="t26 copper">{{ length(asked.answer.markSpacing) }}</b><span>between the marks</span>
      </p>
      <p class="row">
        <b>{{ length(asked.answer.shrink) }}</b><span>shorter overall</span>
      </p>
      <p class="note t14">
        {{
          asked.answer.working
            .map((line) => `${line.text} ${formatDecimal(line.value, 3)}${line.unit ? ` ${line.unit}` : ''}`)
            .join('; ')
        }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 36px;
  border-bottom: 1px solid var(--hair);
  font-size: 15px;
  flex-wrap: wrap;
}
.way {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 0 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 15px;
}
.way span {
  grid-column: 2;
}
.figure {
  min-width: 62px;
}
</style>
