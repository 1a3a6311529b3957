<script setup lang="ts">
import type { MakeCard } from '#core/making'
import { cautionsOf, lateTool, stopsOf, type JobRecord, type JointRecord } from '#core/record'
import { speak } from '#core/speech'
import { methodWords } from '~/wording/en'
import { today } from '~/reading/today'

/** What stands before the steps of an end: why it is refused, what is seen to first, what to be careful of. */
const props = defineProps<{
  job: JobRecord
  joint: JointRecord
  card: MakeCard
  isSigned: boolean
  isDepthKnown: boolean
}>()
const narrow = useNarrow()
/** The one that shows where there is room for one. */
const caution = ref(0)
const stops = computed(() => (props.isSigned ? [] : stopsOf(props.card, props.isDepthKnown)))
const cautions = computed(() => {
  const late = props.isSigned ? null : lateTool(props.job, props.card, today())
  return [
    ...(late
      ? [
          {
            code: 'tool-check',
            text: `The check of this ${methodWords(late.method)} tool ended ${late.due}. Make a trial joint and gauge it first, or have the tool checked.`,
          },
        ]
      : []),
    ...cautionsOf(props.card, stops.value),
  ]
})
</script>

<template>
  <div v-if="!card.answer.ok" class="stops" role="alert" data-test="card-refused">
    <p>
      <StatusShape status="stop" :size="26" />
      <span
        ><b>Stop.</b> {{ speak(card.answer.error.message.replace(/^[\w-]+: /, ''), job.region) }}
        <NuxtLink :to="{ path: `/jobs/${job.slug}/joint`, query: { joint: joint.id } }" class="underline"
          >Choose another way</NuxtLink
        ></span
      >
    </p>
  </div>
  <div v-if="stops.length" class="stops" role="alert">
    <p v-for="one in stops" :key="one.code" :data-stop="one.code">
      <StatusShape status="stop" :size="26" /> <span><b>Stop.</b> {{ speak(one.text, job.region) }}</span>
    </p>
  </div>
  <aside v-if="cautions.length" class="cautions" aria-label="Cautions">
    <template v-for="(one, i) in cautions" :key="one.code"
      ><p v-if="!narrow ? i < 3 : i === caution % cautions.length" :data-caution="one.code">
        <StatusShape status="held" :size="20" /> <span>{{ speak(one.text, job.region) }}</span>
      </p></template
    >
    <button
      v-if="narrow && cautions.length > 1"
      type="button"
      class="note whitespace-nowrap min-h-11"
      @click="caution++">
      {{ (caution % cautions.length) + 1 }} of {{ cautions.length }}
    </button>
  </aside>
</template>

<style scoped>
.stops {
  border-bottom: 3px solid var(--brick);
  padding: 8px 18px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.stops p {
  display: flex;
  gap: 12px;
  align-items: center;
  font-size: 17px;
}
.cautions {
  display: flex;
  gap: 26px;
  padding: 8px 18px;
  border-bottom: 1px solid var(--rule);
  min-height: 50px;
  align-items: center;
}
.cautions p {
  display: flex;
  gap: 8px;
  align-items: center;
  flex: 1;
  font-size: 15px;
  line-height: 1.25;
}
@media (max-width: 899px) {
  .cautions,
  .stops {
    padding: 4px 12px;
  }
}
</style>
