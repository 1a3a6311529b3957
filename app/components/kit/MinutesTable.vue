<script setup lang="ts">
import { ALL_METHODS, METHODS, type Method } from '#core/joints'
import { LAST_ENDS, LEAST_ENDS, minutesFrom, type MeasuredMinutes, type MinutesRecord } from '#core/record'
import { formatDecimal, unitSystemOf, type Region } from '#core/units'
import { readNumber } from '~/reading/number-field'
import { methodWords } from '~/wording/en'

/** Minutes at one end: as typed, as the signed joints took them, else ours. Whose counts is said on each row. */
const props = defineProps<{ minutes: readonly MinutesRecord[]; measured: readonly MeasuredMinutes[]; region: Region }>()
const emit = defineEmits<{ change: [minutes: MinutesRecord[]] }>()

const blank = { method: 'press' as Method, nominal: '', work: '', wait: '' }
const typed = reactive({ ...blank })
const problem = ref<string | null>(null)
const MOST_MINUTES = 10_000

const rows = computed(() => [
  ...props.minutes.map((one) => ({ ...one, text: 'typed', isTyped: true })),
  ...props.measured
    .filter((one) => minutesFrom(one, props.minutes, props.measured).from === 'measured')
    .map((one) => ({
      ...one,
      text: `${one.ends} signed, ${formatDecimal(one.lo, 1)} to ${formatDecimal(one.hi, 1)}`,
      isTyped: false,
    })),
])
function add() {
  const nominal = typed.nominal.trim() || null
  const [work, wait] = [
    typed.work.trim() === '' ? null : readNumber(typed.work, MOST_MINUTES),
    readNumber(typed.wait, MOST_MINUTES),
  ]
  const isListed = props.minutes.some((one) => one.method === typed.method && one.nominal === nominal)
  if (work === null || wait === null)
    problem.value = `Minutes: a figure of 0 to ${MOST_MINUTES} is accepted, such as 2.5. The wait may stay empty.`
  else if (isListed) problem.value = 'That method and size is in the list. Take it out first, then type it anew.'
  else {
    problem.value = null
    emit('change', [...props.minutes, { method: typed.method, nominal, work, wait }])
    Object.assign(typed, { ...blank, method: typed.method })
  }
}
const drop = (at: number) =>
  emit(
    'change',
    props.minutes.filter((_, i) => i !== at),
  )
</script>

<template>
  <section aria-label="My minutes" data-test="my-minutes">
    <h2 class="zone-heading">My minutes, at one end</h2>
    <p class="note t14 mt-1">
      The middle of the last {{ LAST_ENDS }} signed ends of a method and size, from {{ LEAST_ENDS }} on; what is typed
      wins. Until then ours stand.
    </p>
    <table v-if="rows.length" class="w-full">
      <thead>
        <tr>
          <th>method, size</th>
          <th class="num">hands on</th>
          <th class="num">wait</th>
          <th class="num">ours</th>
          <th class="num">from</th>
          <th><span class="visually-hidden">take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in rows" :key="`${one.method}${one.nominal}${one.isTyped}`" data-test="minutes-row">
          <td>{{ methodWords(one.method) }}{{ one.nominal === null ? ', every size' : ` ${one.nominal}` }}</td>
          <td class="num">
            <b>{{ formatDecimal(one.work, 1) }}</b>
          </td>
          <td class="num">{{ formatDecimal(one.wait, 0) }}</td>
          <td class="num note">{{ formatDecimal(ALL_METHODS[one.method].minutes.work, 1) }}</td>
          <td class="num note">{{ one.text }}</td>
          <td class="num">
            <button
              v-if="one.isTyped"
              type="button"
              class="underline note min-h-9"
              :aria-label="`Take out ${methodWords(one.method)} ${one.nominal ?? 'every size'}`"
              @click="drop(i)">
              out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="form minutes" @submit.prevent="add">
      <label
        ><span class="note t13">made by</span
        ><select v-model="typed.method" class="plain-input t15" data-test="minutes-method">
          <option v-for="method in METHODS" :key="method" :value="method">{{ methodWords(method) }}</option>
        </select></label
      >
      <label
        ><span class="note t13">size</span
        ><input
          v-model="typed.nominal"
          class="plain-input t15"
          maxlength="20"
          :placeholder="unitSystemOf(region) === 'inch' ? '3/4' : '22'"
          data-test="minutes-size"
      /></label>
      <label
        ><span class="note t13">min</span
        ><input v-model="typed.work" class="plain-input t15" maxlength="8" inputmode="decimal" data-test="minutes-work"
      /></label>
      <label
        ><span class="note t13">wait</span
        ><input v-model="typed.wait" class="plain-input t15" maxlength="8" inputmode="decimal" data-test="minutes-wait"
      /></label>
      <RuledButton type="submit" data-test="add-minutes">Add</RuledButton>
    </form>
    <p class="brick t14 min-h-5" role="alert" data-test="minutes-problem">{{ problem }}</p>
  </section>
</template>

<style scoped src="./kit-table.css"></style>
<style scoped>
.minutes {
  --columns: 1.5fr 1.2fr 0.6fr 0.6fr auto;
  margin-top: 10px;
}
</style>
