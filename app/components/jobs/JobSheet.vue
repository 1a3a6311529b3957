<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import type { ActOn, InputOf } from '#core/acts'
import { copyActs, measuredOn, type JobRecord } from '#core/record'
import { REGION_WORDS } from '~/wording/en'
import { NO_NAME } from '~/wording/jobs'

/** The job itself: what it is called, its sizes, what it waits for; copied, put away, or deleted with its name typed. */
const slug = useState<string | null>('job-open', () => null)
const store = useJobStore()
const router = useRouter()
const route = useRoute()
const narrow = useNarrow()
const job = computed<JobRecord | undefined>(() => (slug.value === null ? undefined : store.jobOf(slug.value)))
const isOpen = computed({
  get: () => slug.value !== null,
  set: (open: boolean) => {
    if (!open) slug.value = null
  },
})
const problem = ref<string | null>(null)
const typed = ref('')
const isDeleting = ref(false)
watch(
  slug,
  async (now) => {
    problem.value = null
    typed.value = ''
    isDeleting.value = false
    if (now === null) return
    const answer = await store.loadJob(now)
    if (!answer.ok) problem.value = answer.error.message
  },
  { immediate: true },
)
const measured = computed(() => (job.value ? measuredOn(job.value) : null))
const waitsFor = ref('')
watch(
  () => job.value?.waits?.for,
  (now) => {
    waitsFor.value = now ?? ''
  },
  { immediate: true },
)

function act<N extends ActOn<'jobs'>>(name: N, body: InputOf<N>): boolean {
  const answer = store.do(job.value!.slug, name, null, body)
  problem.value = answer.ok ? null : answer.error.message
  return answer.ok
}
const nameFault = (text: string) => (text.trim() === '' ? NO_NAME : null)
function wait(until: string | null) {
  const why = waitsFor.value.trim()
  act('job/change', { waits: why === '' ? null : { for: why, until } })
}
async function copy() {
  const from = job.value!
  const name = `${from.name.slice(0, 75)} copy`
  const made = await store.createJob({ name, place: from.place, region: from.region, year: from.year })
  if (!made.ok) return
  for (const one of copyActs(from))
    store.do(made.value.slug, one.name, one.name === 'kit/change' ? null : uuid(), one.body as never)
  slug.value = null
  await router.push(`/jobs/${made.value.slug}/line`)
}
async function drop() {
  const here = job.value!
  if (!act('job/drop', { name: typed.value })) return
  slug.value = null
  if (route.path.startsWith(`/jobs/${here.slug}`)) await router.push('/')
}
async function archive() {
  act(job.value!.archivedAt === null ? 'job/archive' : 'job/unarchive', {})
}
</script>

<template>
  <FrameSheet
    v-model:open="isOpen"
    :side="narrow ? 'bottom' : 'right'"
    title="The job itself"
    :description="
      job ? `${job.name}, ${job.finds.length} finds, ${job.lines.length} lines, ${job.joints.length} joints` : ''
    ">
    <template #body>
      <p v-if="problem" class="brick w6 mb-4" role="alert" data-test="job-problem">{{ problem }}</p>
      <div v-if="job" class="space-y-6">
        <label class="block"
          ><span class="t14 note">Called</span
          ><KeptField
            class="t20"
            :value="job.name"
            maxlength="80"
            :check="nameFault"
            data-test="job-name"
            @keep="(name: string) => act('job/change', { name })"
        /></label>
        <label class="block"
          ><span class="t14 note">What is done there</span
          ><KeptField
            class="t17"
            :value="job.place"
            maxlength="120"
            data-test="job-place"
            @keep="(place: string) => act('job/change', { place })"
        /></label>
        <div>
          <p class="t14 note">Sizes</p>
          <div role="group" aria-label="Sizes" class="flex gap-5">
            <button
              v-for="(words, region) in REGION_WORDS"
              :key="region"
              type="button"
              class="choice"
              :aria-pressed="job.region === region"
              :disabled="measured !== null && job.region !== region"
              :data-region="region"
              @click="act('job/change', { region })">
              {{ words }}
            </button>
          </div>
          <NuxtLink to="/sizes" class="link-verb min-h-11 inline-flex items-center" data-test="to-sizes"
            >Every size, two at a time</NuxtLink
          >
          <p v-if="measured" class="note t14">
            {{ measured.slice(0, 1).toUpperCase() + measured.slice(1) }} is measured in these sizes, so they stay.
          </p>
        </div>
        <div>
          <label class="block"
            ><span class="t14 note">Waits for: a part, a person, a day</span
            ><input
              v-model="waitsFor"
              class="plain-input t17"
              maxlength="120"
              placeholder="nothing"
              data-test="waits-for"
              @change="wait(job.waits?.until ?? null)"
          /></label>
          <label v-if="job.waits" class="block mt-2"
            ><span class="t14 note">Open again on</span
            ><input
              type="date"
              class="plain-input t17"
              :value="job.waits.until ?? ''"
              data-test="waits-until"
              @change="wait(($event.target as HTMLInputElement).value || null)"
          /></label>
        </div>
        <div class="flex flex-wrap gap-3">
          <RuledButton variant="outline" data-test="archive-job" @click="archive">{{
            job.archivedAt === null ? 'To the archive' : 'Out of the archive'
          }}</RuledButton>
          <RuledButton variant="outline" data-test="copy-job" @click="copy">Copy as a new job</RuledButton>
        </div>
        <p class="note t14">
          A copy has the lines, joints and kit of this one, and nothing that was measured, made or signed.
        </p>
        <div class="border-t border-[var(--hair)] pt-4">
          <RuledButton v-if="!isDeleting" variant="danger" data-test="delete-job" @click="isDeleting = true"
            >Delete it</RuledButton
          >
          <form v-else class="space-y-3" @submit.prevent="drop">
            <p>
              <b>Deleted is gone, with {{ job.joints.length }} joints and the log.</b> Keep its file first:
              <a :href="`/api/jobs/${job.slug}/job.json`" class="underline" data-test="job-file"
                >the whole job and its log (JSON)</a
              >, <a :href="`/api/jobs/${job.slug}/register.csv`" class="underline">the register (CSV)</a>.
            </p>
            <label class="block"
              ><span class="t14 note">Type its name, {{ job.name }}</span
              ><input v-model="typed" class="plain-input t20" maxlength="80" autocomplete="off" data-test="delete-name"
            /></label>
            <RuledButton type="submit" :disabled="typed.trim() !== job.name.trim()" data-test="delete-now"
              >Delete {{ job.name }}</RuledButton
            >
          </form>
        </div>
      </div>
    </template>
  </FrameSheet>
</template>
