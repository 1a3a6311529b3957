<script setup lang="ts">
import { isMade, standingSignoff, type JobRecord, type JointRecord } from '#core/record'
import type { MakeCard } from '#core/making'
import { speak } from '#core/speech'
import { methodWords } from '~/wording/en'

/** A signed joint opened again: why, and which step was not done. Its sign-off stays on record. */
const props = defineProps<{ job: JobRecord; joint: JointRecord; cards: readonly MakeCard[] }>()
const open = defineModel<boolean>('open', { required: true })
const store = useJobStore()
const reason = ref('')
const place = ref('')
const problem = ref<string | null>(null)
const steps = computed(() =>
  props.cards.flatMap(({ entry, joint, answer }, i) =>
    answer.ok
      ? answer.value.steps.map((step, at) => ({
          key: `${entry}:${step.id}`,
          words: `End ${i + 1}, ${methodWords(joint.method)}, step ${at + 1}: ${speak(step.do, props.job.region)}`,
        }))
      : [],
  ),
)

function submit() {
  if (reason.value.trim() === '') {
    problem.value = 'Why: a few words, so that the record says what happened.'
    return
  }
  const signed = standingSignoff(props.joint)
  if (!signed || !isMade(props.joint)) return
  const [entry, step] = place.value === '' ? [] : place.value.split(':')
  const answer = store.do(props.job.slug, 'joint/reopen', props.joint.id, {
    signoff: signed.id,
    reason: reason.value.trim(),
    ...(entry === undefined ? {} : { entry: Number(entry), step: step! }),
  })
  problem.value = answer.ok ? null : answer.error.message
  if (!answer.ok) return
  reason.value = ''
  place.value = ''
  open.value = false
}
</script>

<template>
  <FrameModal
    v-model:open="open"
    :title="`Open J${joint.number} again`"
    description="What was signed stays on record. The joint is signed anew once it is right.">
    <template #body>
      <form class="space-y-4" @submit.prevent="submit">
        <label class="block"
          ><span class="t14 note">What was found</span
          ><input
            v-model="reason"
            class="plain-input t20 w7"
            maxlength="200"
            autocomplete="off"
            :aria-invalid="problem !== null"
            aria-describedby="reopen-problem"
            data-test="reopen-reason"
            @input="problem = null"
        /></label>
        <label class="block"
          ><span class="t14 note">Step that was not done</span
          ><select v-model="place" class="plain-input t15 min-h-11" data-test="reopen-step">
            <option value="">none of them in particular</option>
            <option v-for="step in steps" :key="step.key" :value="step.key">{{ step.words }}</option>
          </select></label
        >
        <p id="reopen-problem" class="brick min-h-5" role="alert">{{ problem }}</p>
        <RuledButton type="submit" size="xl" block data-test="reopen">Open J{{ joint.number }} again</RuledButton>
      </form>
    </template>
  </FrameModal>
</template>
