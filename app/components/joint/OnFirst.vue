<script setup lang="ts">
import { isClosed, JOINT_METHODS, toTube, type Way } from '#core/joints'
import { getPipe } from '#core/catalogue'
import { ON_FIRST, onFirstWords, type JobRecord, type JointBody, type JointRecord, type OnFirst } from '#core/record'
import { speak } from '#core/speech'

/**
 * What has to be on each pipe before the ends meet, in the order it is put on: what the hand asked for, then what the way
 * brings itself.
 */
const props = defineProps<{ job: JobRecord; joint: JointRecord; way: Way; isSigned: boolean }>()
const emit = defineEmits<{ change: [changes: Partial<JointBody>] }>()
const on = ref<'a' | 'b'>('a')
const pipeEnds = computed(() => (isClosed(props.joint.b) ? (['a'] as const) : (['a', 'b'] as const)))
const pipeOf = (end: 'a' | 'b') => {
  const own = props.joint[end]
  return own && 'pipe' in own ? own.pipe : null
}
const nameOf = (end: 'a' | 'b') =>
  pipeOf(end) ? `the ${getPipe(pipeOf(end)!).label}` : `the ${end === 'a' ? 'first' : 'other'} end`

/** Rings, sleeves and nuts that the way's own joint puts on the pipe. */
const ownOf = (end: 'a' | 'b'): string[] => {
  const joint = props.way.joints.find((one) => one.on === end)
  const pipe = pipeOf(end)
  if (!joint?.pipe || !pipe || !(joint.method in JOINT_METHODS)) return []
  const method = JOINT_METHODS[joint.method as keyof typeof JOINT_METHODS]
  const loose = method
    .looseParts(toTube({ pipe }), props.job.region)
    .filter(({ kind }) => kind === 'ring' || kind === 'olive' || kind === 'sleeve')
  const hasNut = ['nut', 'sealed-nut', 'flared-nut', 'barb-nut'].includes(method.drawing.mouth)
  return [...(hasNut ? ['nut'] : []), ...loose.map(({ name }) => speak(name, props.job.region))]
}
const rows = computed(() => [
  ...props.joint.onFirst.map(({ on: end, what }, i) => ({ end, words: onFirstWords(what, props.job), at: i })),
  ...(['a', 'b'] as const).flatMap((end) => ownOf(end).map((words) => ({ end, words, at: null }))),
])
const add = (what: OnFirst) => emit('change', { onFirst: [...props.joint.onFirst, { on: on.value, what }] })
const drop = (at: number) => emit('change', { onFirst: props.joint.onFirst.filter((_, i) => i !== at) })
</script>

<template>
  <section class="mt-3" aria-label="On the pipe before the ends meet" data-test="on-first">
    <h3 class="zone-heading">On the pipe before the ends meet</h3>
    <ol class="t15">
      <li v-for="(row, i) in rows" :key="`${i} ${row.words}`" class="row">
        <b>{{ i + 1 }}</b> <span>{{ row.words }}, on {{ nameOf(row.end) }}</span
        ><button
          v-if="row.at !== null && !isSigned"
          type="button"
          class="note t13 underline"
          :aria-label="`Take ${row.words} off the list`"
          @click="drop(row.at)">
          you asked for it; not this</button
        ><span v-else class="note t13">{{ row.at === null ? 'by this way' : 'you asked for it' }}</span>
      </li>
    </ol>
    <p v-if="!isSigned" class="adders t14">
      <span class="pair" role="group" aria-label="On which pipe"
        ><button
          v-for="end in pipeEnds"
          :key="end"
          type="button"
          class="choice t14"
          :aria-pressed="on === end"
          :data-on="end"
          @click="on = end">
          {{ end === 'a' ? 'first end' : 'other end' }}
        </button></span
      >
      <button
        v-for="what in ON_FIRST"
        :key="what"
        type="button"
        class="underline add"
        :data-on-first="what"
        @click="add(what)">
        + {{ onFirstWords(what, job) }}
      </button>
    </p>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 20px 1fr auto;
  gap: 8px;
  align-items: baseline;
  padding: 3px 0;
}
.adders {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}
.pair {
  display: inline-flex;
  gap: 10px;
}
.add {
  min-height: 36px;
}
@media (pointer: coarse), (max-width: 899px) {
  .add {
    min-height: 44px;
  }
}
</style>
