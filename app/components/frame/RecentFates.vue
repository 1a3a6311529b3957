<script setup lang="ts">
import { entryWords, recordWords } from '~/wording/entry'
import { entryTime } from '~/wording/times'

/** What came of the last things done here. */
const store = useJobStore()
const CLASSES = { taken: 'note', clash: 'ochre w7', refused: 'brick w7' } as const
const WORDS = { taken: 'taken', clash: 'two entries', refused: 'came back' } as const
</script>

<template>
  <ul>
    <li v-for="({ entry, fate }, i) in store.recent" :key="i" class="row">
      <span class="note">{{ entryTime(entry) }}</span><b>{{ recordWords(entry, store.jobOf(entry.job)) }}</b
      ><span>{{ entryWords(entry, store.jobOf(entry.job)) }}</span
      ><span :class="CLASSES[fate]">{{ WORDS[fate] }}</span>
    </li>
  </ul>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: fit-content(96px) minmax(44px, auto) 1fr auto;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 15px;
}
</style>
