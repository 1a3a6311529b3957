<script setup lang="ts">
import { unitSystemOf } from '#core/catalogue'
import { useElementSize } from '@vueuse/core'
import type { Conditions, End } from '#core/joints'
import type { JobRecord } from '#core/record'
import { SERVICE_WORDS } from '~/wording/en'
import { endLabel } from '~/wording/way'

/** Joint: two ends facing each other, the conditions, every way that works and every one refused. */
const props = defineProps<{ job: JobRecord }>()
const {
  joint,
  ends,
  suspects,
  traced,
  isStarting,
  shifted,
  follow,
  isSigned,
  conditions,
  answer,
  ways,
  way,
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
function pickEnd(on: 'a' | 'b') {
  picking.value = on
  isPicking.value = true
}
function setEnd(end: End, find: string | null) {
  change(picking.value === 'a' ? { a: end, findA: find } : { b: end, findB: find })
}

/** Ways shown before the rest is asked for: the first few, the shortest chains, and the one taken. */
const FIRST = 5
const all = ref(false)
const fewest = computed(() => Math.min(...ways.value.map(({ joints }) => joints.length)))
const shown = computed(() =>
  ways.value
    .map((one, index) => ({ one, index }))
    .filter(
      ({ one, index }) =>
        all.value ||
        index < FIRST ||
        one.joints.length === fewest.value ||
        one.id === joint.value?.wayId ||
        one.id === way.value?.id,
    ),
)
const at = computed(() => ways.value.findIndex(({ id }) => id === way.value?.id))
const look = (index: number) => {
  lookedAt.value = ways.value[Math.min(ways.value.length - 1, Math.max(0, index))]?.id ?? null
}
const isWorkingOpen = ref(false)
const isCharted = ref(false)
/** As many ways as a chart can be read of. */
const CHARTED = 8
useKeys({
  j: () => look(at.value + 1),
  k: () => look(at.value - 1),
  n: () => {
    void addJoint()
  },
  Enter: () => {
    if (way.value && !isSigned.value) take(way.value.id)
  },
  w: () => {
    isWorkingOpen.value = true
  },
})
const set = (name: keyof Conditions, value: Conditions[keyof Conditions]) => setCondition(name, value as never)
</script>

<template>
  <JointTabs :job="job" :current="joint?.id" can-add @add="addJoint()" />
  <p v-if="isStarting" class="p-6 note">Starting the joint.</p>
  <div v-else-if="!joint" class="p-6 space-y-4">
    <p class="t20 w7">No joint yet.</p>
    <UButton data-test="first-joint" @click="addJoint()">Start the first joint</UButton>
  </div>
  <div v-else class="bench">
    <div ref="table" class="table">
      <ShiftedBand :job="job" :shifted="shifted" :is-signed="isSigned" @follow="follow" />
      <SuspectBand
        :suspects="suspects"
        :ends="{ a: endLabel(joint.a), b: endLabel(joint.b) }"
        :job="job"
        @traced="traced" />
      <AsideBand v-if="!isSigned" :job="job" :joint="joint" />
      <div class="ends">
        <button type="button" class="endpick" data-end="a" :disabled="isSigned" @click="pickEnd('a')">
          <span class="note t13">first end</span
          ><b class="t17">{{ joint.a ? endLabel(joint.a) : 'choose the pipe' }}</b>
        </button>
        <label class="place"
          ><span class="note t13">J{{ joint.number }}, where</span
          ><input
            class="plain-input t15"
            :value="joint.place"
            :disabled="isSigned"
            maxlength="120"
            placeholder="old stub, north wall"
            @input="change({ place: ($event.target as HTMLInputElement).value })"
        /></label>
        <button type="button" class="endpick text-right" data-end="b" :disabled="isSigned" @click="pickEnd('b')">
          <span class="note t13">other end</span
          ><b class="t17">{{ joint.b ? endLabel(joint.b) : 'choose the pipe' }}</b>
        </button>
      </div>
      <ComeBack
        v-if="joint.conditions.temporary || joint.comeBack"
        :joint="joint"
        :slug="job.slug"
        class="px-[18px] py-1" />
      <div class="details">
        <EndDetails :end="joint.a" :disabled="isSigned" @change="(end) => change({ a: end })" /><EndDetails
          :end="joint.b"
          :disabled="isSigned"
          class="right-end"
          @change="(end) => change({ b: end })" />
      </div>
      <JointSection
        v-if="way && joint.a && joint.b && width > 0"
        :way="way"
        :a="joint.a"
        :b="joint.b"
        :system="system"
        :width="Math.floor(width)"
        :height="narrow ? 196 : 214" />
      <svg v-else :width="Math.floor(width)" height="150" role="img" aria-label="No way yet">
        <path
          :d="`M0 50H${width * 0.4}M0 105H${width * 0.4}M${width * 0.4} 50V105M${width * 0.6} 50H${width}M${width * 0.6} 105H${width}M${width * 0.6} 50V105`"
          class="l-hidden" />
        <rect v-if="answer" :x="width * 0.4" y="50" :width="width * 0.2" height="55" fill="url(#hatch-brick)" />
        <text :x="width / 2" y="86" class="mid t40 w7 halo">?</text>
      </svg>
      <ConditionRow v-if="!isSigned" :conditions="conditions" @set="set" />
      <p v-else class="signed">
        <StatusShape status="made" /> Signed for {{ SERVICE_WORDS[conditions.service] }},
        {{ conditions.temperature }} &#176;C, {{ conditions.pressure }} bar. The list shows what else would have done.
      </p>
      <p v-if="!joint.a || !joint.b" class="p-5 t17">
        Choose {{ joint.a ? 'the other end' : joint.b ? 'the first end' : 'both ends' }} from the finds or the
        catalogue; the ways to join them stand here.
      </p>
      <template v-else-if="answer">
        <div v-if="ways.length === 0" class="p-5 space-y-2" data-test="no-way">
          <p class="t20 w7 flex gap-2 items-center">
            <StatusShape status="refused" :size="20" /> No way is right as it stands.
          </p>
          <p class="note">What would have to change:</p>
          <ul>
            <li v-for="text in answer.instead" :key="text" class="t17">{{ text }}</li>
          </ul>
        </div>
        <EndAsk
          v-if="!isSigned"
          :ways="ways"
          :a="ends.a"
          :b="ends.b"
          :labels="{ a: endLabel(joint.a), b: endLabel(joint.b) }"
          :region="job.region"
          @answer="(on, end) => change({ [on]: end })" />
        <TransitionGroup name="row">
          <WayRow
            v-for="{ one, index } in shown"
            :key="one.id"
            :way="one"
            :a="joint.a"
            :b="joint.b"
            :region="job.region"
            :system="system"
            :selected="one.id === way?.id"
            :taken="one.id === joint.wayId"
            :index="index"
            @look="lookedAt = one.id" />
        </TransitionGroup>
        <button v-if="ways.length > shown.length" type="button" class="more" data-test="more-ways" @click="all = true">
          {{ ways.length - shown.length }} more ways, with more joints or more care
        </button>
        <div v-if="ways.length > 1" class="compare">
          <button
            type="button"
            class="more"
            :aria-expanded="isCharted"
            data-test="chart"
            @click="isCharted = !isCharted">
            {{ isCharted ? 'Close the chart' : 'Minutes and cost of the first ways, as a chart' }}</button><WaysChart
            v-if="isCharted"
            :ways="ways.slice(0, CHARTED)"
            :region="job.region" />
        </div>
        <RefusedList
          :refused="answer.refused"
          :region="job.region"
          :end-words="{ a: endLabel(joint.a), b: endLabel(joint.b) }" />
      </template>
    </div>
    <aside v-if="!narrow" class="working">
      <WayWorking
        v-if="way"
        :way="way"
        :region="job.region"
        :system="system"
        :index="at"
        :is-signed="isSigned"
        :taken="way.id === joint.wayId"
        :policy="job.policy"
        :slug="job.slug"
        @take="take(way.id)"
        ><NuxtLink
          v-if="joint.wayId"
          :to="{ path: `/jobs/${job.slug}/make`, query: { joint: joint.id } }"
          class="link-verb"
          >Make J{{ joint.number }}</NuxtLink
        ></WayWorking
      >
    </aside>
    <template v-else-if="way">
      <div class="thumb">
        <UButton
          size="xl"
          class="flex-1"
          :disabled="isSigned || way.id === joint.wayId"
          data-test="take-way"
          @click="take(way.id)"
          >{{ way.id === joint.wayId ? `Way ${at + 1} is taken` : `Take way ${at + 1}` }}</UButton><UButton
          size="xl"
          variant="outline"
          @click="isWorkingOpen = true"
          >Working</UButton
        >
      </div>
      <USlideover
        v-model:open="isWorkingOpen"
        :transition="false"
        side="bottom"
        title="Working"
        description="Depths, order list, cautions"
        ><template #body
          ><WayWorking
            :way="way"
            :region="job.region"
            :system="system"
            :index="at"
            :is-signed="isSigned"
            :taken="way.id === joint.wayId"
            :policy="job.policy"
            :slug="job.slug"
            @take="take(way.id)" /></template
      ></USlideover>
    </template>
    <PipePicker v-model:open="isPicking" :job="job" :on="picking" @pick="setEnd" />
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
.ends {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 18px;
  padding: 6px 18px 2px;
  align-items: end;
}
.endpick {
  display: flex;
  flex-direction: column;
  min-height: 44px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
}
.endpick.text-right {
  align-items: flex-end;
}
.details {
  display: flex;
  justify-content: space-between;
  gap: 18px;
  padding: 0 18px;
  flex-wrap: wrap;
}
.right-end {
  margin-left: auto;
  justify-content: flex-end;
}
.endpick:hover {
  color: var(--copper);
}
.endpick:disabled {
  border-bottom-style: dashed;
  border-color: var(--rule);
}
.place {
  display: flex;
  flex-direction: column;
}
.place .plain-input {
  border-bottom: 1px solid var(--rule);
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
/* Rows change places in sight, so that the eye keeps the one it was on. */
.row-move {
  transition: transform 120ms ease-out;
}
@media (prefers-reduced-motion: reduce) {
  .row-move {
    transition: none;
  }
}
.more {
  width: 100%;
  min-height: 44px;
  padding: 0 18px;
  border-bottom: 1px solid var(--hair);
  color: var(--ink2);
  text-decoration: underline;
}
.thumb {
  position: sticky;
  bottom: 0;
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
  .ends {
    grid-template-columns: 1fr 1fr;
    padding: 6px 12px;
    gap: 12px;
  }
  .place {
    grid-column: 1 / 3;
    order: 3;
  }
}
</style>
