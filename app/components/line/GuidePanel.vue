<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import type { Bender } from '#core/line'
import { kitOf, type JobRecord, type LineInput, type LineRecord } from '#core/record'
import { GUIDES, readFields, type GuideContext, type GuideFigure } from '#core/run'
import { formatDecimal, type UnitSystem, type Region } from '#core/units'
import { speakAll } from '#core/speech'
import type { KeptTask } from '~/composables/useKeepTask'
import { unitOf } from '~/reading/format'

/** Tasks a line begins from: what is asked at the wall, what comes of it, and the line it draws. */
const props = defineProps<{
  job: JobRecord
  line: LineRecord
  bender: Bender | undefined
  system: UnitSystem
  region: Region
}>()
const emit = defineEmits<{ begin: [body: LineInput]; append: [legs: string[]] }>()

const context = computed<GuideContext>(() => ({
  region: props.job.region,
  pipe: getPipe(props.line.pipe),
  method: props.line.method,
  kit: kitOf(props.job),
  bender: props.bender,
  isTyped: (field) => typed[guide.value.id]?.[field] !== undefined,
}))
const at = ref(0)
const guides = computed(() => speakAll(GUIDES, props.job.region))
const guide = computed(() => guides.value[at.value]!)
const typed = reactive<Record<string, Record<string, string>>>({})
const values = computed<Record<string, string>>(() => ({
  ...Object.fromEntries(guide.value.fields.map((field) => [field.name, field.usual(context.value)])),
  ...typed[guide.value.id],
}))
const set = (name: string, value: string) => {
  typed[guide.value.id] = { ...typed[guide.value.id], [name]: value }
}

const read = computed(() => readFields(guide.value, values.value, context.value))
const answer = computed(() =>
  read.value.ok
    ? speakAll(guide.value.work(read.value.value, context.value), props.job.region)
    : speakAll(read.value, props.job.region),
)
const wrong = computed(() => (answer.value.ok ? null : answer.value.error))
/** The last answer that could be worked out stays while a field is being typed. */
const shown = ref(answer.value.ok ? answer.value.value : null)
watch([answer, guide], ([now], [, before]) => {
  if (now.ok) shown.value = now.value
  else if (before !== guide.value) shown.value = null
})

const keepTask = useKeepTask(toRef(props, 'job'))
const keptTask = ref<KeptTask | null>(null)
// Another question: what was kept belongs to the one before.
watch([() => guide.value.id, () => JSON.stringify(values.value)], () => {
  keptTask.value = null
})
function keep() {
  if (shown.value?.keep)
    keptTask.value = keepTask(guide.value.name, context.value.pipe, context.value.method, shown.value.keep)
}
const framed = useTemplateRef<HTMLElement>('framed')
const { width: framedWidth } = useElementSize(framed)
const { show } = useWorking()
const open = (figure: GuideFigure) =>
  show({ title: figure.words, source: figure.source, lines: figure.working, notes: [] })
function begin() {
  const line = shown.value?.line
  if (!line) return
  emit('begin', {
    name: line.name,
    pipe: line.pipe ?? props.line.pipe,
    method: props.line.method,
    corners: line.corners,
    start: line.start,
    walls: [],
    legs: line.legs,
  })
}
</script>

<template>
  <section aria-label="Start from a task">
    <label class="pick"
      ><span class="zone-heading">The task</span
      ><select v-model.number="at" class="plain-input t17 w7" data-test="guide">
        <option v-for="(one, i) in guides" :key="one.id" :value="i">{{ one.name }}</option>
      </select></label
    >
    <p class="t14 note">{{ guide.about }} For {{ context.pipe.label }}, {{ line.method.replaceAll('-', ' ') }}.</p>
    <div class="fields">
      <div v-for="field in guide.fields" :key="`${guide.id}${field.name}`" class="field">
        <label :for="`guide-${field.name}`" class="t14"
          >{{ field.words }}<span v-if="field.why" class="note t13 block">{{ field.why }}</span></label
        >
        <span class="with-unit"
          ><select
            v-if="field.options"
            :id="`guide-${field.name}`"
            class="plain-input t17 w7"
            :value="values[field.name]"
            :data-guide-field="field.name"
            @change="set(field.name, ($event.target as HTMLSelectElement).value)">
            <option v-for="one in field.options(context)" :key="one" :value="one">{{ one }}</option></select
          ><input
            v-else
            :id="`guide-${field.name}`"
            class="plain-input t20 w7"
            :value="values[field.name]"
            maxlength="40"
            :data-guide-field="field.name"
            :aria-invalid="wrong?.path === field.name"
            :aria-describedby="wrong?.path === field.name ? 'guide-wrong' : undefined"
            @input="set(field.name, ($event.target as HTMLInputElement).value)" /><span class="note t14">{{
            field.kind === 'length' ? unitOf(system) : ''
          }}</span></span
        >
      </div>
    </div>
    <p id="guide-wrong" class="brick t14 flex gap-2 wrong" role="status">
      <template v-if="wrong"
        ><StatusShape status="refused" :size="14" class="mt-[3px] flex-none" /> {{ ' ' }}
        <span>{{ wrong.message }}</span></template
      >
    </p>
    <template v-if="shown">
      <table class="sum" :class="{ old: wrong }">
        <tbody>
          <tr v-for="(figure, i) in shown.figures" :key="figure.words">
            <td>{{ figure.words }}</td>
            <td class="v" :class="i === 0 ? 't26 copper' : 't17'">
              <button type="button" class="figure-button" data-test="guide-figure" @click="open(figure)">
                <TapeFigure v-if="figure.unit === 'mm'" :mm="figure.value" :system="system" /><template v-else>{{
                  figure.value === null ? '?' : formatDecimal(figure.value, 1)
                }}</template
                ><span class="visually-hidden">, show the working</span>
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <div ref="framed">
        <InTurn v-if="shown.assembly && framedWidth > 0"
          ><GuideFrames
            :assembly="shown.assembly"
            :pipe="context.pipe"
            :system="system"
            :width="Math.floor(framedWidth)"
        /></InTurn>
      </div>
      <ol class="steps t15">
        <li v-for="step in shown.steps" :key="step">{{ step }}</li>
      </ol>
      <ul class="mt-2 space-y-1">
        <li v-for="note in shown.cautions" :key="note.code" class="flex gap-2 t14" :data-caution="note.code">
          <StatusShape status="held" :size="14" class="mt-[3px] flex-none" /><span>{{ note.text }}</span>
        </li>
      </ul>
      <p v-if="keptTask" class="t15 mt-3" role="status" data-test="task-kept">
        Kept:
        <NuxtLink
          v-for="one in keptTask.joints"
          :key="one.id"
          class="underline mr-3"
          :to="{ path: `/jobs/${job.slug}/make`, query: { joint: one.id } }"
          >J{{ one.number }}</NuxtLink
        ><NuxtLink
          v-if="keptTask.cut"
          class="underline"
          :to="{ path: `/jobs/${job.slug}/cut`, query: { cut: keptTask.cut.id } }"
          >its pieces on C{{ keptTask.cut.number }}</NuxtLink
        >
      </p>
      <p v-else-if="shown.keep" class="mt-3">
        <RuledButton variant="outline" :disabled="wrong !== null" data-test="keep-task" @click="keep"
          >Keep its {{ shown.keep.slips.count > 1 ? 'slip joints' : 'slip joint' }} and
          {{ shown.keep.pieces.count > 1 ? 'pieces' : 'piece' }}</RuledButton
        >
      </p>
      <div v-if="shown.line" class="flex gap-3 mt-3 flex-wrap items-center">
        <RuledButton :disabled="wrong !== null" data-test="guide-begin" @click="begin">Draw this line</RuledButton
        ><button
          v-if="line.legs.length"
          type="button"
          class="underline min-h-11 t14"
          data-test="guide-append"
          @click="emit('append', shown.line.legs)">
          or go on with it from L{{ line.number }}
        </button>
      </div>
    </template>
    <p class="note t13 mt-3">Local code, the fitting's own paper and a licensed person come first.</p>
  </section>
</template>

<style scoped>
.pick {
  display: block;
  margin-bottom: 4px;
}
.pick select {
  min-height: 40px;
}
.field {
  display: grid;
  grid-template-columns: 1fr 120px;
  gap: 10px;
  align-items: end;
  padding: 4px 0;
}
.with-unit {
  display: flex;
  gap: 6px;
  align-items: baseline;
}
.wrong {
  min-height: 22px;
}
.sum {
  width: 100%;
}
.sum td {
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.sum .v {
  text-align: right;
  font-weight: 700;
}
.old {
  opacity: 0.55;
}
.steps {
  list-style: decimal;
  padding-left: 22px;
  margin-top: 8px;
}
.steps li {
  padding: 2px 0;
}
</style>
