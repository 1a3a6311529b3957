<script setup lang="ts">
import { findSocket, PIPES, SERIES, type Pipe } from '#core/catalogue'
import { JOINT_METHODS, type End } from '#core/joints'
import type { JobRecord } from '#core/record'
import { pipesCalled } from '~/reading/called'
import { formatReading } from '~/reading/format'
import { unitSystemOf } from '#core/units'

/** One pipe out of the job's finds or the catalogue; nominal, outside, wall and bore always together. */
const props = defineProps<{ job: JobRecord; on: 'a' | 'b'; pipesOnly?: boolean; threadFirst?: boolean }>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ pick: [end: End, find: string | null] }>()
const narrow = useNarrow()

const system = computed(() => unitSystemOf(props.job.region))
/** Steel is met by the thread cut on it. */
const canJoin = (pipe: Pipe) =>
  pipe.family === 'steel' || Object.values(JOINT_METHODS).some(({ id }) => findSocket(id, pipe))
const series = computed(() =>
  SERIES.filter(({ id }) => PIPES.some((pipe) => pipe.series === id && canJoin(pipe)))
    .map((one) => ({ ...one, here: one.regions.includes(props.job.region) }))
    .sort((x, y) => Number(y.here) - Number(x.here)),
)
const chosen = ref<string>()
const shown = computed(() => chosen.value ?? series.value[0]?.id)
/** A size or a measured outside, looked up over all kinds. */
const wanted = ref('')
const pipes = computed(() =>
  (wanted.value.trim()
    ? pipesCalled(wanted.value, props.job.region)
    : PIPES.filter((pipe) => pipe.series === shown.value)
  ).filter(canJoin),
)
watch(open, () => {
  wanted.value = ''
})
const finds = computed(() => props.job.finds.filter(({ pipe }) => pipe !== null))
const figure = (mm: number | null) => (mm === null ? '?' : formatReading(mm, system.value))

function take(end: End, find: string | null = null) {
  emit('pick', end, find)
  open.value = false
}
const pick = (pipe: string, find: string | null = null) => take({ pipe }, find)
</script>

<template>
  <FrameSheet
    v-model:open="open"
    :side="narrow ? 'bottom' : 'right'"
    :title="on === 'a' ? 'The first end' : 'The other end'"
    :description="`Lengths in ${system === 'inch' ? 'inches' : 'millimetres'}. A socket goes by the outside diameter.`"
    :ui="{ content: narrow ? '' : 'max-w-[560px]' }">
    <template #body>
      <template v-if="threadFirst"
        ><h3 class="zone-heading mb-2">A thread</h3>
        <ThreadPicker :region="job.region" class="mb-4" @pick="(end) => take(end)" />
        <h3 class="zone-heading mb-2">Or a pipe</h3></template
      >
      <div v-if="finds.length" class="mb-4">
        <h3 class="zone-heading mb-1">Found on this job</h3>
        <button v-for="find in finds" :key="find.id" type="button" class="row" @click="pick(find.pipe!, find.id)">
          <b>{{ PIPES.find(({ id }) => id === find.pipe)?.label }}</b> <span class="note">{{ find.place }}</span>
        </button>
      </div>
      <SizeField
        v-model="wanted"
        class="mb-3"
        :system="system"
        :is-missing="pipes.length === 0"
        :autofocus="!narrow"
        test="picker-size"
        @enter="pipes.length === 1 && pick(pipes[0]!.id)" />
      <div v-if="!wanted.trim()" class="answers mb-3" role="group" aria-label="Kind of pipe">
        <button
          v-for="one in series"
          :key="one.id"
          type="button"
          class="answer"
          :aria-pressed="shown === one.id"
          :data-series="one.id"
          @click="chosen = one.id">
          {{ one.words }}<span v-if="!one.here" class="note t13"> not usual here</span>
        </button>
      </div>
      <table v-if="pipes.length" class="w-full">
        <thead>
          <tr>
            <th>size</th>
            <th>outside</th>
            <th>wall</th>
            <th>bore</th>
            <th><span class="visually-hidden">take</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pipe in pipes" :key="pipe.id" @click="pick(pipe.id)">
            <td>
              <b class="t17">{{ wanted.trim() ? pipe.label : pipe.nominal }}</b>
            </td>
            <td>{{ figure(pipe.od) }}</td>
            <td>{{ figure(pipe.wall) }}</td>
            <td>{{ figure(pipe.bore) }}</td>
            <td class="text-right">
              <button
                type="button"
                class="answer"
                :data-pipe="pipe.id"
                :aria-label="`Take ${pipe.label}`"
                @click.stop="pick(pipe.id)">
                take
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <template v-if="!pipesOnly && !threadFirst"
        ><h3 class="zone-heading mt-4 mb-2">Or a thread</h3>
        <ThreadPicker :region="job.region" @pick="(end) => take(end)"
      /></template>
      <p class="note t13 mt-3">
        {{ pipes[0]?.standard
        }}{{ pipes.some(({ typical }) => typical) ? '; some walls are typical, makers differ' : '' }}
      </p>
    </template>
  </FrameSheet>
</template>

<style scoped>
.row {
  display: block;
  width: 100%;
  min-height: 44px;
  border-bottom: 1px solid var(--hair);
  padding: 6px 0;
}
.row:hover,
tbody tr:hover {
  background: var(--paper2);
}
th {
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
  text-align: right;
  border-bottom: 1px solid var(--rule);
}
th:first-child,
td:first-child {
  text-align: left;
}
td {
  text-align: right;
  height: 44px;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}
</style>
