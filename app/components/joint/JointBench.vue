<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { turnReach, getPipe } from '#core/catalogue'
import { isClosed, asksFlow, isOneWay, type Conditions, type End } from '#core/joints'
import { isUntouched, playOfEnd, type JobRecord } from '#core/record'
import { SERVICE_WORDS } from '~/wording/en'
import { endLabel } from '~/wording/way'
import { unitSystemOf } from '#core/units'
import { inUnits } from '~/reading/format'

/** Joint: two ends facing each other, the conditions, every way that works and every one refused. */
const props = defineProps<{ job: JobRecord }>()
const {
  joint,
  ends,
  suspects,
  answerSuspect,
  isStarting,
  shifted,
  follow,
  isSigned,
  measured,
  conditions,
  isFinding,
  answer,
  ways,
  way,
  folds,
  rows,
  hidden,
  isAll,
  openFold,
  lookedAt,
  addJoint,
  change,
  setCondition,
  take,
} = useJoint(toRef(props, 'job'))
const table = useTemplateRef<HTMLElement>('table')
const { width } = useElementSize(table)
const narrow = useNarrow()
const system = computed(() => unitSystemOf(props.job.region))

const picking = ref<'a' | 'b'>('b')
const isPicking = ref(false)
const isThreadFirst = ref(false)
function pickEnd(on: 'a' | 'b', what: 'pipe' | 'thread' = 'pipe') {
  picking.value = on
  isThreadFirst.value = what === 'thread'
  isPicking.value = true
}
function setEnd(end: End, find: string | null) {
  change(picking.value === 'a' ? { a: end, findA: find } : { b: end, findB: find })
}

const at = computed(() => rows.value.findIndex(({ id }) => id === way.value?.id))
const look = (index: number) => {
  lookedAt.value = rows.value[Math.min(rows.value.length - 1, Math.max(0, index))]?.id ?? null
}
const isWorkingOpen = ref(false)
useKeys({
  j: () => look(at.value + 1),
  k: () => look(at.value - 1),
  n: () => {
    void addJoint()
  },
  Enter: () => {
    if (way.value && !isSigned.value && !needsDay.value) take(way.value.id)
  },
  w: () => {
    isWorkingOpen.value = true
  },
})
const play = computed(() =>
  joint.value ? { a: playOfEnd(joint.value, 'a'), b: playOfEnd(joint.value, 'b') } : undefined,
)
/** Named where it matters which end the water comes from. */
const flowEnds = computed(() => {
  const { a, b } = joint.value ?? {}
  const { kind } = joint.value?.valve ?? {}
  const isAsked = a && b && (asksFlow({ a, b, conditions: conditions.value }) || (kind && isOneWay(kind)))
  if (!isAsked) return null
  const [first, other] = [endLabel(a), endLabel(b)]
  return first === other ? { a: 'the first end', b: 'the other end' } : { a: first, b: other }
})
const pipe = computed(() => {
  const { a, b } = joint.value ?? {}
  const end = [a, b].find((one) => one && 'pipe' in one)
  return end && 'pipe' in end ? getPipe(end.pipe) : null
})
/** Length of the valve's lever: measured, else typical. */
const reach = computed(() => {
  const { kind, lever } = joint.value?.valve ?? {}
  if (!kind || !pipe.value) return null
  return lever ?? turnReach(kind, pipe.value)?.value ?? null
})
const ROOM_PX = 300
/** What the drawing from above takes of the width beside the one from the side. */
const beside = computed(() => (reach.value !== null && !narrow.value ? ROOM_PX : 0))
const isShut = computed(() => isClosed(joint.value?.b))
/** A cap for a time is not taken without the day it comes off again. */
const needsDay = computed(() => {
  return isShut.value && conditions.value.temporary && !joint.value?.comeBack
})
const set = (name: keyof Conditions, value: Conditions[keyof Conditions] | undefined) =>
  setCondition(name, value as never)
/** No step of it was done, so that it can go as if it had never been begun. */
const canDrop = computed(() => joint.value !== undefined && isUntouched(joint.value))
const missingEnds = computed(() => {
  if (joint.value?.a) return 'the other end'
  return joint.value?.b ? 'the first end' : 'both ends'
})
</script>

<template>
  <JointTabs :slug="job.slug" :joints="job.joints" :current="joint?.id" can-add @add="addJoint()" />
  <p v-if="isStarting" class="p-6 note">Starting the joint.</p>
  <div v-else-if="!joint" class="p-6 space-y-4">
    <p class="t20 w7">No joint yet.</p>
    <RuledButton data-test="first-joint" @click="addJoint()">Start the first joint</RuledButton>
  </div>
  <div v-else class="bench">
    <div ref="table" class="table" :aria-busy="isFinding">
      <ShiftedBand :job="job" :shifted="shifted" :is-signed="isSigned" @follow="follow" />
      <SuspectBand
        :suspects="suspects"
        :ends="{ a: endLabel(joint.a), b: endLabel(joint.b) }"
        :job="job"
        @answer="answerSuspect" />
      <AsideBand v-if="!isSigned" :job="job" :joint="joint" />
      <JointEnds :job="job" :joint="joint" :is-signed="isSigned" @pick="pickEnd" @change="change" />
      <div v-if="way && joint.a && joint.b && width > 0" class="drawn">
        <JointSection
          :way="way"
          :a="joint.a"
          :b="joint.b"
          :system="system"
          :width="Math.floor(width) - beside"
          :height="narrow ? 196 : 214"
          :play="play"
          :take-out="joint.valve.takeOut"
          :reach="reach"
          :flow-from="conditions.flowFrom"
          :on-first="joint.onFirst" /><ValveRoom
          v-if="joint.valve.kind"
          :valve="joint.valve"
          :pipe="pipe"
          :system="system"
          :width="narrow ? Math.floor(width) - 24 : beside - 22"
          :height="narrow ? 150 : 132"
          :disabled="isSigned"
          @change="(valve) => change({ valve })" />
      </div>
      <div v-else-if="isFinding" :class="narrow ? 'h-[196px]' : 'h-[214px]'" />
      <svg v-else :width="Math.floor(width)" height="150" role="img" aria-label="No way yet">
        <path
          :d="`M0 50H${width * 0.4}M0 105H${width * 0.4}M${width * 0.4} 50V105M${width * 0.6} 50H${width}M${width * 0.6} 105H${width}M${width * 0.6} 50V105`"
          class="l-hidden" />
        <rect v-if="answer" :x="width * 0.4" y="50" :width="width * 0.2" height="55" fill="url(#hatch-brick)" />
        <text :x="width / 2" y="86" class="mid t40 w7 halo">?</text>
      </svg>
      <JointRoom :joint="joint" :way="way" :system="system" :is-signed="isSigned" @change="change" />
      <ConditionRow v-if="!isSigned" :conditions="conditions" :system="system" :flow-ends="flowEnds" @set="set" />
      <p v-else class="signed">
        <StatusShape status="made" /> Signed for {{ SERVICE_WORDS[conditions.service] }},
        {{ inUnits('temperature', conditions.temperature, system) }},
        {{ inUnits('pressure', conditions.pressure, system) }}. The list shows what else would have done.
      </p>
      <p v-if="!joint.a || !joint.b" class="p-5 t17">
        Choose {{ missingEnds }} from the finds or the list of sizes; the ways to join them stand here.
      </p>
      <InTurn v-else-if="answer"
        ><WayList
          :job="job"
          :joint="joint"
          :a="joint.a"
          :b="joint.b"
          :asked="ends"
          :answer="answer"
          :ways="ways"
          :folds="folds"
          :rows="rows"
          :hidden="hidden"
          :way="way"
          :is-signed="isSigned"
          @look="lookedAt = $event"
          @all="isAll = true"
          @open="openFold"
          @change="change"
      /></InTurn>
      <DropRecord
        v-if="canDrop"
        class="drop-joint"
        :job="job"
        act="joint/drop"
        :record="joint.id"
        :words="`take J${joint.number} out: begun by mistake`" />
    </div>
    <aside v-if="!narrow" class="working">
      <InTurn v-if="way" :after="2"
        ><WayWorking
          :way="way"
          :job="job"
          :measured="measured"
          :system="system"
          :index="at"
          :is-signed="isSigned"
          :taken="way.id === joint.wayId"
          :needs-day="needsDay"
          :is-closed="isShut"
          @take="take(way.id)"
          ><template #first
            ><WayParts
              :job="job"
              :joint="joint"
              :way="way"
              :system="system"
              :is-signed="isSigned"
              @change="change" /></template
          ><NuxtLink
            v-if="joint.wayId"
            :to="{ path: `/jobs/${job.slug}/make`, query: { joint: joint.id } }"
            class="link-verb"
            >Make J{{ joint.number }}</NuxtLink
          ></WayWorking
        ></InTurn
      >
    </aside>
    <template v-else-if="way">
      <div class="thumb">
        <RuledButton
          size="xl"
          class="flex-1"
          :disabled="isSigned || needsDay || way.id === joint.wayId"
          data-test="take-way"
          @click="take(way.id)"
          >{{ way.id === joint.wayId ? `Way ${at + 1} is taken` : `Take way ${at + 1}` }}</RuledButton><RuledButton
          size="xl"
          variant="outline"
          @click="isWorkingOpen = true"
          >Working</RuledButton
        >
      </div>
      <FrameSheet v-model:open="isWorkingOpen" side="bottom" title="Working" description="Depths, order list, cautions"
        ><template #body
          ><WayWorking
            :way="way"
            :job="job"
            :measured="measured"
            :system="system"
            :index="at"
            :is-signed="isSigned"
            :taken="way.id === joint.wayId"
            :needs-day="needsDay"
            :is-closed="isShut"
            @take="take(way.id)"
            ><template #first
              ><WayParts
                :job="job"
                :joint="joint"
                :way="way"
                :system="system"
                :is-signed="isSigned"
                @change="change" /></template></WayWorking></template
      ></FrameSheet>
    </template>
    <PipePicker v-model:open="isPicking" :job="job" :on="picking" :thread-first="isThreadFirst" @pick="setEnd" />
  </div>
</template>

<style scoped>
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
}
.table {
  min-width: 0;
  overflow: hidden;
}
.working {
  border-left: 1px solid var(--rule);
  padding: 10px 22px 18px 24px;
}
.drawn {
  display: flex;
}
.signed {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 8px 18px;
  border: 0 solid var(--rule);
  border-width: 1px 0;
  font-size: 14px;
}
.thumb {
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 12px;
  padding: 10px 12px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 340px;
  }
}
@media (max-width: 899px) {
  .bench {
    display: flex;
    flex-direction: column;
  }
  .drawn {
    flex-direction: column;
  }
}
.drop-joint {
  padding: 4px 18px;
}
</style>
