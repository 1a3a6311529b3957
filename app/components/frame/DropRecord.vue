<script setup lang="ts">
import type { JobRecord } from '#core/record'

/** Takes out what was begun by mistake, and goes on to what is left; where something rests on it, that is said. */
const props = defineProps<{ job: JobRecord; act: 'find/drop' | 'joint/drop'; record: string; words: string }>()
const store = useJobStore()
const router = useRouter()
const problem = ref<string | null>(null)
watch(
  () => props.record,
  () => {
    problem.value = null
  },
)
async function drop() {
  const answer = store.do(props.job.slug, props.act, props.record, {})
  problem.value = answer.ok ? null : answer.error.message.replace(/^\w+: /, '')
  if (answer.ok) await router.replace({ query: {} })
}
</script>

<template>
  <span class="drop">
    <button type="button" class="underline t14" data-test="drop-record" @click="drop">{{ words }}</button>
    <span v-if="problem" class="brick t14 w6" role="alert" data-test="drop-problem">{{ problem }}</span>
  </span>
</template>

<style scoped>
.drop {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 14px;
}
button {
  min-height: 44px;
}
</style>
