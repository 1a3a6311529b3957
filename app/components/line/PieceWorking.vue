<script setup lang="ts">
import type { WorkingLine } from '#core/base'
import { getPipe } from '#core/catalogue'
import { formatDecimal, formatLength, MM_PER_INCH, type UnitSystem } from '#core/units'
import { radiusOf, type LineWarning } from '#core/line'
import type { RunRow, WayOut } from '#core/run'
import { speak, w } from '#core/speech'
import type { ShownPiece } from '~/composables/useLine'
import { bendsOf, warningShape } from '~/wording/line'

/**
 * The sum of one piece line by line, its bends by both schools, what is tight, and ways out where it cannot be made.
 */
const props = defineProps<{
  shown: ShownPiece
  row: RunRow | undefined
  rows: readonly RunRow[]
  lines: readonly WorkingLine[]
  warnings: readonly LineWarning[]
  issue: string | null
  waysOut: readonly WayOut[]
  school: 'hook' | 'corner'
  system: UnitSystem
  region: 'us' | 'gb' | 'eu'
  hasBender: boolean
  radius: number | null
  slug: string
  pipe: string
  startName: string
  lineName: string
}>()
const emit = defineEmits<{ take: [legs: string[]]; flipSchool: []; join: [pipe: string, place: string] }>()

const piece = computed(() => props.shown.piece)
const spread = computed(() =>
  piece.value?.cutLo != null && piece.value.cutHi !== null ? piece.value.cutHi - piece.value.cutLo : 0,
)
const SIGNS: Record<string, string> = { '+': '+', '-': '−', x: '×', '/': '÷', '=': '' }
const sourceWords = (source: string | undefined) => {
  if (source === undefined) return ''
  return source === 'measured'
    ? 'tape, you'
    : source.replace(/^typical for (.*) fittings; makers differ$/, 'typical, $1')
}
/** What the range of a take-out does stands above them with the figures. */
const own = computed(() =>
  props.warnings.filter(
    ({ code, piece: id, leg }) =>
      code !== 'typical' &&
      (id === piece.value?.id || (id === undefined && (leg === undefined || props.shown.legs.includes(leg)))),
  ),
)
/** Ends of the piece where the line itself ends: what it meets there is for the joint engine. */
const openEnds = computed(() =>
  (piece.value?.ends ?? []).flatMap(({ into }, i) => {
    if (into !== 'free' && into !== 'stop' && into !== 'face') return []
    const letter = i === 0 ? props.shown.from : props.shown.to
    const name = i === 0 ? props.startName : (props.rows.find(({ to }) => to === letter)?.leg?.name ?? '')
    return [{ letter, words: name || `end ${letter}` }]
  }),
)
const step = computed(() => props.row?.leg?.offset ?? null)
const detail = computed(() => {
  if (!step.value || step.value.by === 'elbows' || !piece.value) return null
  const radius = radiusOf(
    getPipe(piece.value.pipe),
    props.radius === null ? undefined : { radius: props.radius },
  )?.value
  return radius == null
    ? null
    : {
        set: Math.hypot(step.value.set.mm, step.value.roll?.mm ?? 0),
        angle: step.value.angle,
        radius,
        od: getPipe(piece.value.pipe).od,
      }
})
/** What stands beside a figure of the sum: where it is from, and in inch countries its mm. */
function besideFigure({ op, value, source }: WorkingLine): string {
  const isInch = props.system === 'inch'
  const inMm = `${formatDecimal(value, 1)} mm`
  if (op === '=' && props.shown.isGuess) return 'not to be cut yet'
  if (op === '=') return isInch ? `in (${inMm})` : 'set the tape to it'
  return `${isInch ? `${inMm}; ` : ''}${sourceWords(source)}`
}
</script>

<template>
  <section aria-label="Working">
    <template v-if="shown.issue">
      <ImpossiblePiece
        :shown="shown"
        :row="row"
        :issue="issue"
        :ways-out="waysOut"
        :has-bender="hasBender"
        :radius="radius"
        :pipe="pipe"
        :system="system"
        @take="emit('take', $event)" />
    </template>
    <template v-else-if="piece">
      <h2 class="zone-heading">
        Working of {{ piece.id }}, {{ shown.from }} to {{ shown.to }} <span class="right only-wide"><kbd>W</kbd></span>
      </h2>
      <table class="sum">
        <tbody>
          <tr v-for="(line, i) in lines" :key="i" :class="{ total: line.op === '=' }">
            <td class="op">{{ i === 0 ? '' : SIGNS[line.op] }}</td>
            <td>{{ line.text }}</td>
            <td class="v">
              <template v-if="line.op === '='"
                ><span class="t26 copper" data-test="cut"
                  ><TapeFigure :mm="line.value" :system="system" /></span></template
              ><template v-else>{{
                system === 'inch' ? `${(line.value / MM_PER_INCH).toFixed(3)} in` : formatDecimal(line.value, 1)
              }}</template>
            </td>
            <td class="src">
              {{ besideFigure(line) }}
            </td>
          </tr>
          <tr v-if="piece.cut === null" class="total">
            <td />
            <td>cut</td>
            <td class="v t26">?</td>
            <td class="src">
              <NuxtLink :to="`/jobs/${slug}/kit`" class="underline">measure the fitting</NuxtLink>, or type take-out in
              its leg
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="shown.isGuess" class="t14 ochre w6" data-test="not-measured">
        A length with ~ is not measured yet. Type what you measure, without ~: then it is drawn full and comes to Cut.
      </p>
      <SourceNotes :of="lines.map(({ source }) => source)" />
      <p v-if="spread > 0.05 && piece.cut !== null" class="range t14" data-test="range">
        <VerdictShape :verdict="spread > 2 ? 'care' : 'fits'" :size="18" />
        <span
          ><b>{{ formatLength(piece.cutLo!, system) }} to {{ formatLength(piece.cutHi!, system) }}</b> by typical
          fittings.
          <template v-if="spread > 2"
            ><NuxtLink :to="`/jobs/${slug}/kit`" class="underline">Measure yours</NuxtLink> before you cut.</template
          ><template v-else>A saw is no better.</template></span
        >
      </p>
      <ul v-if="own.length" class="notes">
        <li v-for="(warning, i) in own" :key="i" class="flex gap-2 t14" :data-warning="warning.code">
          <StatusShape :status="warningShape(warning.code)" :size="14" class="mt-[2px] flex-none" /><span
            >{{ speak(warning.text, region) }}
            <NuxtLink
              v-if="warning.code === 'bender-typical' || warning.code === 'measure'"
              :to="`/jobs/${slug}/kit`"
              class="underline"
              >To the kit</NuxtLink
            ></span
          >
        </li>
      </ul>
      <OffsetDetail v-if="detail" v-bind="detail" :system="system" :width="380" :height="150" class="mt-2" />
      <BendTable
        v-if="bendsOf(piece).length"
        :piece="piece"
        :school="school"
        :system="system"
        :has-bender="hasBender"
        :slug="slug"
        @flip-school="emit('flipSchool')" />
      <p v-for="one in openEnds" :key="one.letter" class="t14 mt-2">
        <button
          type="button"
          class="link-verb"
          :data-join="one.letter"
          @click="emit('join', piece.pipe, `${one.words}, ${lineName}`)">
          Choose the joint at {{ one.words }}
        </button>
      </p>
      <p class="note t13 mt-3">
        Cut ends and {{ speak(w.swarf, region) }} are sharp. Deburr before a hand goes round them.
      </p>
    </template>
  </section>
</template>

<style scoped src="./sum-table.css"></style>

<style scoped>
.range {
  display: flex;
  gap: 8px;
  padding: 6px 0;
  align-items: flex-start;
}
.notes {
  padding: 6px 0;
  display: flex;
  flex-direction: column;
  gap: 5px;
  border-top: 1px solid var(--hair);
}
</style>
