<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { getPipe } from '#core/catalogue'
import { MOST_CUT_PIECES, type CutBody, type CutRecord, type JobRecord, type SheetPieces } from '#core/record'
import { formatLength, parseLength, type UnitSystem } from '#core/units'

/** What is cut: lines of this job and of others, and pieces typed at the bench; what waits, and why. */
const props = defineProps<{
  job: JobRecord
  jobs: readonly JobRecord[]
  sheet: CutRecord
  pieces: SheetPieces
  system: UnitSystem
}>()
const emit = defineEmits<{ change: [changes: Partial<CutBody>]; newSheet: [pipe: string] }>()

const isOn = (job: string, line: string) =>
  props.sheet.sources.some((source) => source.job === job && source.line === line)
const toggle = (job: string, line: string) =>
  emit('change', {
    sources: isOn(job, line)
      ? props.sheet.sources.filter((source) => source.job !== job || source.line !== line)
      : [...props.sheet.sources, { job, line }],
  })
const others = computed(() =>
  props.jobs.filter(
    ({ id, lines, region, handedOver }) =>
      id !== props.job.id && lines.length > 0 && region === props.job.region && handedOver === null,
  ),
)
const isElsewhere = ref(false)
const countOf = (line: string) => props.pieces.pieces.filter((piece) => piece.line === line).length

const checkCount = (text: string) =>
  /^\d+$/.test(text.trim()) && Number(text) >= 1 && Number(text) <= MOST_CUT_PIECES ? null : '1 to 2,000.'
const typed = reactive({ name: '', length: '', quantity: '1' })
const wrong = computed(() => {
  if (typed.length.trim() === '') return null
  const read = parseLength(typed.length, props.system, 'length')
  if (!read.ok) return read.error.message
  return checkCount(typed.quantity) === null ? null : 'How many: 1 to 2,000 are accepted.'
})
const field = useTemplateRef<HTMLInputElement>('field')
const refused = ref<string | null>(null)
watch(typed, () => {
  refused.value = null
})
function add() {
  if (typed.length.trim() === '' || wrong.value) {
    refused.value = wrong.value ?? 'The length is missing.'
    return
  }
  emit('change', {
    extras: [
      ...props.sheet.extras,
      { id: uuid(), name: typed.name.trim(), length: typed.length.trim(), quantity: Number(typed.quantity) },
    ],
  })
  Object.assign(typed, { name: '', length: '', quantity: '1' })
  field.value?.focus()
}
const set = (id: string, changes: Partial<CutRecord['extras'][number]>) =>
  emit('change', { extras: props.sheet.extras.map((one) => (one.id === id ? { ...one, ...changes } : one)) })
const issueOf = (index: number) =>
  props.pieces.issues.find(({ path }) => path === `extras.${index}.length`)?.message ?? null
const sourceIssues = computed(() => props.pieces.issues.filter(({ path }) => path.startsWith('sources')))
const missing = computed(() =>
  props.sheet.sources.filter(
    ({ job, line }) => !props.jobs.some((one) => one.id === job && one.lines.some(({ id }) => id === line)),
  ),
)
const isClosed = computed(() => props.sheet.result !== null)
</script>

<template>
  <section aria-label="Pieces">
    <p class="zone-heading">
      Lines of this job
      <span class="right"
        >{{ pieces.pieces.length }} pieces,
        {{
          formatLength(
            pieces.pieces.reduce((sum, { length }) => sum + length, 0),
            system,
          )
        }}</span
      >
    </p>
    <p v-if="job.lines.length === 0" class="note t14">
      None drawn. <NuxtLink :to="`/jobs/${job.slug}/line`" class="underline">Draw one</NuxtLink>, or type pieces below.
    </p>
    <ul>
      <li v-for="line in job.lines" :key="line.id">
        <button
          type="button"
          class="source"
          :aria-pressed="isOn(job.id, line.id)"
          :disabled="isClosed"
          :data-source="line.number"
          @click="toggle(job.id, line.id)">
          <StatusShape :status="isOn(job.id, line.id) ? 'made' : 'planned'" :size="16" /><b>L{{ line.number }}</b>
          {{ line.name }}<span class="note right">{{ isOn(job.id, line.id) ? `${countOf(line.id)} here` : '' }}</span>
        </button>
      </li>
    </ul>
    <template v-if="others.length">
      <button
        type="button"
        class="underline t14 min-h-9"
        :aria-expanded="isElsewhere"
        data-test="other-jobs"
        @click="isElsewhere = !isElsewhere">
        {{ isElsewhere ? 'only this job' : 'cut for another job beside it' }}
      </button>
      <ul v-if="isElsewhere">
        <template v-for="other in others" :key="other.id"
          ><li v-for="line in other.lines" :key="line.id">
            <button
              type="button"
              class="source"
              :aria-pressed="isOn(other.id, line.id)"
              :disabled="isClosed"
              @click="toggle(other.id, line.id)">
              <StatusShape :status="isOn(other.id, line.id) ? 'made' : 'planned'" :size="16" /><b
                >{{ other.name }} L{{ line.number }}</b
              >
              {{ line.name
              }}<span class="note right">{{ isOn(other.id, line.id) ? `${countOf(line.id)} here` : '' }}</span>
            </button>
          </li></template
        >
      </ul>
    </template>
    <p v-for="one in sourceIssues" :key="one.path" class="brick t14 flex gap-2">
      <StatusShape status="refused" :size="14" class="mt-[3px] flex-none" /> {{ one.message.replace(/^[\w.]+: /, '') }}
    </p>
    <button
      v-if="missing.length"
      type="button"
      class="underline t14 min-h-9"
      @click="emit('change', { sources: sheet.sources.filter((source) => !missing.includes(source)) })">
      take it off this sheet
    </button>
    <ul v-if="pieces.waiting.length" class="mt-1">
      <li v-for="(one, i) in pieces.waiting" :key="i" class="t14 flex gap-2">
        <StatusShape status="held" :size="14" class="mt-[3px] flex-none" /><span
          ><b>{{ one.name }}</b> waits: {{ one.why }}</span
        >
      </li>
    </ul>
    <p v-if="pieces.others.length" class="t14 mt-1">
      Of other pipe in these lines:
      <template v-for="pipe in pieces.others" :key="pipe"
        ><button type="button" class="underline min-h-9" @click="emit('newSheet', pipe)">
          {{ getPipe(pipe).label }}, a sheet of its own
        </button>
      </template>
    </p>

    <p class="zone-heading mt-3">Pieces typed here</p>
    <ul>
      <li v-for="(one, i) in sheet.extras" :key="one.id" class="extra">
        <KeptField
          :value="one.name"
          maxlength="40"
          aria-label="Name"
          placeholder="piece"
          :disabled="isClosed"
          @keep="set(one.id, { name: $event })" />
        <KeptField
          class="w7"
          :value="one.length"
          maxlength="40"
          aria-label="Length"
          :aria-invalid="issueOf(i) !== null"
          :disabled="isClosed"
          :data-extra="i"
          @keep="set(one.id, { length: $event })" />
        <KeptField
          :value="one.quantity"
          inputmode="numeric"
          aria-label="How many"
          :disabled="isClosed"
          :check="checkCount"
          @keep="set(one.id, { quantity: Number($event) })" />
        <button
          type="button"
          class="underline note min-h-9"
          :disabled="isClosed"
          :aria-label="`Take out ${one.name || 'piece'} ${one.length}`"
          @click="emit('change', { extras: sheet.extras.filter(({ id }) => id !== one.id) })">
          out
        </button>
        <span v-if="issueOf(i)" class="brick t14 wide">{{ issueOf(i) }}</span>
      </li>
    </ul>
    <form v-if="!isClosed" class="extra" @submit.prevent="add">
      <input
        v-model="typed.name"
        class="plain-input"
        maxlength="40"
        aria-label="Name of a piece"
        placeholder="name"
        data-test="piece-name" />
      <input
        ref="field"
        v-model="typed.length"
        class="plain-input w7"
        maxlength="40"
        aria-label="Its length"
        :placeholder="system === 'inch' ? '24 1/2' : '640'"
        :aria-invalid="wrong !== null"
        data-test="piece-length" />
      <input
        v-model="typed.quantity"
        class="plain-input"
        maxlength="6"
        inputmode="numeric"
        aria-label="How many"
        data-test="piece-quantity" />
      <button type="submit" class="link-verb min-h-9" data-test="add-piece">add</button>
      <span v-if="refused ?? wrong" class="brick t14 wide" role="status">{{ refused ?? wrong }}</span>
    </form>
    <label class="spare"
      ><span class="t14">Bent pieces longer by, to trim after the bend</span
      ><KeptField
        class="w7"
        :value="sheet.spare"
        maxlength="40"
        placeholder="0"
        :disabled="isClosed"
        data-test="spare"
        @keep="emit('change', { spare: $event })"
    /></label>
    <p class="note t13">
      Two schools: cut to length and bend to the marks, or bend first in a longer piece and trim. The second forgives a
      hook set wrong; a piece can be shortened, not grown.
    </p>
  </section>
</template>

<style scoped>
.source {
  display: flex;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 36px;
  border-bottom: 1px solid var(--hair);
  text-align: left;
}
.source:hover {
  background: var(--paper2);
}
.right {
  margin-left: auto;
}
.extra {
  display: grid;
  grid-template-columns: 1fr 92px 52px 44px;
  gap: 4px 10px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 3px 0;
}
.wide {
  grid-column: 1 / -1;
}
.spare {
  display: grid;
  grid-template-columns: 1fr 92px;
  gap: 10px;
  align-items: baseline;
  margin-top: 14px;
}
@media (max-width: 899px), (pointer: coarse) {
  .source,
  .extra input,
  .extra button {
    min-height: 44px;
  }
}
</style>
