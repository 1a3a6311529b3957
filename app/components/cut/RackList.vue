<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import type { CutBody, CutRecord, JobRecord, OffcutBody, OffcutRecord } from '#core/record'
import { formatLength, parseLength, type UnitSystem } from '#core/units'
import { offcutWords } from '~/wording/cut'

/** The rack, which goes with the van: offcuts of this pipe first, whose they are, and what is put on by hand. */
const props = defineProps<{ job: JobRecord; sheet: CutRecord; system: UnitSystem; problem: string | null }>()
const emit = defineEmits<{
  change: [changes: Partial<CutBody>]
  put: [body: OffcutBody, id?: string]
  drop: [id: string]
}>()

const own = computed(() => props.job.rack.filter(({ pipe }) => pipe === props.sheet.pipe))
const others = computed(() => props.job.rack.filter(({ pipe }) => pipe !== props.sheet.pipe))
const isUsed = ({ id, promised }: OffcutRecord) =>
  (promised === null || promised.cut === props.sheet.id) && !props.sheet.leave.includes(id)
const toggle = ({ id }: OffcutRecord) =>
  emit('change', {
    leave: props.sheet.leave.includes(id) ? props.sheet.leave.filter((one) => one !== id) : [...props.sheet.leave, id],
  })
function stateOf(offcut: OffcutRecord) {
  if (offcut.promised) return offcut.promised.cut === props.sheet.id ? 'in this plan' : 'promised'
  return props.sheet.leave.includes(offcut.id) ? 'left there' : 'free'
}

const typed = reactive({ length: '', place: '' })
const wrong = computed(() => {
  if (typed.length.trim() === '') return null
  const read = parseLength(typed.length, props.system, 'length')
  if (!read.ok) return read.error.message
  return read.value.mm > 100_000 ? 'length: too long for an offcut.' : null
})
function put() {
  const read = parseLength(typed.length, props.system, 'length')
  if (!read.ok || wrong.value) return
  emit('put', { pipe: props.sheet.pipe, length: Math.round(read.value.mm * 10) / 10, place: typed.place.trim() })
  typed.length = ''
}
const move = (offcut: OffcutRecord, place: string) =>
  emit('put', { pipe: offcut.pipe, length: offcut.length, place: place.trim().slice(0, 80) }, offcut.id)
function classOf(offcut: OffcutRecord) {
  if (offcut.promised && offcut.promised.cut !== props.sheet.id) return 'ochre'
  return isUsed(offcut) ? 'verd' : 'note'
}
</script>

<template>
  <section aria-label="Rack">
    <p class="zone-heading">Offcuts of {{ getPipe(sheet.pipe).label }} <span class="right">offered first</span></p>
    <p v-if="own.length === 0" class="note t14">None on the rack. What this sheet leaves goes there.</p>
    <ul>
      <li v-for="offcut in own" :key="offcut.id" class="offcut" :data-offcut="offcut.id">
        <b class="t20">{{ formatLength(offcut.length, system) }}</b>
        <KeptField
          :value="offcut.place"
          maxlength="80"
          placeholder="where it lies"
          aria-label="Where it lies"
          @keep="move(offcut, $event)" />
        <span class="t14" :class="classOf(offcut)">{{ stateOf(offcut) }}</span>
        <span class="note t13 from">{{ offcutWords(offcut, job) }}</span>
        <span class="verbs"
          ><button
            v-if="!offcut.promised || offcut.promised.cut === sheet.id"
            type="button"
            class="underline t14 min-h-9"
            :disabled="sheet.result !== null"
            @click="toggle(offcut)">
            {{ sheet.leave.includes(offcut.id) ? 'use it' : 'leave it there' }}</button
          ><button
            v-if="!offcut.promised"
            type="button"
            class="underline note t14 min-h-9"
            :aria-label="`Take ${formatLength(offcut.length, system)} off the rack`"
            @click="emit('drop', offcut.id)">
            gone
          </button></span
        >
      </li>
    </ul>
    <form class="put" @submit.prevent="put">
      <input
        v-model="typed.length"
        class="plain-input w7"
        maxlength="40"
        aria-label="Length of an offcut"
        :placeholder="system === 'inch' ? '48 1/2' : '1240'"
        :aria-invalid="wrong !== null"
        data-test="offcut-length" />
      <input
        v-model="typed.place"
        class="plain-input"
        maxlength="80"
        aria-label="Where it lies"
        placeholder="where it lies"
        data-test="offcut-place" />
      <button
        type="submit"
        class="link-verb min-h-9"
        :disabled="typed.length.trim() === '' || wrong !== null"
        data-test="put-offcut">
        put on
      </button>
      <span v-if="wrong ?? problem" class="brick t14 wide" role="status">{{ wrong ?? problem }}</span>
    </form>
    <template v-if="others.length">
      <p class="zone-heading mt-3">Of other pipe</p>
      <p v-for="offcut in others" :key="offcut.id" class="t14">
        <b>{{ formatLength(offcut.length, system) }}</b> {{ getPipe(offcut.pipe).label
        }}<span class="note"> {{ offcut.place }}</span>
      </p>
    </template>
    <p class="note t13 mt-2">
      Measure an offcut before you trust it; a crushed, kinked or sun-bleached end is cut back first.
    </p>
  </section>
</template>

<style scoped>
.offcut {
  display: grid;
  grid-template-columns: 92px 1fr auto;
  gap: 2px 12px;
  align-items: baseline;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.from {
  grid-column: 1 / 3;
  align-self: center;
}
.verbs {
  display: flex;
  gap: 14px;
  justify-content: flex-end;
}
.put {
  display: grid;
  grid-template-columns: 92px 1fr auto;
  gap: 4px 12px;
  align-items: baseline;
  padding: 8px 0;
}
.wide {
  grid-column: 1 / -1;
}
@media (max-width: 899px), (pointer: coarse) {
  .put input,
  .offcut input {
    min-height: 44px;
  }
}
</style>
