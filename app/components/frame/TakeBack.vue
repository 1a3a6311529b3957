<script setup lang="ts">
import type { JobRecord } from '#core/record'

/** Takes back the last thing this hand did on a job, in words; where it stays on record, that is said. */
const props = defineProps<{ job: JobRecord }>()
const store = useJobStore()
const last = computed(() => store.lastDone(props.job.id))
const takeBack = () => {
  store.takeBack(props.job.slug)
}
useKeys({ u: takeBack }, { words: { u: 'take back the last thing done' }, last: true })
</script>

<template>
  <p v-if="last" class="take-back t14">
    <button v-if="last.back" type="button" class="verb" data-test="take-back" @click="takeBack">
      <kbd class="only-wide">U</kbd> take back: {{ last.words }}
    </button>
    <span v-else class="note">{{ last.words }}: stays on record</span>
  </p>
</template>

<style scoped>
.take-back {
  position: sticky;
  bottom: 0;
  z-index: 4;
  background: var(--paper);
  display: flex;
  align-items: center;
  min-height: 36px;
  padding: 0 18px;
  border-top: 1px solid var(--hair);
  overflow: hidden;
  white-space: nowrap;
}
.verb {
  min-height: 36px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.verb:hover {
  text-decoration: underline;
}
@media (max-width: 899px) {
  /* The thumb's keys stay where they are; this stands below the work. */
  .take-back {
    position: static;
    padding: 0 12px;
  }
  .verb {
    min-height: 44px;
    text-decoration: underline;
  }
}
</style>
