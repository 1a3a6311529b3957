<script setup lang="ts">
import type { WorkingLine } from '#core/base'
import { getPipe } from '#core/catalogue'
import { formatDecimal, formatLength, MM_PER_INCH, type UnitSystem } from '#core/units'
import { orderBends, radiusOf, tangentOf, type LineWarning } from '#core/line'
import { plainMessage, type RunRow, type WayOut } from '#core/run'
import type { ShownPiece } from '~/composables/useLine'
import { inRegion } from '~/wording/en'
import { bendsOf, turnWords, warningShape } from '~/wording/line'

/** The sum of one piece line by line, its bends by both schools, what is tight, and ways out where it cannot be made. */
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
const bends = computed(() => (piece.value ? bendsOf(piece.value) : []))
const pulls = computed(() =>
  piece.value && bends.value.length > 0 ? orderBends(piece.value, getPipe(piece.value.pipe).od) : [],
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
const clash = computed(() => {
  if (piece.value || !step.value || step.value.by === 'elbows') return null
  const pipe = getPipe(props.row?.leg?.pipe ?? props.pipe)
  const radius = props.radius ?? radiusOf(pipe, undefined)?.value
  if (radius == null) return null
  const { angle } = step.value
  const set = Math.hypot(step.value.set.mm, step.value.roll?.mm ?? 0)
  return {
    set,
    angle,
    radius,
    od: pipe.od,
    travel: set / Math.sin((angle * Math.PI) / 180),
    tangent: tangentOf(radius, angle),
  }
})
const mm = (value: number) => formatDecimal(value, 1)
</script>

<template>
  <section aria-label="Working">
    <template v-if="shown.issue">
      <h2 class="t20 w7 flex gap-2 items-center"><StatusShape status="refused" :size="20" /> Impossible so</h2>
      <p class="t15 mt-1" data-test="impossible">{{ issue ?? plainMessage(shown.issue) }}</p>
      <template v-if="clash">
        <table class="sum">
          <tbody>
            <tr>
              <td class="op" />
              <td>travel, {{ mm(clash.set) }} ÷ sin {{ mm(clash.angle) }}°</td>
              <td class="v">{{ mm(clash.travel) }}</td>
              <td class="src">the step aside</td>
            </tr>
            <tr v-for="i in [1, 2]" :key="i">
              <td class="op">−</td>
              <td>bend {{ i }}, {{ mm(clash.radius) }} × tan {{ mm(clash.angle / 2) }}°</td>
              <td class="v">{{ mm(clash.tangent) }}</td>
              <td class="src">{{ hasBender ? 'your test bend' : 'typical' }}</td>
            </tr>
            <tr class="total">
              <td class="op" />
              <td>straight between</td>
              <td class="v brick">{{ mm(clash.travel - 2 * clash.tangent) }}</td>
              <td class="src">0 or more</td>
            </tr>
          </tbody>
        </table>
        <OffsetDetail
          :set="clash.set"
          :angle="clash.angle"
          :radius="clash.radius"
          :od="clash.od"
          :width="380"
          :height="160" />
      </template>
      <h3 v-if="waysOut.length" class="zone-heading mt-3">Ways out, each tried on the whole run</h3>
      <ul>
        <li v-for="way in waysOut" :key="way.name" class="way" data-test="way-out">
          <div>
            <b class="t17">{{ way.name }}</b>
            <p class="t14">{{ way.text }}</p>
          </div>
          <div class="text-right">
            <b class="t26 copper"><TapeFigure :mm="way.cut" :system="system" /></b> <span class="note t13">cut</span>
          </div>
          <UButton variant="outline" @click="emit('take', way.legs)">Take it</UButton>
        </li>
      </ul>
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
                system === 'inch' ? (line.value / MM_PER_INCH).toFixed(3) : formatDecimal(line.value, 1)
              }}</template>
            </td>
            <td class="src">
              {{
                line.op === '='
                  ? system === 'inch'
                    ? `in (${formatDecimal(line.value, 1)} mm)`
                    : 'set the tape to it'
                  : `${system === 'inch' ? `${formatDecimal(line.value, 1)} mm; ` : ''}${sourceWords(line.source)}`
              }}
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
            >{{ inRegion(warning.text, region) }}
            <NuxtLink
              v-if="warning.code === 'bender-typical' || warning.code === 'measure'"
              :to="`/jobs/${slug}/kit`"
              class="underline"
              >To the kit</NuxtLink
            ></span
          >
        </li>
      </ul>
      <OffsetDetail v-if="detail" v-bind="detail" :width="380" :height="150" class="mt-2" />
      <template v-if="bends.length">
        <h3 class="zone-heading mt-3">
          Bends, from the left end
          <button type="button" class="right underline" data-test="flip-school" @click="emit('flipSchool')">
            other school <kbd>G</kbd>
          </button>
        </h3>
        <table class="sum bends">
          <thead>
            <tr>
              <th />
              <th :class="{ used: school === 'hook' }">hook edge</th>
              <th :class="{ used: school === 'corner' }">corner</th>
              <th>angle</th>
              <th class="l">seen along it</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(bend, i) in bends" :key="i">
              <td class="w7">{{ i + 1 }}</td>
              <td class="v" :class="{ copper: school === 'hook' }"><TapeFigure :mm="bend.hook" :system="system" /></td>
              <td class="v" :class="{ copper: school === 'corner' }">
                <TapeFigure :mm="bend.corner" :system="system" />
              </td>
              <td class="v">
                {{ formatDecimal(bend.angle, 1) }}°<span v-if="bend.pull" class="note t13">
                  pull {{ formatDecimal(bend.pull, 1) }}°</span
                >
              </td>
              <td class="l t14">
                <span class="turn"
                  ><TurnDial :turn="bend.turn" :is-first="i === 0" />{{ turnWords(bend, i === 0) }}</span
                >
              </td>
            </tr>
          </tbody>
        </table>
        <p class="t14 mt-1">
          <b>Hook edge</b> on its mark, set back from the corner.
          <b v-if="school === 'hook'" class="copper">In use.</b> Or the <b>corner</b> sighted across the former with an
          offcut. <b v-if="school === 'corner'" class="copper">In use.</b>
        </p>
        <ol class="pulls t14" data-test="pulls">
          <li v-for="pull in pulls" :key="pull.bend">
            Bend <b>{{ pull.bend }}</b>: {{ pull.holds }} end in the hook, its edge at
            <b><TapeFigure :mm="pull.hook" :system="system" /></b
            ><template v-if="pull.straight < pull.needs"
              >; only {{ formatLength(pull.straight, system) }} to hold: leave that end long, trim after</template
            >.
          </li>
        </ol>
        <p v-if="!hasBender" class="t14 mt-1 ochre">
          <NuxtLink :to="`/jobs/${slug}/kit`" class="underline">Calibrate your bender with one test bend</NuxtLink>:
          until then hook edge and start of the bend are one.
        </p>
      </template>
      <p v-for="one in openEnds" :key="one.letter" class="t14 mt-2">
        <button
          type="button"
          class="link-verb"
          :data-join="one.letter"
          @click="emit('join', piece.pipe, `${one.words}, ${lineName}`)">
          Choose the joint at {{ one.words }}
        </button>
      </p>
      <p class="note t13 mt-3">Cut ends and swarf are sharp. Deburr before a hand goes round them.</p>
    </template>
  </section>
</template>

<style scoped>
.sum {
  width: 100%;
  margin-top: 4px;
}
.sum td {
  padding: 3px 0;
  vertical-align: baseline;
}
.sum .op {
  width: 18px;
  color: var(--ink2);
}
.sum .v {
  text-align: right;
  font-weight: 700;
  font-size: 17px;
  padding: 3px 10px;
  white-space: nowrap;
}
.sum .src {
  font-size: 13px;
  color: var(--ink2);
  width: 122px;
}
.total td {
  border-top: 1px solid var(--ink);
  padding-top: 6px;
  font-weight: 700;
}
.total .src {
  font-weight: 400;
}
@media (max-width: 1199px) {
  .sum .src {
    width: 92px;
  }
  .sum .v {
    padding: 3px 6px;
  }
}
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
.bends td {
  vertical-align: middle;
  padding-top: 0;
  padding-bottom: 0;
}
.bends th {
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
  text-align: right;
  padding-right: 10px;
}
.bends th.used {
  color: var(--ink);
  font-weight: 700;
  text-decoration: 2px underline var(--copper);
  text-underline-offset: 4px;
}
.bends .l {
  text-align: left;
  padding-left: 4px;
}
.pulls {
  list-style: decimal;
  padding-left: 20px;
  margin-top: 6px;
}
.turn {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  line-height: 1.1;
}
.way {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
