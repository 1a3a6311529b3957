<script setup lang="ts">
import { restsOnVersion, type Entry } from '~/outbox/entry'
import { entryWords, recordWords } from '~/wording/entry'
import { entryTime } from '~/wording/times'

/** What was done here and where it stands: kept, on its way, taken, or come back with its reason. */
const open = useState('kept-open', () => false)
const store = useJobStore()
const narrow = useNarrow()
const { state, lastCopy } = useSaveState()
const jobOf = (id: string) => store.jobOf(id)
const route = useRoute()
/** What was done last on the job that is open. */
const last = computed(() => {
  const job = store.jobOf(String(route.params.job ?? ''))
  return job && store.lastDone(job.id)
})
/** What an issue names where the record itself, or its job, is gone: sent again it would aim at nothing. */
const GONE: ReadonlySet<string> = new Set(['job', 'find', 'line', 'cut', 'joint', 'rack', 'look'])
const canRetry = ({ issue }: Entry) => !(issue?.code === 'unknown-id' && GONE.has(issue.path))
const retryWords = ({ act, saved }: Entry) => (saved && restsOnVersion(act) ? 'Do it all the same' : 'Send it again')
const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1)
const sentence = computed(() => {
  if (!store.isKept) return 'This browser keeps nothing. Leave this page open until all is sent.'
  if (!store.isRead) return 'Reading what is kept here.'
  if (store.away)
    return `${capital(store.away.message)} ${capital(lastCopy.value)}. What is done here is kept on this tablet and goes out in order.`
  return store.unsent.length > 0
    ? 'On its way to the server, oldest first.'
    : `Everything is with the server, ${lastCopy.value}.`
})
</script>

<template>
  <FrameSheet
    v-model:open="open"
    :side="narrow ? 'bottom' : 'right'"
    title="Kept on this tablet"
    :description="sentence">
    <template #body>
      <div class="space-y-5">
        <label class="block"
          ><span class="t14 note">Whose tablet: others see it beside an entry</span
          ><input
            v-model.trim="store.hand"
            class="plain-input t20"
            maxlength="40"
            autocomplete="off"
            placeholder="Wyn, tablet"
            data-test="hand"
        /></label>
        <p v-if="store.entries.length === 0" class="note" data-test="nothing-waits">Nothing waits.</p>
        <ul v-else>
          <li v-for="entry in store.entries" :key="entry.key" class="row" :data-entry-state="entry.state">
            <span class="note">{{ entryTime(entry) }}</span>
            <b>{{ recordWords(entry, jobOf(entry.job)) }}</b>
            <span>{{ entryWords(entry, jobOf(entry.job)) }}</span>
            <span v-if="entry.state === 'waiting'" class="note">{{
              store.isLoose(entry.job) ? 'stays here' : 'kept'
            }}</span>
            <span v-else-if="entry.state === 'clash'" class="ochre w7 flex gap-1 items-center"
              ><StatusShape status="held" :size="14" /> two entries</span
            >
            <span v-else class="brick w7 flex gap-1 items-center"
              ><StatusShape status="refused" :size="14" /> came back</span
            >
            <div v-if="entry.state === 'refused'" class="reason">
              <p>{{ entry.issue?.message }}</p>
              <div class="flex gap-3 mt-2">
                <RuledButton v-if="canRetry(entry)" data-test="retry" @click="store.retry(entry.key)">{{
                  retryWords(entry)
                }}</RuledButton><RuledButton variant="outline" data-test="let-go" @click="store.letGo(entry.key)"
                  >Let it go</RuledButton
                >
              </div>
            </div>
          </li>
        </ul>
        <template v-if="store.recent.length">
          <h3 class="zone-heading">Lately</h3>
          <RuledButton
            v-if="last?.back"
            variant="outline"
            data-test="take-back-lately"
            @click="store.takeBack(last.job)"
            >Take back: {{ last.words }}</RuledButton
          >
          <RecentFates />
        </template>
        <BackupAge v-if="open" />
        <p class="note t14">Nothing waits on a signal: marks, sums, timers and signing all run here.</p>
        <p v-if="state === 'clash'" class="note t14">
          Two entries for one field stand side by side on their job; pick one there.
        </p>
      </div>
    </template>
  </FrameSheet>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: fit-content(96px) auto 1fr auto;
  gap: 4px 10px;
  align-items: baseline;
  padding: 9px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 15px;
}
.reason {
  grid-column: 1 / -1;
}
</style>
