<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import type { JobRecord, Shifted } from '#core/record'

/** Ends that rest on a find which was kept as another pipe since. */
defineProps<{ job: JobRecord; shifted: readonly Shifted[]; isSigned: boolean }>()
const emit = defineEmits<{ follow: [one: Shifted, takesIt: boolean] }>()
</script>

<template>
  <div v-for="one in shifted" :key="one.on" class="shifted" :data-shifted="one.on" role="status">
    <StatusShape status="held" :size="22" />
    <p class="t15">
      <b>{{ isSigned ? 'Made for' : 'Chosen for' }} {{ getPipe(one.was).label }}.</b> {{ ' ' }}
      <NuxtLink :to="{ path: `/jobs/${job.slug}/find`, query: { find: one.find.id } }" class="underline">{{
        one.find.place || 'The find'
      }}</NuxtLink>
      {{ one.now === null ? 'is open again since.' : `is kept as ${getPipe(one.now).label} since.`
      }}<template v-if="isSigned">
        The entry stays as signed: look at the joint, and make it anew where it is wrong.</template
      >
    </p>
    <span v-if="!isSigned" class="keys">
      <RuledButton v-if="one.now" data-test="follow" @click="emit('follow', one, true)"
        >Take {{ getPipe(one.now).label }}</RuledButton
      >
      <RuledButton variant="outline" data-test="stay" @click="emit('follow', one, false)">Leave it</RuledButton>
    </span>
  </div>
</template>

<style scoped>
.shifted {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 3px solid var(--ochre);
}
.shifted p {
  flex: 1;
}
.keys {
  display: flex;
  gap: 10px;
  flex: none;
}
@media (max-width: 899px) {
  .shifted {
    flex-wrap: wrap;
    padding: 8px 12px;
  }
  .shifted p {
    flex: 1 1 70%;
  }
  .keys {
    width: 100%;
  }
}
</style>
