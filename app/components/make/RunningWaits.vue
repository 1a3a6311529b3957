<script setup lang="ts">
import { inMakingOrder } from '#core/making'
import { cardsOf, isAt, isMade, type JobRecord, type JointRecord } from '#core/record'
import { speak } from '#core/speech'
import { runningWaits } from '~/reading/waits'

/** Waits that run on this job, whichever joint they are of, and what can be done meanwhile. */
const props = defineProps<{ job: JobRecord; joint: JointRecord }>()
const running = computed(() => runningWaits(props.job))
/** The next step of another joint that needs no wait that runs. */
const meanwhile = computed(() => {
  for (const joint of props.job.joints) {
    if (joint.id === props.joint.id || isMade(joint) || !joint.way || running.value.some((one) => one.joint === joint))
      continue
    for (const { entry, answer } of inMakingOrder(cardsOf(props.job, joint))) {
      const step = answer.ok
        ? answer.value.steps.findIndex(({ id }) => !joint.ticks.some(isAt({ entry, step: id })))
        : -1
      if (step >= 0 && answer.ok) return { joint, words: speak(answer.value.steps[step]!.do, props.job.region) }
    }
  }
  return null
})
const isHere = computed(() => running.value.some(({ joint }) => joint.id === props.joint.id))
</script>

<template>
  <aside
    v-if="running.length > (isHere ? 1 : 0) || (isHere && meanwhile)"
    class="waits"
    aria-label="Waits that run"
    data-test="running-waits">
    <RunningWait
      v-for="{ joint: other, timer } in running"
      :key="`${other.id} ${timer.entry} ${timer.step}`"
      :name="`J${other.number}`"
      :timer="timer"
      :to="other.id === joint.id ? null : { query: { joint: other.id } }" />
    <span v-if="meanwhile" class="t15"
      >Meanwhile
      <NuxtLink :to="{ query: { joint: meanwhile.joint.id } }" class="underline" data-test="meanwhile"
        ><b>J{{ meanwhile.joint.number }}</b
        >: {{ meanwhile.words }}</NuxtLink
      ></span
    >
  </aside>
</template>

<style scoped>
.waits {
  display: flex;
  gap: 8px 26px;
  align-items: center;
  flex-wrap: wrap;
  padding: 4px 18px;
  border-bottom: 1px solid var(--hair);
  min-height: 36px;
}
.waits a {
  min-height: 36px;
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
@media (max-width: 899px), (pointer: coarse) {
  .waits {
    padding: 4px 12px;
  }
  .waits a {
    min-height: 44px;
  }
}
</style>
