<script setup lang="ts">
import { ok } from '#core/base'
import { METHODS, type Method } from '#core/joints'
import type { FittingRecord } from '#core/record'
import { formatLength, parseLength, type Region, unitSystemOf } from '#core/units'
import { speak, w } from '#core/speech'
import { methodWords } from '~/wording/en'

/** Fittings measured by hand: their figures win over the tables, and say so. */
const props = defineProps<{ fittings: readonly FittingRecord[]; region: Region; today: string }>()
const emit = defineEmits<{ change: [fittings: FittingRecord[]] }>()

const KINDS = [
  'coupling',
  'elbow',
  'elbow 45',
  'tee',
  'tee, run',
  'tee, branch',
  'adaptor',
  'reducer',
  'valve',
] as const
const system = computed(() => unitSystemOf(props.region))
const blank = { method: 'press' as Method, nominal: '', fitting: 'coupling', insertion: '', takeOut: '' }
const typed = reactive({ ...blank })
const problem = ref<string | null>(null)
const length = (mm: number | null) => (mm === null ? '?' : formatLength(mm, system.value))
/** A kind as it is called where the job is; kept as it was first written. */
const kindText = (kind: string): string => (kind === 'adaptor' ? speak(w.adaptor, props.region) : kind)

const read = (text: string, name: string) => (text.trim() === '' ? ok(null) : parseLength(text, system.value, name))
/** Why what was typed is no measured fitting yet, in words. */
function problemOf(insertion: ReturnType<typeof read>, takeOut: ReturnType<typeof read>): string | null {
  const nominal = typed.nominal.trim()
  if (nominal === '') return 'A fitting needs its size, such as 22 or 3/4.'
  if (!insertion.ok) return `Depth: ${insertion.error.message}`
  if (!takeOut.ok) return `Take-out: ${takeOut.error.message}`
  if (insertion.value === null && takeOut.value === null) return 'Measure its depth, its take-out, or both.'
  const isListed = props.fittings.some(
    (one) => one.method === typed.method && one.nominal === nominal && one.fitting === typed.fitting,
  )
  return isListed ? 'That fitting is in the list. Take it out first, then measure it anew.' : null
}

function add() {
  const [insertion, takeOut] = [read(typed.insertion, 'depth'), read(typed.takeOut, 'take-out')]
  problem.value = problemOf(insertion, takeOut)
  if (problem.value || !insertion.ok || !takeOut.ok) return
  emit('change', [
    ...props.fittings,
    {
      method: typed.method,
      nominal: typed.nominal.trim(),
      fitting: typed.fitting,
      insertion: insertion.value?.mm ?? null,
      takeOut: takeOut.value?.mm ?? null,
      at: props.today,
    },
  ])
  Object.assign(typed, { ...blank, method: typed.method })
}
const drop = (fitting: FittingRecord) =>
  emit(
    'change',
    props.fittings.filter((one) => one !== fitting),
  )
</script>

<template>
  <section aria-label="My fittings">
    <h2 class="zone-heading">My fittings, measured</h2>
    <svg
      width="100%"
      height="104"
      viewBox="0 0 360 104"
      role="img"
      :aria-label="
        speak(`Where to measure: depth from the face to the stop, take-out from the ${w.centre} to the stop`, region)
      "
      class="where">
      <path d="M20 34H200M20 78H200M110 34V26M110 78V86" class="l-edge" />
      <path d="M20 30H96V40H20M20 72H96V82H20" fill="url(#hatch-brass)" stroke="var(--ink)" stroke-width="1.25" />
      <path d="M96 30V82" class="l-thin" />
      <path d="M20 28V8M96 28V8M160 56V8" class="l-dim2" />
      <DimensionLine :x1="20" :x2="96" :y="14" tone="copper" />
      <DimensionLine :x1="96" :x2="160" :y="14" />
      <path d="M20 56H200" class="l-centre" />
      <text x="212" y="20" class="t14 copper w7">depth: face to stop</text>
      <text x="212" y="42" class="t14">take-out: stop to {{ speak(w.centre, region) }}</text>
      <text x="212" y="64" class="t14 note">a coupling: half the width</text>
      <text x="212" y="82" class="t14 note">between its two stops</text>
    </svg>
    <table v-if="fittings.length" class="w-full">
      <thead>
        <tr>
          <th>fitting</th>
          <th class="num">depth</th>
          <th class="num">take-out</th>
          <th class="num">measured</th>
          <th><span class="visually-hidden">take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in fittings" :key="`${one.method}${one.nominal}${one.fitting}`" data-test="fitting">
          <td>
            <b>{{ kindText(one.fitting) }} {{ one.nominal }}</b
            >, {{ methodWords(one.method) }}
          </td>
          <td class="num">
            <b>{{ length(one.insertion) }}</b>
          </td>
          <td class="num">{{ length(one.takeOut) }}</td>
          <td class="num note">{{ one.at }}</td>
          <td class="num">
            <button
              type="button"
              class="underline note min-h-9"
              :aria-label="`Take out ${one.fitting} ${one.nominal}`"
              @click="drop(one)">
              out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="note mt-2">None measured yet. The tables' typical depths stand until then.</p>
    <form class="form fitting" @submit.prevent="add">
      <label
        ><span class="note t13">made by</span
        ><select v-model="typed.method" class="plain-input t15" data-test="fitting-method">
          <option v-for="method in METHODS" :key="method" :value="method">{{ methodWords(method) }}</option>
        </select></label
      >
      <label
        ><span class="note t13">kind</span
        ><select v-model="typed.fitting" class="plain-input t15">
          <option v-for="kind in KINDS" :key="kind" :value="kind">{{ kindText(kind) }}</option>
        </select></label
      >
      <label
        ><span class="note t13">size</span
        ><input
          v-model="typed.nominal"
          class="plain-input t15"
          maxlength="20"
          :placeholder="system === 'inch' ? '3/4' : '22'"
          data-test="fitting-size"
      /></label>
      <label
        ><span class="note t13">depth</span
        ><input
          v-model="typed.insertion"
          class="plain-input t15"
          maxlength="40"
          :placeholder="system === 'inch' ? '15/16' : '22.5'"
          data-test="fitting-depth"
      /></label>
      <label
        ><span class="note t13">take-out</span
        ><input v-model="typed.takeOut" class="plain-input t15" maxlength="40" data-test="fitting-takeout"
      /></label>
      <RuledButton type="submit" data-test="add-fitting">Add</RuledButton>
    </form>
    <p class="brick t14 min-h-5" role="alert" data-test="fitting-problem">{{ problem }}</p>
  </section>
</template>

<style scoped src="./kit-table.css"></style>
<style scoped>
.where {
  max-width: 400px;
  margin: 8px 0;
}
.num {
  white-space: nowrap;
}
.fitting {
  --columns: 1.5fr 1.2fr 0.8fr 0.9fr 0.9fr auto;
  margin-top: 14px;
}
</style>
