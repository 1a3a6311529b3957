<script setup lang="ts">
import type { SearchNews } from '~/workers/cut.worker'

/** What is going on with a sheet: a search that runs, a plan that came back, what is wrong, what has changed since. */
const props = defineProps<{
  isLooking: boolean
  news: SearchNews | null
  /** Why the plan was refused by the server. */
  cameBack: string | null
  problem: string | null
  stale: readonly string[]
}>()
const emit = defineEmits<{ stop: []; replan: []; plan: [] }>()
const newsWords = computed(() => {
  const best = props.news?.best
  return best
    ? `${best.used} new ${best.used === 1 ? 'length' : 'lengths'} so far, at least ${props.news!.bound}`
    : 'no plan yet'
})
</script>

<template>
  <div v-if="isLooking" class="band" role="status">
    <span class="t15"
      ><b>Looking.</b> {{ newsWords
      }}<span v-if="news" class="note">, {{ Math.round(news.ms / 100) / 10 }} s</span></span
    ><RuledButton size="sm" variant="outline" data-test="stop-search" :disabled="!news?.best" @click="emit('stop')"
      >Stop, take this</RuledButton
    >
  </div>
  <div v-if="cameBack" class="band held" role="status">
    <StatusShape status="refused" :size="18" /><span class="t15">{{ cameBack }}</span
    ><RuledButton size="sm" data-test="replan" @click="emit('replan')">Plan again</RuledButton>
  </div>
  <div v-if="problem" class="band held" role="status" data-test="cut-problem">
    <StatusShape status="refused" :size="18" /><span class="t15">{{ problem }}</span>
  </div>
  <div v-if="stale.length && !isLooking" class="band held" role="status" data-test="stale">
    <StatusShape status="held" :size="18" /><span class="t15"
      >{{ stale.slice(0, 3).join('; ') }}{{ stale.length > 3 ? `; and ${stale.length - 3} more` : '' }}.</span
    ><RuledButton size="sm" data-test="replan-stale" @click="emit('plan')"
      >Plan the rest again <kbd>C</kbd></RuledButton
    >
  </div>
</template>

<style scoped>
.band {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 18px;
  min-height: 44px;
  border-bottom: 1px solid var(--rule);
}
.band.held {
  border-bottom: 3px solid var(--ochre);
}
.band span {
  flex: 1;
}
</style>
