<script setup lang="ts">
import type { JobRecord, LineInput, LineRecord } from '#core/record'
import { likeLine, readImport, type LineImport } from '~/reading/line-import'

/** The line in and out in open formats; an import shows what it will do before it does it. */
const props = defineProps<{ job: JobRecord; line: LineRecord; isEmpty: boolean }>()
const emit = defineEmits<{ begin: [body: LineInput]; replace: [body: LineInput] }>()

const at = computed(() => `/api/jobs/${props.job.slug}/lines/${props.line.id}`)
const OUT = [
  ['line.json', 'Whole line in one file (JSON)', true],
  ['legs.csv', 'Legs as typed (CSV)', true],
  ['marks.csv', 'Cuts and marks (CSV)', false],
  ['strips.pdf', 'Strips and marks table (PDF)', false],
  ['isometric.svg', 'Isometric (SVG)', false],
  ['isometric.dxf', 'Isometric (DXF)', false],
  ['marks.svg', 'Marks (SVG)', false],
  ['marks.dxf', 'Marks (DXF)', false],
  ['space.dxf', 'Centre lines in space (DXF)', false],
] as const

const found = shallowRef<LineImport | null>(null)
const problem = ref<string | null>(null)
const input = useTemplateRef<HTMLInputElement>('input')
async function read(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const answer = readImport(file.name, await file.text(), props.job, likeLine(props.line))
  problem.value = answer.ok ? null : answer.error.message
  found.value = answer.ok ? answer.value : null
  if (input.value) input.value.value = ''
}
const bad = computed(() => found.value?.rows.filter(({ problem: one }) => one !== null) ?? [])
function take(how: 'begin' | 'replace') {
  if (!found.value) return
  if (how === 'begin') emit('begin', found.value.body)
  else emit('replace', found.value.body)
  found.value = null
}
</script>

<template>
  <section aria-label="In and out">
    <h2 class="zone-heading">Give out</h2>
    <ul class="exports">
      <li v-for="[name, words, always] in OUT" :key="name">
        <a
          v-if="always || !isEmpty"
          :href="`${at}/${name}`"
          :download="name.endsWith('.pdf') ? undefined : ''"
          :target="name.endsWith('.pdf') ? '_blank' : undefined"
          class="link-verb"
          :data-export="name"
          >{{ words }}</a
        >
      </li>
    </ul>
    <p v-if="isEmpty" class="note t14">Drawings and marks stand here once a leg is drawn.</p>
    <h2 class="zone-heading mt-5">Take in</h2>
    <p class="t14">
      A line's file (JSON), or a table of legs (CSV) with a column <b>leg</b>, or <b>way</b> and <b>length</b>. Nothing
      changes before you say so.
    </p>
    <label class="file"
      ><span class="link-verb">Choose a file</span
      ><input
        ref="input"
        type="file"
        accept=".json,.csv,application/json,text/csv"
        class="visually-hidden"
        data-test="import-file"
        @change="read"
    /></label>
    <p v-if="problem" class="brick flex gap-2 t15" role="alert" data-test="import-problem">
      <StatusShape status="refused" :size="16" /> {{ problem }}
    </p>
    <div v-if="found" class="preview" data-test="import-preview">
      <p class="t17 w7">
        {{ found.rows.length }} {{ found.rows.length === 1 ? 'leg' : 'legs' }} from {{ found.from
        }}{{ found.body.name ? `: ${found.body.name}` : '' }}
      </p>
      <p v-if="bad.length" class="brick t15">
        {{ bad.length }} {{ bad.length === 1 ? 'row is' : 'rows are' }} wrong. They come in as they are, to be put right
        in the list.
      </p>
      <p v-else class="t15">Every row is understood.</p>
      <ul class="bad t14">
        <li v-for="row in bad.slice(0, 30)" :key="row.number">
          <b>row {{ row.number }}</b> {{ row.text }}: {{ row.problem }}
        </li>
        <li v-if="bad.length > 30">and {{ bad.length - 30 }} more</li>
      </ul>
      <div class="flex gap-3 mt-2 flex-wrap">
        <RuledButton data-test="import-begin" @click="take('begin')">Put it in as a new line</RuledButton
        ><RuledButton variant="outline" data-test="import-replace" @click="take('replace')"
          >In place of L{{ line.number }}</RuledButton
        ><RuledButton variant="outline" @click="found = null">Leave it</RuledButton>
      </div>
    </div>
  </section>
</template>

<style scoped>
.exports li {
  min-height: 38px;
  display: flex;
  align-items: center;
}
.file {
  display: inline-flex;
  min-height: 44px;
  align-items: center;
  cursor: pointer;
}
.file:focus-within {
  outline: 2px solid var(--copper);
  outline-offset: 4px;
}
.preview {
  margin-top: 8px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.bad {
  max-height: 220px;
  overflow-y: auto;
}
.bad li {
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
@media (max-width: 899px) {
  .exports li {
    min-height: 44px;
  }
}
</style>
