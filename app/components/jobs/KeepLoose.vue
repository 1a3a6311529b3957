<script setup lang="ts">
import type { JobList, ListedJob } from '#core/acts'
import type { JobRecord } from '#core/record'
import { NO_NAME } from '~/wording/jobs'

/** Work in no job yet goes to one that there is, or becomes one of its own. */
const open = defineModel<boolean>('open', { required: true })
const props = defineProps<{ job: JobRecord }>()
const store = useJobStore()
const router = useRouter()
const route = useRoute()
const name = ref('')
const place = ref('')
const problem = ref<string | null>(null)
const jobs = shallowRef<readonly ListedJob[]>([])
watch(
  open,
  async (now) => {
    if (!now) return
    problem.value = null
    const answer = await store.read<JobList>('/api/jobs?shelf=open&limit=20')
    // Sizes and units are the country's: what was measured in one is not read in another's.
    if (answer.ok) jobs.value = answer.value.jobs.filter(({ region }) => region === props.job.region)
  },
  { immediate: true },
)
/** Stays at the station, in the job it went to. */
async function go(slug: string) {
  open.value = false
  const station = /^\/jobs\/[^/]+\/(\w+)/.exec(route.path)?.[1] ?? 'find'
  await router.push({ path: `/jobs/${slug}/${station}`, query: route.query })
}
async function asNew() {
  if (name.value.trim() === '') {
    problem.value = NO_NAME
    return
  }
  const { region } = props.job
  await go(await store.nameLoose(props.job.id, { name: name.value, place: place.value, region }))
}
async function into(slug: string) {
  const moved = await store.moveLoose(props.job.id, slug)
  if (moved.ok) await go(slug)
  else problem.value = moved.error.message
}
</script>

<template>
  <FrameModal v-model:open="open" title="Keep to a job" description="What was measured and done here goes with it.">
    <template #body>
      <form class="space-y-4" @submit.prevent="asNew">
        <label class="block"
          ><span class="t14 note">A new job, called</span
          ><input
            v-model="name"
            class="plain-input t20"
            maxlength="80"
            autofocus
            data-test="loose-name"
            :aria-invalid="problem !== null"
            @input="problem = null"
        /></label>
        <label class="block"
          ><span class="t14 note">What is done there</span
          ><input v-model="place" class="plain-input t17" maxlength="120"
        /></label>
        <p class="brick min-h-5" role="alert">{{ problem }}</p>
        <RuledButton type="submit">Start the job with it</RuledButton>
      </form>
      <template v-if="jobs.length">
        <p class="zone-heading mt-6">Or to one there is</p>
        <ul>
          <li v-for="one in jobs" :key="one.id">
            <button type="button" class="pick" :data-keep-to="one.slug" @click="into(one.slug)">
              <b>{{ one.name }}</b> <span class="note">{{ one.place }}</span>
            </button>
          </li>
        </ul>
      </template>
    </template>
  </FrameModal>
</template>

<style scoped>
.pick {
  display: block;
  width: 100%;
  min-height: 44px;
  border-bottom: 1px solid var(--hair);
}
.pick:hover {
  background: var(--paper2);
}
</style>
