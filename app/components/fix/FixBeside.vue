<script setup lang="ts">
import type { JobRecord, LineRecord } from '#core/record'
import { formatLength, parseLength, type UnitSystem } from '#core/units'
import { tapeText } from '~/reading/tape'
import { unitOf } from '~/reading/format'

/** A line that runs beside another: where it begins from the other's beginning, and its clips brought opposite. */
const props = defineProps<{ job: JobRecord; line: LineRecord; system: UnitSystem }>()
const emit = defineEmits<{ set: [fix: Partial<LineRecord['fix']>] }>()
const store = useJobStore()
const others = computed(() => props.job.lines.filter(({ id, legs }) => id !== props.line.id && legs.length > 0))
const beside = computed(() => props.line.fix.beside ?? null)
const stands = useBeside(toRef(props, 'job'), toRef(props, 'line'))
const AXES = [
  ['right', 'right'],
  ['away', 'away'],
  ['up', 'up'],
] as const
const pick = (line: string) =>
  emit('set', { beside: line === '' ? null : { ...(beside.value ?? { right: 0, away: 0, up: 0 }), line } })
/** A distance along an axis; behind, left and down are less than nought. */
function readShift(text: string) {
  const bare = text.trim()
  if (bare === '' || /^-?0+(?:[.,]0+)?$/.test(bare)) return { ok: true as const, mm: 0 }
  const read = parseLength(bare.replace(/^-/, ''), props.system, 'distance')
  return read.ok
    ? { ok: true as const, mm: bare.startsWith('-') ? -read.value.mm : read.value.mm }
    : { ok: false as const, message: read.error.message }
}
const problemOf = (text: string) => {
  const read = readShift(text)
  return read.ok ? null : read.message
}
function setShift(axis: (typeof AXES)[number][0], text: string) {
  const read = readShift(text)
  if (read.ok && beside.value) emit('set', { beside: { ...beside.value, [axis]: read.mm } })
}
const shown = (mm: number) => `${mm < 0 ? '-' : ''}${tapeText(Math.abs(mm), props.system)}`
const apart = computed(() => stands.value?.supports.filter(({ off }) => off !== null && Math.abs(off) >= 1) ?? [])
function bring() {
  if (stands.value?.moves.length)
    store.do(props.job.slug, 'line/move-supports', props.line.id, { supports: stands.value.moves })
}
</script>

<template>
  <section v-if="others.length" aria-label="Beside another line" data-test="fix-beside">
    <h2 class="zone-heading">Beside another line</h2>
    <label class="row"
      ><span class="note t14">runs beside</span
      ><select
        class="plain-input t15"
        :value="beside?.line ?? ''"
        data-test="beside-line"
        @change="pick(($event.target as HTMLSelectElement).value)">
        <option value="">none</option>
        <option v-for="one in others" :key="one.id" :value="one.id">L{{ one.number }} {{ one.name }}</option>
      </select></label
    >
    <template v-if="beside">
      <div class="row">
        <span class="note t14">begins from its beginning</span>
        <span class="shifts"
          ><label v-for="[axis, words] in AXES" :key="axis"
            ><span class="note t13">{{ words }}</span
            ><KeptField
              class="t15 w6"
              :value="shown(beside[axis])"
              :check="problemOf"
              maxlength="20"
              :aria-label="`${words}, ${unitOf(system)}`"
              :data-test="`beside-${axis}`"
              @keep="(text) => setShift(axis, text)" /></label
        ></span>
      </div>
      <template v-if="stands">
        <p class="t15" data-test="beside-said">
          <b>{{ stands.opposite }}</b> of {{ stands.supports.length }} can stand opposite L{{ stands.other.number
          }}{{
            apart.length
              ? `; ${apart.map(({ name, off }) => `${name} ${formatLength(Math.abs(off!), system)} off`).join(', ')}: nearer breaks a distance, or it is fixed`
              : ''
          }}.
        </p>
        <RuledButton v-if="stands.moves.length" data-test="bring-opposite" @click="bring"
          >Bring {{ stands.moves.length }} opposite</RuledButton
        >
        <p v-else class="note t14">
          Nothing left to move. Offer both pieces up before the first is marked: one line across both.
        </p>
      </template>
    </template>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  min-height: 40px;
}
.shifts {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 10px;
}
</style>
