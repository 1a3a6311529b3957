<script setup lang="ts">
import { bendOf, getPipe } from '#core/catalogue'
import { MOUTH_WORDS } from '#core/line'
import { formatLength, type Region, unitSystemOf } from '#core/units'
import { speak, w } from '#core/speech'
import { diameterText, inHundred, inUnits, lineValue, rangeText } from '~/reading/format'
import { wayTitle } from '~/wording/way'

/** The answer of a line, in a few rows. */
const props = defineProps<{ asked: Asked; region: Region }>()
const system = computed(() => unitSystemOf(props.region))
const MOST = 4
const say = (text: string) => speak(text, props.region)
const bends = computed(() =>
  props.asked.verb === 'pipes' ? props.asked.answer.pipes.map((pipe) => ({ pipe, bend: bendOf(pipe) })) : [],
)
/** A tee or an elbow that was asked of by itself has no lengths of its own: only its mouths are said. */
const isFittingAlone = computed(() => props.asked.verb === 'line' && props.asked.isFitting)
const cuts = computed(() => (props.asked.verb === 'line' && !isFittingAlone.value ? props.asked.answer.pieces : []))
const mouths = computed(() => {
  if (props.asked.verb !== 'line') return []
  const all = props.asked.answer.pieces.flatMap(({ ends, pipe }) =>
    ends
      .filter(({ into }) => into !== 'free')
      .map(({ into, takeOut, insertion }) => ({
        words: `${MOUTH_WORDS[into]}, ${getPipe(pipe).label}`,
        takeOut,
        insertion,
      })),
  )
  return [...new Map(all.map((mouth) => [mouth.words, mouth])).values()]
})
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
          <li v-for="one in asked.answer.instead" :key="one" class="t15">{{ speak(one, region) }}</li>
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
            >, met {{ rangeText(mark.lo, mark.hi ?? 0, system) }}</span
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
          asked.answer.spacing.vertical === null
            ? speak(`by the ${w.storey}`, region)
            : length(asked.answer.spacing.vertical)
        }}</b><span>up</span>
      </p>
      <p class="note t14">{{ getPipe(asked.pipe).label }}; {{ asked.answer.source }}</p>
      <SourceNotes :of="[asked.answer.source]" />
    </template>
    <template v-else-if="asked.verb === 'flow'">
      <p class="row">
        <b class="t26 copper">{{ inUnits('speed', asked.answer.velocity, system) }}</b><StatusShape
          :status="asked.answer.verdict === 'within' ? 'proved' : 'refused'"
          :size="16" /><span
          >{{ asked.answer.verdict === 'within' ? 'within' : 'over' }}
          {{ inUnits('speed', asked.answer.limit, system) }}</span
        >
      </p>
      <p class="row">
        <b>{{ inUnits('pressure', asked.answer.drop, system) }}</b><span>lost</span>
      </p>
      <p class="note t14">
        {{ getPipe(asked.pipe).label }}, bore {{ diameterText(asked.answer.boreUsed, system) }};
        {{ asked.answer.limitSource }}
      </p>
    </template>
    <template v-else-if="asked.verb === 'pipes'">
      <p v-for="{ pipe, bend } in bends" :key="pipe.id" class="row" data-test="ask-bend">
        <template v-if="bend"
          ><b class="t26 copper">{{ length(bend.radius.value) }}</b
          ><span
            >radius of the {{ say(w.centre) }} line, {{ pipe.label
            }}<span class="note"
              >; met {{ rangeText(bend.radius.lo ?? 0, bend.radius.hi ?? 0, system) }}, {{ bend.radius.source }};
              {{ say(bend.how) }}</span
            ></span
          ></template
        ><template v-else
          ><b>{{ pipe.label }}</b
          ><span>is not bent on site</span></template
        >
      </p>
    </template>
    <template v-else-if="asked.verb === 'line'">
      <p v-for="piece in cuts" :key="piece.id" class="row" data-test="ask-piece">
        <b class="t26 copper">{{ length(piece.cut) }}</b><span
          >cut of {{ piece.id }}, {{ getPipe(piece.pipe).label }}</span
        >
      </p>
      <p v-for="mouth in mouths" :key="mouth.words" class="row" data-test="ask-mouth">
        <b>{{ length(mouth.takeOut) }}</b><span
          >{{ mouth.words }}, {{ say(w.centre) }} to stop; {{ length(mouth.insertion) }} deep</span
        >
      </p>
      <p v-for="warning in isFittingAlone ? [] : asked.answer.warnings.slice(0, 3)" :key="warning.text" class="row">
        <StatusShape status="held" :size="16" /><span>{{ warning.text }}</span>
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
        {{ asked.answer.working.map((line) => `${line.text} ${lineValue(line, region)}`).join('; ') }}
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
