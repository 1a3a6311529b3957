<script setup lang="ts">
import { fillPolicy } from '#core/joints'
import { apartOf, weepOf, type MakeCard } from '#core/making'
import { isMade, reusesOf, weepsOf, type JobRecord, type JointRecord } from '#core/record'
import { formatLength, unitSystemOf } from '#core/units'
import { speak } from '#core/speech'
import { methodWords } from '~/wording/en'
import { endLabel } from '~/wording/way'

/** An end that weeps, and how each end comes apart again: what is used again, how it is looked at, how often it was. */
const props = defineProps<{ job: JobRecord; joint: JointRecord; cards: readonly MakeCard[]; card: MakeCard }>()
const open = defineModel<boolean>('open', { required: true })
const store = useJobStore()
const narrow = useNarrow()
const problem = ref<string | null>(null)
const chosen = ref<number | null>(null)
watch(open, () => {
  problem.value = null
  chosen.value = null
})
const at = computed(() => props.cards.find(({ entry }) => entry === chosen.value) ?? props.card)
const region = computed(() => props.job.region)
const apart = computed(() => apartOf(at.value.joint.method, region.value))
const wept = computed(() => weepsOf(props.joint, at.value.entry))
const remedy = computed(() => weepOf(at.value.joint.method, wept.value, region.value))
const used = computed(() => reusesOf(props.joint, at.value.entry))
const limit = computed(() => fillPolicy(props.job.policy).reuseLimit)
const lost = computed(() => {
  const depth = at.value.joint.insertion.value
  return apart.value.takesPipe && depth !== null ? formatLength(depth, unitSystemOf(region.value)) : null
})
/** An end as it is told from the others: the pipe it is on, how it is made. */
function endWords({ joint: { on, method }, entry }: MakeCard): string {
  const where = on === 'between' ? 'between' : endLabel(on === 'a' ? props.joint.a : props.joint.b)
  const turn = props.cards.length > 1 ? `${props.cards.findIndex((one) => one.entry === entry) + 1}  ` : ''
  return `${turn}${where}: ${methodWords(method)}`
}
function enter(answer: { ok: true } | { ok: false; error: { message: string } }) {
  problem.value = answer.ok ? null : speak(answer.error.message, region.value)
  if (answer.ok) open.value = false
}
const weep = () => enter(store.do(props.job.slug, 'joint/weep', props.joint.id, { entry: at.value.entry }))
const CLOSINGS = [
  { closed: 'capped', words: 'ends capped' },
  { closed: 'plugged', words: 'ends plugged' },
  { closed: 'valve', words: 'a valve shut' },
  { closed: 'dry', words: 'left dry, water off' },
] as const
const stop = (closed: (typeof CLOSINGS)[number]['closed']) =>
  enter(store.do(props.job.slug, 'joint/break-off', props.joint.id, { closed }))
const part = (reused: boolean) =>
  enter(store.do(props.job.slug, 'joint/apart', props.joint.id, { entry: at.value.entry, reused }))
</script>

<template>
  <FrameSheet
    v-model:open="open"
    :side="narrow ? 'bottom' : 'right'"
    :title="`J${joint.number}: it weeps, or comes apart`"
    description="What is done goes on record; the steps of that end are begun again."
    :ui="{ content: narrow ? '' : 'max-w-[620px]' }">
    <template #body>
      <div v-if="cards.length > 1" class="row" role="group" aria-label="Which end">
        <button
          v-for="one in cards"
          :key="one.entry"
          type="button"
          class="choice t15"
          :aria-pressed="one.entry === at.entry"
          :data-apart-end="one.entry"
          @click="chosen = one.entry">
          {{ endWords(one) }}
        </button>
      </div>
      <section class="mt-3" aria-label="It weeps">
        <h3 class="zone-heading">
          It weeps
          <span v-if="wept" class="right ochre" data-test="wept"
            >wept {{ wept }} time{{ wept === 1 ? '' : 's' }} before</span
          >
        </h3>
        <p class="t20 w7 my-2" data-test="weep-remedy">{{ speak(remedy.do, region) }}</p>
        <RuledButton size="xl" block data-test="weeps" @click="weep">{{
          remedy.again === 'step' ? 'It weeps: nip it, and look again' : 'It weeps: begin this end anew'
        }}</RuledButton>
      </section>
      <section class="mt-5" aria-label="Take it apart">
        <h3 class="zone-heading">
          Take it apart <span v-if="used" class="right">fitting used again {{ used }} of {{ limit }}</span>
        </h3>
        <ol class="moves">
          <li v-for="(move, i) in apart.moves" :key="i" class="t17" data-test="apart-move">
            <b>{{ i + 1 }}</b>
            <span
              >{{ speak(move.do, region) }}.
              <span v-if="move.caution" class="brick w7 flex gap-2 items-center"
                ><StatusShape status="stop" :size="18" class="flex-none" /> {{ speak(move.caution, region) }}</span
              ></span
            >
          </li>
        </ol>
        <dl class="t15">
          <dt>used again</dt>
          <dd data-test="apart-again">{{ apart.again ? `${speak(apart.again.what, region)}` : 'nothing' }}</dd>
          <template v-if="apart.again">
            <dt>look first</dt>
            <dd>{{ speak(apart.again.look, region) }}.</dd>
          </template>
          <dt>thrown away</dt>
          <dd>{{ speak(apart.scrap, region) }}.</dd>
          <template v-if="lost">
            <dt>pipe it takes</dt>
            <dd data-test="apart-lost">
              <b>{{ lost }}</b> and the cut, of this end
            </dd>
          </template>
        </dl>
        <p class="note t13 mt-2">Practice; the fitting's own paper comes first.</p>
        <div class="row mt-3">
          <RuledButton v-if="apart.again && used < limit" size="xl" data-test="apart-again-used" @click="part(true)"
            >It is apart: used again</RuledButton
          >
          <RuledButton size="xl" variant="outline" data-test="apart-new" @click="part(false)"
            >It is apart: a new fitting</RuledButton
          >
        </div>
        <p v-if="apart.again && used >= limit" class="ochre t15 mt-2">
          Used again {{ limit === 1 ? 'once' : `${limit} times` }}, as often as this job allows: take a new one.
        </p>
        <p v-if="isMade(joint)" class="note t14 mt-2">
          This joint is signed: either opens it again; its sign-off stays.
        </p>
      </section>
      <section v-if="!isMade(joint) && joint.ticks.length" class="mt-5" aria-label="Break it off">
        <h3 class="zone-heading">Break it off for now</h3>
        <p class="t15 my-1">
          Close it so that water can come back; ends that are not done are cleaned and marked again then.
        </p>
        <div class="row">
          <RuledButton
            v-for="{ closed, words } in CLOSINGS"
            :key="closed"
            variant="outline"
            size="lg"
            :data-test="`break-${closed}`"
            @click="stop(closed)"
            >{{ words }}</RuledButton
          >
        </div>
      </section>
      <p class="brick t15 min-h-5" role="alert" data-test="apart-problem">{{ problem }}</p>
    </template>
  </FrameSheet>
</template>

<style scoped>
.row {
  display: flex;
  gap: 8px 14px;
  flex-wrap: wrap;
}
.moves li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr);
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
dl {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 6px 10px;
  margin-top: 10px;
}
dt {
  color: var(--ink2);
}
</style>
