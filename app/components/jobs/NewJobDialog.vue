<script setup lang="ts">
import { REGION_WORDS } from '~/wording/en'
import { NO_NAME } from '~/wording/jobs'

/** A new job: its name, where, and which country's sizes. */
const open = defineModel<boolean>('open', { required: true })
const store = useJobStore()
const router = useRouter()
const name = ref('')
const place = ref('')
const region = useUsualRegion()
const problem = ref<string | null>(null)

async function start() {
  if (name.value.trim() === '') {
    problem.value = NO_NAME
    return
  }
  const answer = await store.createJob({ name: name.value, place: place.value, region: region.value })
  if (!answer.ok) {
    problem.value = answer.error.message
    return
  }
  open.value = false
  name.value = ''
  place.value = ''
  await router.push(`/jobs/${answer.value.slug}/find`)
}
/** A pipe is measured at once, and kept to a job later. */
async function measure() {
  const loose = await store.createLoose(region.value)
  const found = store.begin(loose.slug, 'find/begin', {})
  open.value = false
  if (found.ok) await router.push({ path: `/jobs/${loose.slug}/find`, query: { find: found.value.id } })
}
</script>

<template>
  <FrameModal v-model:open="open" title="New job" description="Its country decides sizes, threads and units.">
    <template #body>
      <form class="space-y-4" @submit.prevent="start">
        <label class="block"
          ><span class="t14 note">Name</span
          ><input
            v-model="name"
            class="plain-input t20"
            maxlength="80"
            :aria-invalid="problem !== null"
            aria-describedby="new-job-problem"
            autofocus
            @input="problem = null"
        /></label>
        <label class="block"
          ><span class="t14 note">What is done there</span
          ><input v-model="place" class="plain-input t17" maxlength="120"
        /></label>
        <div role="group" aria-label="Sizes" class="flex gap-5">
          <button
            v-for="(words, id) in REGION_WORDS"
            :key="id"
            type="button"
            class="choice"
            :data-region="id"
            :aria-pressed="region === id"
            @click="region = id">
            {{ words }}
          </button>
        </div>
        <p id="new-job-problem" class="brick min-h-5" role="alert">{{ problem }}</p>
        <div class="flex flex-wrap gap-3">
          <RuledButton type="submit">Start the job</RuledButton>
          <RuledButton variant="ghost" data-test="measure-first" @click="measure"
            >Only measure a pipe, no job yet</RuledButton
          >
        </div>
      </form>
    </template>
  </FrameModal>
</template>
