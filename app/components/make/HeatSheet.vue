<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import { HEAT_LIMITS, HEAT_RULE, HEAT_TARGETS, type HeatQuestion, type HeatTarget } from '#core/heat'
import { formatDecimal, formatLength, parseLength, type UnitSystem, type Region } from '#core/units'
import { inUnits } from '~/reading/format'
import { degreesOf, readAir, temperatureField } from '~/reading/air'
import { speak, temperatures } from '#core/speech'

/**
 * Is what is near this soldered joint safe: how hot it gets, how far it has to be, when the joint may be touched and
 * wetted.
 */
const props = defineProps<{ pipe: string; region: Region; system: UnitSystem }>()
const open = defineModel<boolean>('open', { required: true })
const narrow = useNarrow()
const { show } = useWorking()

const TARGET_WORDS: Readonly<Record<HeatTarget, string>> = {
  seal: 'a seal (press, push-fit)',
  plastic: 'plastic pipe',
  washer: "a valve's washer",
}
const isInch = computed(() => props.system === 'inch')
const typed = reactive({
  distance: '',
  target: 'seal' as HeatTarget | 'own',
  own: '',
  isWrapped: false,
  inside: 'air' as 'air' | 'water',
  seconds: '',
})
const kept = useStorage('jolvet-heat', { torch: 'propane' as 'propane' | 'propylene', ambient: '20 C' })
const degrees = (celsius: number): string => inUnits('temperature', celsius, props.system)
const degreeRange = (lo: number, hi: number): string => speak(temperatures(lo, hi), props.region)
/** The room as it is typed: kept with its unit, so that it is the same in a job of the other system. */
const room = ref(temperatureField(readAir(kept.value.ambient, 'metric').value ?? 20, props.system))
watch(room, (text) => {
  const { value } = readAir(text, props.system, { least: -30 })
  if (value !== null) kept.value.ambient = `${value} C`
})
watch(
  () => props.pipe,
  () => {
    typed.distance = ''
  },
)

const numberOf = (text: string) => Number(text.replace(',', '.').replace('−', '-'))
const read = computed<{ question: HeatQuestion | null; path: string; message: string }>(() => {
  const no = (path: string, message: string) => ({ question: null, path, message })
  if (typed.distance.trim() === '') return no('', '')
  const distance = parseLength(typed.distance, props.system, 'distance')
  if (!distance.ok && !/^0+$/.test(typed.distance.trim())) return no('distance', distance.error.message)
  const mm = distance.ok ? distance.value.mm : 0
  if (mm > 5000)
    return no('distance', `distance: up to ${formatLength(5000, props.system)}. Further off nothing is felt.`)
  const own = readAir(typed.own, props.system, { least: 30, most: 250 })
  if (typed.target === 'own' && own.value === null)
    return no('own', own.problem ?? `Highest it may be: ${degreeRange(30, 250)}.`)
  const ambient = readAir(room.value, props.system, { least: -30 })
  if (ambient.value === null) return no('ambient', ambient.problem ?? `The room: ${degreeRange(-30, 60)}.`)
  const seconds = typed.seconds.trim() === '' ? 30 : numberOf(typed.seconds)
  if (!(seconds > 0 && seconds <= 600)) return no('seconds', 'Heated for: 1 to 600 seconds.')
  return {
    question: {
      region: props.region,
      pipe: props.pipe,
      distance: mm,
      target: typed.target === 'own' ? own.value! : typed.target,
      torch: kept.value.torch,
      ambient: ambient.value,
      wrapped: typed.isWrapped,
      inside: typed.inside,
      seconds,
    },
    path: '',
    message: '',
  }
})
const question = computed(() => (open.value ? read.value.question : null))
const { answer, isLooking } = useHeat(question)
const found = computed(() => (answer.value?.ok && question.value ? answer.value.value : null))
const refused = computed(() =>
  answer.value && !answer.value.ok ? answer.value.error.message.replace(/^\w+: /, '') : null,
)
const say = (mm: number) => formatLength(mm, props.system)
const minutes = (seconds: number) =>
  `${Math.floor(seconds / 60)} min ${String(Math.round(seconds % 60)).padStart(2, '0')} s`
/** Water comes once it is cool to the hand, and not before the five minutes of practice. */
const WATER_AFTER = 300
const rule = computed(() => HEAT_RULE.most * getPipe(props.pipe).od)
/** Far enough by the model, nearer than the rule of the trade: the answer says both, the maker's paper decides. */
const between = computed(() => found.value?.cautions.find(({ code }) => code === 'trade-rule'))
const isBetween = computed(() => between.value !== undefined)
const others = computed(() => found.value?.cautions.filter(({ code }) => code !== 'trade-rule') ?? [])
const advice = computed(() => {
  if (!found.value || !question.value) return ''
  const { safe, minDistance } = found.value
  if (between.value) return `It stays under ${degrees(found.value.course.limit)}. ${between.value.text}`
  if (safe)
    return `This far off it stays under ${degrees(found.value.course.limit)}, by this model and by the rule of the trade.`
  return `Too near. Solder this joint first and let it cool, or keep ${say(Math.ceil(minDistance))} away${typed.isWrapped ? '' : ', or wind a wet cloth between and ask again'}.`
})
function working() {
  if (!found.value) return
  show({
    title: 'Heat along the tube',
    source: 'finite volumes along the tube, in time',
    lines: found.value.working,
    notes: [
      "The flame's own spill on the tube is not in it: shield it with a mat. Air moving in the tube, a valve's mass and a fitting beyond the target are not in it either.",
      'Checked against the closed form of the long fin and a balance of heat. Where the maker prints a distance, that one counts.',
    ],
  })
}
const safety = computed(() => {
  if (isBetween.value) return { verdict: 'care', words: 'Cool enough by the model' } as const
  return found.value?.safe
    ? ({ verdict: 'fits', words: 'Safe' } as const)
    : ({ verdict: 'held', words: 'Too hot' } as const)
})
</script>

<template>
  <FrameSheet
    v-model:open="open"
    :side="narrow ? 'bottom' : 'right'"
    title="Heat along the tube"
    :description="`${getPipe(pipe).label}: what stands near this joint while it is soldered`"
    :ui="{ content: narrow ? '' : 'max-w-[620px]' }">
    <template #body>
      <div class="answers mb-3" role="group" aria-label="What is near">
        <button
          v-for="one in HEAT_TARGETS"
          :key="one"
          type="button"
          class="answer"
          :aria-pressed="typed.target === one"
          :data-heat-target="one"
          @click="typed.target = one">
          {{ TARGET_WORDS[one] }}, {{ degrees(HEAT_LIMITS[one].value) }}</button
        ><button
          type="button"
          class="answer"
          :aria-pressed="typed.target === 'own'"
          data-heat-target="own"
          @click="typed.target = 'own'">
          another limit
        </button>
      </div>
      <div class="form">
        <label
          ><span class="note t13">from the fitting's face, {{ isInch ? 'in' : 'mm' }}</span
          ><input
            v-model="typed.distance"
            class="plain-input t26 w7"
            maxlength="40"
            autocomplete="off"
            :placeholder="isInch ? '12' : '300'"
            :aria-invalid="read.path === 'distance'"
            data-test="heat-distance"
        /></label>
        <label v-if="typed.target === 'own'"
          ><span class="note t13">highest it may be, {{ degreesOf(system) }}</span
          ><input
            v-model="typed.own"
            class="plain-input t20 w7"
            maxlength="8"
            :aria-invalid="read.path === 'own'"
            data-test="heat-own"
        /></label>
        <label
          ><span class="note t13">heated for, s</span
          ><input
            v-model="typed.seconds"
            class="plain-input t20 w7"
            maxlength="8"
            placeholder="30"
            :aria-invalid="read.path === 'seconds'"
            data-test="heat-seconds"
        /></label>
        <label
          ><span class="note t13">the room, {{ degreesOf(system) }}</span
          ><input
            v-model="room"
            class="plain-input t20 w7"
            maxlength="8"
            :aria-invalid="read.path === 'ambient'"
            data-test="heat-ambient"
        /></label>
      </div>
      <div class="answers mt-3">
        <button
          type="button"
          class="answer"
          :aria-pressed="typed.isWrapped"
          data-test="heat-wrap"
          @click="typed.isWrapped = !typed.isWrapped">
          wet cloth between</button
        ><button
          type="button"
          class="answer"
          :aria-pressed="typed.inside === 'water'"
          data-test="heat-water"
          @click="typed.inside = typed.inside === 'water' ? 'air' : 'water'">
          water in the tube</button
        ><button
          v-for="one in ['propane', 'propylene'] as const"
          :key="one"
          type="button"
          class="answer"
          :aria-pressed="kept.torch === one"
          :data-torch="one"
          @click="kept.torch = one">
          {{ one }}
        </button>
      </div>
      <p v-if="read.message || refused" class="brick t15 mt-3 flex gap-2" role="status">
        <StatusShape status="refused" :size="16" class="mt-[2px] flex-none" /> {{ read.message || refused }}
      </p>
      <p v-for="one in others" :key="one.code" class="ochre t15 mt-2 flex gap-2" :data-heat-caution="one.code">
        <StatusShape status="held" :size="16" class="mt-[2px] flex-none" /> {{ one.text }}
      </p>
      <template v-if="found && question">
        <div class="verdict" data-test="heat-verdict">
          <VerdictShape :verdict="safety.verdict" :size="24" />
          <div>
            <p class="t20 w7">
              {{ safety.words }}:
              <button
                type="button"
                class="figure-button t26"
                :class="found.safe ? 'verd' : 'brick'"
                data-test="heat-working"
                @click="working">
                {{ degrees(Math.round(found.peak)) }}<span class="visually-hidden">, show the working</span>
              </button>
              at {{ say(question.distance) }}, limit {{ degrees(found.course.limit) }}
            </p>
            <p class="t15">
              {{ advice }} <span class="note">Highest {{ minutes(found.peakAt) }} after heat was put on.</span>
            </p>
          </div>
        </div>
        <dl class="facts">
          <div>
            <dt class="note t13">at least away</dt>
            <dd class="t26 w7"><TapeFigure :mm="Math.ceil(found.minDistance)" :system="system" /></dd>
          </div>
          <div>
            <dt class="note t13">said in the trade, the larger</dt>
            <dd class="t26 w7"><TapeFigure :mm="rule" :system="system" /></dd>
          </div>
          <div>
            <dt class="note t13">touched, after the flame</dt>
            <dd class="t26 w7">{{ minutes(found.touchAfter) }}</dd>
          </div>
          <div>
            <dt class="note t13">water, after the flame</dt>
            <dd class="t26 w7">{{ minutes(Math.max(WATER_AFTER, found.touchAfter)) }}</dd>
          </div>
        </dl>
        <LazyHeatChart
          :course="found.course"
          :distance="question.distance"
          :seconds="question.seconds ?? 30"
          :system="system" />
      </template>
      <p v-else-if="isLooking" class="note">Working it out.</p>
      <p v-else-if="!read.message && !refused" class="note t15">
        Say how far off it stands: its temperature, the distance it wants and when the joint may be touched stand here.
      </p>
      <p class="note t13 mt-3">
        A model, on the careful side; {{ formatDecimal(HEAT_RULE.least, 0) }} × OD with a wet cloth and
        {{ HEAT_RULE.most }} × OD without are the least and the most that are said. The maker's own distance counts; the
        surest is to solder first.
      </p>
    </template>
  </FrameSheet>
</template>

<style scoped>
.form {
  display: flex;
  gap: 18px;
  flex-wrap: wrap;
}
.form label {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-width: 110px;
}
.verdict {
  display: flex;
  gap: 12px;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 2px solid var(--hair);
}
.facts {
  display: grid;
  grid-template-columns: repeat(4, auto);
  gap: 6px 22px;
  margin: 14px 0;
}
@media (max-width: 899px), (pointer: coarse) {
  .facts {
    grid-template-columns: repeat(2, 1fr);
  }
  .form input {
    min-height: 44px;
  }
}
</style>
