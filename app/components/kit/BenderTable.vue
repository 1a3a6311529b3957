<script setup lang="ts">
import { bendOf, FAMILY_WORDS, getPipe, PIPES } from '#core/catalogue'
import { calibrateBender, type TestBend } from '#core/line'
import { bendersFor, useBender, type BenderRecord } from '#core/record'
import { formatDecimal, formatLength, parseLength, type Region, unitSystemOf } from '#core/units'
import { diameterText } from '~/reading/format'
import { speakAll } from '#core/speech'

/** Benders of the van: one test bend each, two marks in and two measures out, gives radius, set-back and springback. */
const props = defineProps<{ benders: readonly BenderRecord[]; region: Region; today: string }>()
const emit = defineEmits<{ change: [benders: BenderRecord[]] }>()

const system = computed(() => unitSystemOf(props.region))
const isInch = computed(() => system.value === 'inch')
/** Pipe that is bent here, one of each outside diameter. */
const pipes = computed(() => [
  ...new Map(
    PIPES.filter(
      (pipe) =>
        pipe.regions.includes(props.region) && pipe.series !== 'cu-bs-imp' && bendOf(pipe)?.isPulled && pipe.od <= 35,
    ).map((pipe) => [`${pipe.family} ${pipe.od}`, pipe]),
  ).values(),
])
/** A former fits every wall of a size. */
function sizeWords(id: string): string {
  const { nominal, family } = getPipe(id)
  return `${nominal}${nominal.includes('/') || isInch.value ? ' in' : ''} ${FAMILY_WORDS[family]}`
}
const usual = () =>
  isInch.value
    ? { first: '4', second: '20', hook: '10', a: '', b: '' }
    : { first: '100', second: '500', hook: '250', a: '', b: '' }
const typed = reactive({ pipe: '', name: '', ...usual(), pulled: '90', angle: '90' })
watch(
  pipes,
  (list) => {
    if (!list.some(({ id }) => id === typed.pipe))
      typed.pipe = list.find(({ family, od }) => family === 'copper' && od > 21)?.id ?? list[0]?.id ?? ''
  },
  { immediate: true },
)

const LENGTHS = [
  ['first', 'first mark'],
  ['second', 'second mark'],
  ['hook', 'hook edge set at'],
  ['a', 'corner to first mark'],
  ['b', 'corner to second mark'],
] as const
const read = computed(() => {
  const lengths: Record<string, number> = {}
  for (const [name, words] of LENGTHS) {
    const length = parseLength(typed[name], system.value, name)
    if (!length.ok) return { ok: false as const, path: name as string, message: `${words}: ${length.error.message}` }
    lengths[name] = length.value.mm
  }
  const [pulled, angle] = [Number(typed.pulled.replace(',', '.')), Number(typed.angle.replace(',', '.'))]
  if (!Number.isFinite(pulled))
    return { ok: false as const, path: 'pulled', message: 'Pulled to: degrees are accepted.' }
  if (!Number.isFinite(angle))
    return { ok: false as const, path: 'angle', message: 'Lets go to: degrees are accepted.' }
  const test: TestBend = {
    marks: [lengths.first!, lengths.second!],
    hook: lengths.hook!,
    measures: [lengths.a!, lengths.b!],
    pulled,
    angle,
  }
  const bend = speakAll(calibrateBender(test), props.region)
  const FIELD: Record<string, string> = { 'marks.1': 'second', measures: 'a', 'measures.0': 'a', 'measures.1': 'b' }
  return bend.ok
    ? { ok: true as const, test, bend: bend.value }
    : {
        ok: false as const,
        path: FIELD[bend.error.path] ?? bend.error.path,
        message: bend.error.message.replace(/^[\w.]+: /, ''),
      }
})
const isBegun = computed(() => typed.a !== '' || typed.b !== '')
const wrong = computed(() => (isBegun.value && !read.value.ok ? read.value : null))
const { show } = useWorking()
function keep() {
  if (!read.value.ok) return
  const { radius, setback, springback } = read.value.bend
  const { od } = getPipe(typed.pipe)
  const round = (value: number) => Math.round(value * 1000) / 1000
  const name = typed.name.trim()
  const record: BenderRecord = {
    ...(name === '' ? {} : { name }),
    pipe: typed.pipe,
    radius: round(radius),
    setback: round(setback),
    springback: round(springback),
    test: { ...read.value.test, marks: [...read.value.test.marks], measures: [...read.value.test.measures] },
    at: props.today,
  }
  const isAnother = (one: BenderRecord) => getPipe(one.pipe).od !== od || (one.name ?? '') !== name
  emit('change', [...props.benders.filter(isAnother), record])
  Object.assign(typed, { ...usual(), name: '' })
}
/** The first of a size is in use where there are several. */
const isSecond = (one: BenderRecord) => bendersFor({ benders: [...props.benders] }, one.pipe)[0] !== one
const length = (mm: number) => formatLength(mm, system.value)
</script>

<template>
  <section aria-label="Benders">
    <h2 class="zone-heading">Benders, by one test bend</h2>
    <ul v-if="benders.length">
      <li v-for="one in benders" :key="`${one.pipe} ${one.name}`" class="bender" data-test="bender">
        <b>{{ sizeWords(one.pipe) }}{{ one.name ? `, ${one.name}` : '' }}</b
        ><span
          >R <b>{{ length(one.radius) }}</b>, set-back <b>{{ length(one.setback) }}</b>, springs back
          {{ formatDecimal(one.springback, 1) }}°</span
        ><button
          v-if="isSecond(one)"
          type="button"
          class="underline min-h-9"
          data-test="use-bender"
          @click="emit('change', useBender(benders, one))">
          use it</button
        ><span v-else class="note t13">{{ one.at }}</span
        ><button
          type="button"
          class="underline note min-h-9"
          :aria-label="`Take out the bender for ${getPipe(one.pipe).label}`"
          @click="
            emit(
              'change',
              benders.filter((other) => other !== one),
            )
          ">
          out
        </button>
      </li>
    </ul>
    <p v-else class="note t14">None calibrated: bends go by a typical radius, with its range.</p>
    <svg
      width="100%"
      height="150"
      viewBox="0 0 360 150"
      role="img"
      aria-label="Test bend: two marks on the straight tube, hook edge between them; after bending, corner to each mark"
      class="mt-2">
      <path d="M10 22H350V36H10Z" class="l-edge" />
      <path d="M70 14V44M310 14V44" class="l-sel3" />
      <path d="M160 10V46" class="l-sel" />
      <text x="70" y="11" class="mid t13">first mark</text>
      <text x="310" y="11" class="mid t13">second mark</text>
      <text x="166" y="58" class="t13">hook edge</text>
      <path d="M60 92H170Q204 92 204 120V148M60 106H168Q190 106 190 122V148" class="l-edge" />
      <path d="M60 99H206M197 92V148" class="l-centre" />
      <path d="M90 86V112M184 136H210" class="l-sel3" />
      <DimensionLine :x1="90" :x2="197" :y="80" tone="copper" />
      <text x="143" y="76" class="mid t13 halo">corner to first mark</text>
      <path d="M224 99V136M219 104l10 -10M219 141l10 -10" stroke="var(--copper)" stroke-width="1.75" fill="none" />
      <text x="234" y="122" class="t13">corner to second mark</text>
    </svg>
    <div class="form">
      <label class="wide"
        ><span class="note t13">pipe</span
        ><select v-model="typed.pipe" class="plain-input" data-test="bender-pipe">
          <option v-for="pipe in pipes" :key="pipe.id" :value="pipe.id">{{ sizeWords(pipe.id) }}</option>
        </select></label
      >
      <label
        ><span class="note t13">called, if there are two</span
        ><input v-model="typed.name" class="plain-input t17" maxlength="40" data-test="bender-name"
      /></label>
      <label v-for="[name, words] in LENGTHS" :key="name"
        ><span class="note t13">{{ words }}</span
        ><input
          v-model="typed[name]"
          class="plain-input t17 w7"
          maxlength="30"
          :data-test="`bender-${name}`"
          :aria-invalid="wrong?.path === name"
      /></label>
      <label
        ><span class="note t13">pulled to, °</span
        ><input
          v-model="typed.pulled"
          class="plain-input t17 w7"
          maxlength="8"
          data-test="bender-pulled"
          :aria-invalid="wrong?.path === 'pulled'"
      /></label>
      <label
        ><span class="note t13">lets go to, °</span
        ><input
          v-model="typed.angle"
          class="plain-input t17 w7"
          maxlength="8"
          data-test="bender-angle"
          :aria-invalid="wrong?.path === 'angle'"
      /></label>
    </div>
    <p class="brick t14 flex gap-2 wrong" role="status">
      <template v-if="wrong"
        ><StatusShape status="refused" :size="14" class="mt-[3px] flex-none" /> {{ ' ' }}
        <span>{{ wrong.message }}</span></template
      >
    </p>
    <template v-if="read.ok">
      <p class="t15" data-test="bender-result">
        Radius
        <button
          type="button"
          class="figure-button t26 w7 copper"
          @click="
            show({
              title: 'From the test bend',
              source: 'measured',
              lines: read.bend.working,
              notes: [
                `Readings good to ${diameterText(0.5, system)} leave ${diameterText(read.bend.left.radius, system)} on the radius, ${diameterText(read.bend.left.setback, system)} on the set-back, ${diameterText(read.bend.left.cut, system)} on a cut with one right angle.`,
              ],
            })
          ">
          {{ length(read.bend.radius) }}<span class="visually-hidden">, show the working</span></button
        >, set-back <b>{{ length(read.bend.setback) }}</b>, springs back
        <b>{{ formatDecimal(read.bend.springback, 1) }}°</b>
      </p>
      <p class="note t14">
        Error left: {{ diameterText(read.bend.left.radius, system) }} on the radius,
        {{ diameterText(read.bend.left.cut, system) }} on a cut with one right angle. A longer piece tells no more; a
        second bend halves it.
      </p>
      <RuledButton class="mt-2" data-test="bender-keep" @click="keep">Keep this bender</RuledButton>
    </template>
    <p v-else class="note t14">
      Mark a straight piece at {{ length(isInch ? 101.6 : 100) }} and {{ length(isInch ? 508 : 500) }}, set the hook at
      {{ length(isInch ? 254 : 250) }}, pull a right angle, measure both.
    </p>
  </section>
</template>

<style scoped>
.bender {
  display: flex;
  gap: 12px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
  flex-wrap: wrap;
}
.bender button {
  margin-left: auto;
}
.form {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px 14px;
}
.form label {
  display: flex;
  flex-direction: column;
}
.wide {
  grid-column: 1 / 2;
}
.wrong {
  min-height: 22px;
  margin-top: 4px;
}
@media (max-width: 899px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
  .form input,
  .form select {
    min-height: 44px;
  }
}
</style>
