<script setup lang="ts">
import { cardsOf } from '#core/record'
import { speak } from '#core/speech'
import { methodWords } from '~/wording/en'

/** Asked before ticked steps are put aside: which ones, and that they come back at a tap. */
const { asked, answer } = useKeepSteps()
const isOpen = computed({
  get: () => asked.value !== null,
  set: (now) => {
    if (!now) answer(false)
  },
})
/** The steps by the end they were done at, in words. */
const lost = computed(() => {
  if (!asked.value) return []
  const { job, joint } = asked.value
  return cardsOf(job, joint).flatMap((card) => {
    const steps = card.answer.ok
      ? card.answer.value.steps.filter(({ id }) =>
          joint.ticks.some((tick) => tick.entry === card.entry && tick.step === id),
        )
      : []
    return steps.length === 0
      ? []
      : [
          {
            entry: card.entry,
            words: methodWords(card.joint.method),
            steps: steps.map((step) => speak(step.do, job.region)),
          },
        ]
  })
})
</script>

<template>
  <FrameModal
    v-model:open="isOpen"
    :title="
      asked
        ? `${asked.count} ticked step${asked.count === 1 ? '' : 's'} of J${asked.joint.number} would be put aside`
        : ''
    "
    description="They belong to the way it is made now. Undo brings them back as they were.">
    <template #body>
      <div data-test="keep-steps" class="space-y-4">
        <div v-for="{ entry, words, steps } in lost" :key="entry">
          <p class="t17 w7">{{ words }}, {{ steps.length }} done</p>
          <ul class="t15 note max-h-[30vh] overflow-y-auto">
            <li v-for="step in steps" :key="step">{{ step }}</li>
          </ul>
        </div>
        <div class="flex gap-3 flex-wrap">
          <RuledButton size="xl" data-test="put-aside" @click="answer(true)">Put them aside</RuledButton
          ><RuledButton size="xl" variant="outline" data-test="keep" @click="answer(false)"
            >Leave it as it is</RuledButton
          >
        </div>
      </div>
    </template>
  </FrameModal>
</template>
