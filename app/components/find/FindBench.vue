<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { getPipe, shortName } from '#core/catalogue'
import type { JobRecord } from '#core/record'
import { CHECK_WORDS, MEANS_WORDS, type AskedName } from '~/wording/en'
import { unitSystemOf } from '#core/units'
import { speak } from '#core/speech'
import { nextStop } from '~/reading/stops'

/** Find: checks at the left, the measured pipe among the known sizes, what it could be at the right, cautions below. */
const props = defineProps<{ job: JobRecord }>()
const router = useRouter()
const route = useRoute()
const {
  find,
  reading,
  lengths,
  answer,
  checks,
  proposed,
  settling,
  cannot,
  resting,
  photoProblem,
  sigma,
  change,
  setAnswer,
  setAnswers,
  setCannot,
  addFind,
  addPhoto,
  dropPhoto,
} = useFind(toRef(props, 'job'))
const narrow = useNarrow()
const table = useTemplateRef<HTMLElement>('table')
const list = useTemplateRef<{ openCheck: (name: AskedName) => void }>('list')
const bench = useTemplateRef<HTMLElement>('bench')
const { width: tableWidth } = useElementSize(table)
const { width: benchWidth } = useElementSize(bench)
/** On a phone the middle column has no box of its own. */
const width = computed(() => (narrow.value ? benchWidth.value : tableWidth.value))
const drawn = computed(() => Math.max(300, Math.min(640, Math.floor(width.value))))

const system = computed(() => unitSystemOf(props.job.region))
const mm = computed(() => (reading.value.state === 'read' ? reading.value.mm : null))
const lastMm = ref<number | null>(null)
watch(
  reading,
  (now) => {
    if (now.state === 'read') lastMm.value = now.mm
    if (now.state === 'empty') lastMm.value = null
  },
  { immediate: true },
)
const leading = computed(() => (answer.value?.candidates[0] ? getPipe(answer.value.candidates[0].pipe) : null))
const leadingName = computed(() => leading.value && shortName(leading.value))
/** It was traced, and carries gas: nothing more is done with it here. */
const isGas = computed(() => find.value?.answers.traced === 'gas')
/** On a phone what stops the work stands under the thumb: gas at once, the clamp before a cut. */
const stop = computed(() => {
  const next = find.value && answer.value && !isBare.value ? nextStop(answer.value.cautions, find.value) : null
  return next?.code === 'gas' || find.value?.pipe ? next : null
})
const isBare = computed(() => !find.value || (mm.value === null && Object.keys(find.value.answers).length === 0))

async function toJoint() {
  await router.push({ path: `/jobs/${props.job.slug}/joint`, query: { from: find.value!.id } })
}
/** A check that the address asks for is opened at once. */
onMounted(() => {
  const asked = route.query.check
  if (typeof asked === 'string' && asked in CHECK_WORDS) void list.value?.openCheck(asked as AskedName)
})
</script>

<template>
  <div v-if="!find" class="p-6 space-y-4 max-w-[560px]">
    <PipeEnd :mm="null" :spread="0" :pipe="null" :system="system" :width="narrow ? 340 : 520" by="" />
    <p class="t20 w7">Nothing found yet.</p>
    <RuledButton data-test="first-find" @click="addFind">Measure the first pipe</RuledButton>
  </div>
  <template v-else>
    <div class="finds" role="group" aria-label="Finds on this job">
      <NuxtLink
        v-for="(one, i) in job.finds"
        :key="one.id"
        :to="{ query: { find: one.id } }"
        class="choice"
        :aria-current="one.id === find.id ? 'true' : undefined"
        ><StatusShape
          :status="one.pipe ? 'made' : 'planned'"
          :size="13"
          class="inline"
          :label="one.pipe ? 'kept' : 'open'" />
        {{ one.place || `find ${i + 1}` }}</NuxtLink
      >
      <button type="button" class="choice" data-test="new-find" @click="addFind">+ another pipe</button>
    </div>
    <div ref="bench" class="bench">
      <div class="left">
        <CheckList
          :key="find.id"
          ref="list"
          :job="job"
          :find="find"
          :reading="reading"
          :lengths="lengths"
          :next="answer?.next ?? []"
          :best="proposed[0]?.check"
          :spread="sigma"
          :cannot="cannot"
          @bar="setCannot"
          @typed="(typed) => change({ typed })"
          @by="(by) => change({ by })"
          @answer="setAnswer" />
      </div>
      <div ref="table" class="table">
        <label class="place"
          ><span class="note t13">where</span
          ><input
            class="plain-input t15"
            :value="find.place"
            maxlength="120"
            placeholder="north wall, behind the oven"
            @input="change({ place: ($event.target as HTMLInputElement).value })"
        /></label>
        <PipeVerdict
          v-if="narrow && lastMm !== null && answer?.candidates[0]"
          :mm="lastMm"
          :spread="sigma"
          :leading="answer.candidates[0]"
          :system="system" />
        <PipeEnd
          v-else
          :mm="lastMm"
          :spread="sigma"
          :pipe="leading"
          :system="system"
          :width="drawn"
          :by="speak(MEANS_WORDS[find.by], job.region)" />
        <p v-if="reading.state === 'wrong' && lastMm !== null" class="t14 ochre w6 px-4">
          Drawn from the last figure that could be read.
        </p>
        <SizeRuler
          class="ruler"
          :mm="lastMm"
          :spread="sigma"
          :region="job.region"
          :system="system"
          :width="drawn"
          :leading="leadingName ?? undefined" />
      </div>
      <div class="right">
        <CandidateList
          v-if="answer && !isBare"
          :answer="answer"
          :checks="checks"
          :next="proposed"
          :settling="settling"
          :find="find"
          :region="job.region"
          :system="system"
          :is-settled="find.pipe !== null"
          @keep="(pipe) => change({ pipe })"
          @answer="setAnswer"
          @again="(name) => list?.openCheck(name)" />
        <p v-else class="p-6 note">Answer any check, in any order. What it could be stands here, likeliest first.</p>
        <div v-if="find.pipe && !narrow && !isGas" class="px-6 pb-4">
          <RuledButton data-test="to-joint" @click="toJoint">Join this pipe</RuledButton>
        </div>
      </div>
      <InTurn
        ><FindKept
          :job="job"
          :find="find"
          :resting="resting"
          :photo-problem="photoProblem"
          class="kept"
          @notes="(notes) => change({ notes })"
          @photo="addPhoto"
          @drop="dropPhoto"
      /></InTurn>
      <HazardBand
        v-if="answer && answer.cautions.length && !isBare"
        class="hazards"
        :cautions="answer.cautions"
        :find="find"
        @answer="setAnswers" />
    </div>
    <FindThumb
      v-if="narrow && !isGas"
      :leading="isBare ? null : (answer?.candidates[0] ?? null)"
      :stop="stop"
      :settling="settling"
      :is-settled="find.pipe !== null"
      :region="job.region"
      @stop="setAnswers"
      @answer="setAnswer"
      @more="(name) => list?.openCheck(name)"
      @keep="(pipe) => change({ pipe })"
      @joint="toJoint" />
  </template>
</template>

<style scoped>
.finds {
  display: flex;
  gap: 22px;
  padding: 4px 18px;
  border-bottom: 1px solid var(--hair);
  overflow-x: auto;
  white-space: nowrap;
  align-items: center;
  min-height: 36px;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 420px;
  grid-template-rows: auto 1fr auto;
}
.left,
.right {
  grid-row: 1 / 3;
}
.kept {
  grid-column: 2;
  grid-row: 2;
}
.right {
  grid-column: 3;
}
.hazards {
  grid-column: 1 / -1;
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
}
.left {
  border-right: 1px solid var(--hair);
}
.right {
  border-left: 1px solid var(--rule);
}
.table {
  padding-top: 10px;
  min-width: 0;
  overflow: hidden;
}
.place {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 0 18px 6px;
}
.place .plain-input {
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: 280px minmax(0, 1fr) 320px;
  }
}
@media (max-width: 899px) {
  .finds {
    padding: 0 12px;
    gap: 16px;
  }
  .bench {
    display: flex;
    flex-direction: column;
  }
  .left,
  .table,
  .left :deep(.checks) {
    display: contents;
  }
  .left :deep(.zone-heading) {
    order: 3;
  }
  .left :deep(.diameter) {
    order: 0;
  }
  /* What it is stands under its measure, then what stops the work; the table of sizes comes after the names. */
  .table > :deep(svg) {
    order: 1;
    margin-bottom: 8px;
  }
  .table > :deep(.ruler) {
    order: 3;
  }
  .table .place {
    order: 3;
  }
  .place {
    padding: 4px 12px;
  }
  .hazards {
    order: 1;
    position: static;
  }
  .right {
    order: 2;
    border: 0;
  }
  .kept {
    order: 5;
  }
  .left :deep(.rows) {
    order: 4;
    border-top: 1px solid var(--rule);
  }
}
</style>
