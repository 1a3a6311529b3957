<script setup lang="ts">
import type { RunRow } from '#core/run'
import { splitLegs } from '#core/run'
import type { UnitSystem } from '#core/units'
import type { ShownPiece } from '~/composables/useLine'
import { tapeText } from '~/reading/tape'
import { bringIntoSight } from '~/reading/in-sight'

/** The legs as they were typed, one row each, and the field for the next; each keeps its own mistake beside it. */
const props = defineProps<{
  rows: readonly RunRow[]
  issues: readonly (string | null)[]
  pieces: readonly ShownPiece[]
  row: number
  system: UnitSystem
  isPhone: boolean
}>()
const emit = defineEmits<{
  look: [row: number]
  add: [text: string, after: number | null]
  set: [row: number, text: string]
  drop: [row: number]
}>()

const typed = ref('')
const editing = ref<number | null>(null)
const text = ref('')
const list = useTemplateRef<HTMLElement>('list')
const field = useTemplateRef<HTMLInputElement>('field')

function edit(index: number) {
  editing.value = index
  text.value = props.rows[index]?.text ?? ''
  void nextTick(() => list.value?.querySelector<HTMLInputElement>('input[data-edit]')?.focus())
}
function keep() {
  const index = editing.value
  editing.value = null
  if (index === null) return
  const [first, ...more] = splitLegs(text.value)
  if (first === undefined) return
  if (first !== props.rows[index]!.text) emit('set', index, first)
  // More than one leg typed where one stood: the rest follows it.
  if (more.length > 0) emit('add', more.join('\n'), index)
}
function leave() {
  editing.value = null
  void nextTick(() => list.value?.querySelector<HTMLElement>('[aria-current="true"]')?.focus())
}
function drop(index: number) {
  editing.value = null
  emit('drop', index)
}
function add() {
  if (typed.value.trim() === '') return
  emit('add', typed.value, null)
  typed.value = ''
  void nextTick(() => list.value?.querySelector('.rows')?.scrollTo({ top: 1e6 }))
}
/** Types the beginning of a leg for a point and goes to the field. */
function beginFrom(words: string) {
  typed.value = words
  void nextTick(() => field.value?.focus())
}
defineExpose({
  focusField: () => field.value?.focus(),
  focusList: () => list.value?.querySelector<HTMLElement>('[aria-current="true"]')?.focus(),
  edit: () => edit(props.row),
  beginFrom,
})

// On a phone the drawing stands over the list: it must not scroll away when another piece is looked at.
watch(
  () => props.row,
  () => {
    if (!props.isPhone) bringIntoSight(() => list.value?.querySelector('[aria-current="true"]'))
  },
)
const pieceOf = (index: number) => props.pieces.find(({ rows }) => rows.includes(index))
/** A piece's cut stands at its first row. */
const cutOf = (index: number): string | null => {
  const piece = pieceOf(index)
  if (!piece || piece.rows[0] !== index) return null
  return tapeText(piece.piece?.cut ?? null, props.system)
}
</script>

<template>
  <section ref="list" class="legs" aria-label="Legs">
    <h2 class="zone-heading head">
      <span>Legs, as typed</span> <span class="right only-wide"><kbd>L</kbd></span>
    </h2>
    <ol class="rows">
      <li v-for="(one, i) in rows" :key="i" :class="{ 'row-selected': i === row, wrong: issues[i] }" :data-leg="i">
        <div v-if="editing === i" class="edit">
          <label :for="`leg-${i}`" class="visually-hidden">Leg {{ one.from }} to {{ one.to }}</label>
          <input
            :id="`leg-${i}`"
            v-model="text"
            data-edit
            class="plain-input"
            maxlength="400"
            autocapitalize="off"
            autocomplete="off"
            spellcheck="false"
            @keydown.enter.prevent="keep"
            @keydown.esc.stop.prevent="leave"
            @blur="keep" />
        </div>
        <button
          v-else
          type="button"
          class="leg"
          :aria-current="i === row"
          @click="i === row && !isPhone ? edit(i) : emit('look', i)"
          @focus="emit('look', i)">
          <span v-if="isPhone" class="cut w7" :class="{ note: cutOf(i) === '?', long: (cutOf(i)?.length ?? 0) > 5 }">{{
            cutOf(i) ?? ''
          }}</span>
          <b class="ends">{{ one.from }} {{ one.to }}</b>
          <span class="text">{{ one.leg?.from ? one.text.replace(/^\s*from \w+ /i, '') : one.text }}</span>
          <span v-if="!isPhone && cutOf(i)" class="small w7">{{ cutOf(i) }}</span>
        </button>
        <p v-if="issues[i]" class="issue t13" :data-issue="i">
          <StatusShape :status="one.issue?.code === 'missing' ? 'held' : 'refused'" :size="13" /> {{ ' ' }}
          <span>{{ issues[i] }}</span>
        </p>
        <div v-if="i === row && (editing === i || isPhone)" class="tools">
          <button v-if="isPhone" type="button" class="underline" data-test="edit-leg" @click="edit(i)">change</button
          ><button type="button" class="underline" data-test="drop-leg" @mousedown.prevent @click="drop(i)">
            take out
          </button>
        </div>
      </li>
    </ol>
    <div class="new">
      <label for="new-leg" class="visually-hidden">New leg: way and length, such as e 640</label>
      <input
        id="new-leg"
        ref="field"
        v-model="typed"
        data-test="new-leg"
        class="plain-input t17"
        maxlength="4000"
        :placeholder="system === 'inch' ? 'e 24, u 18 1/2 …' : 'e 640, u 480 …'"
        autocapitalize="off"
        autocomplete="off"
        spellcheck="false"
        @keydown.enter.prevent="add"
        @keydown.esc.prevent="($event.target as HTMLInputElement).blur()" />
      <p class="note t13 hint">
        e right, w left, n away, s toward you, u up, d down, letter or word, and a length (~ before one not measured
        yet); then elbow, bend, tee, ball valve, cap, stop;
        {{ system === 'inch' ? 'offset s 2-1/2 @ 45 at 16; on 1/2' : 'offset s 65 @ 45 at 420; on 15' }}; from c; = sink
        1
      </p>
    </div>
    <slot />
  </section>
</template>

<style scoped>
.legs {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.head {
  padding: 10px 12px 6px 18px;
}
.rows {
  overflow-y: auto;
  min-height: 0;
  flex: 0 1 auto;
}
li {
  border-bottom: 1px solid var(--hair);
}
.leg {
  display: flex;
  width: 100%;
  gap: 10px;
  align-items: baseline;
  padding: 8px 10px 8px 18px;
  min-height: 38px;
  font-size: 16px;
}
.leg:hover {
  background: var(--paper2);
}
.leg:focus-visible {
  outline-offset: -3px;
}
.ends {
  font-size: 15px;
  white-space: nowrap;
  letter-spacing: 0.04em;
}
.text {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
  line-height: 1.2;
}
.row-selected .text {
  font-weight: 600;
}
.small {
  font-size: 14px;
  color: var(--ink2);
  white-space: nowrap;
}
.row-selected .small {
  color: var(--copper);
}
.edit {
  padding: 6px 10px 6px 18px;
}
.edit input {
  font-size: 16px;
}
.issue {
  display: flex;
  gap: 6px;
  padding: 0 10px 8px 18px;
  color: var(--brick);
}
.issue svg {
  margin-top: 2px;
  flex: none;
}
.tools {
  display: flex;
  gap: 18px;
  padding: 0 10px 6px 18px;
  font-size: 14px;
}
.tools button {
  min-height: 30px;
}
.new {
  padding: 10px 12px 8px 18px;
}
.hint {
  margin-top: 6px;
  line-height: 1.25;
}
.cut {
  font-size: 20px;
  width: 84px;
}
.cut.long {
  font-size: 17px;
}
.row-selected .cut {
  font-size: 26px;
  color: var(--copper);
}
.row-selected .cut.long {
  font-size: 20px;
}
@media (pointer: coarse), (max-width: 899px) {
  .leg {
    min-height: 52px;
    align-items: center;
  }
  .rows {
    overflow: visible;
  }
  .tools button {
    min-height: 44px;
  }
}
</style>
