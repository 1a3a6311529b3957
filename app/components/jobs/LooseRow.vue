<script setup lang="ts">
import { gistOfJob, nextAction, type JobRecord } from '#core/record'
import { gapLink } from '~/reading/gap-link'

/** Work that is in no job yet: it opens as any other, and can be kept to a job. */
const props = defineProps<{ job: JobRecord }>()
const next = computed(() => nextAction(gistOfJob(props.job)))
const found = computed(() => props.job.finds.at(-1))
const isKeeping = ref(false)
</script>

<template>
  <div class="loose" data-test="loose">
    <NuxtLink :to="gapLink({ slug: job.slug, next })" class="open">
      <b class="t17">{{ found?.typed ? `${found.typed} measured` : 'Work in no job yet' }}</b>
      <span class="note t14">kept on this tablet alone: {{ next.words.toLowerCase() }}</span>
    </NuxtLink>
    <RuledButton variant="outline" data-test="keep-loose" @click="isKeeping = true">Keep to a job</RuledButton>
    <KeepLoose v-model:open="isKeeping" :job="job" />
  </div>
</template>

<style scoped>
.loose {
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 56px;
  padding: 4px 18px;
  border-bottom: 1px dashed var(--rule);
}
.open {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
@media (max-width: 899px) {
  .loose {
    padding: 4px 12px;
  }
}
</style>
