<script setup lang="ts">
import type { Refusal } from '#core/joints'
import { methodWords, REFUSAL_WORDS } from '~/wording/en'
import type { Region } from '#core/units'
import { speak } from '#core/speech'

/**
 * What cannot be made directly on an end, and why. Methods for other pipe altogether are counted, and shown when asked.
 */
const props = defineProps<{ refused: readonly Refusal[]; region: Region; endWords: { a: string; b: string } }>()
const all = ref(false)
const telling = computed(() => props.refused.filter(({ code }) => code !== 'family'))
const shown = computed(() => (all.value ? props.refused : telling.value))
</script>

<template>
  <section class="refused" aria-label="Refused straight on the pipe, and why">
    <h2 class="zone-heading">
      Refused straight on the pipe, and why
      <span class="right"
        ><button type="button" class="underline min-h-[32px]" data-test="all-refused" @click="all = !all">
          {{ all ? 'fewer' : `${refused.length - telling.length} more for other pipe` }}
        </button></span
      >
    </h2>
    <p v-if="shown.length === 0" class="note t14">Nothing that is made for these pipes is refused here.</p>
    <ul>
      <li v-for="refusal in shown" :key="refusal.on + refusal.method" :data-refused="`${refusal.method}-${refusal.on}`">
        <StatusShape status="refused" :label="`refused, ${REFUSAL_WORDS[refusal.code]}`" />
        <b>{{ methodWords(refusal.method) }} on {{ endWords[refusal.on] }}</b>
        <span>{{ speak(refusal.reason, region) }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.refused {
  padding: 8px 18px 14px;
}
li {
  display: grid;
  grid-template-columns: 24px minmax(180px, 280px) 1fr;
  gap: 0 14px;
  padding: 4px 0;
  font-size: 14px;
  align-items: baseline;
}
@media (max-width: 899px) {
  .refused {
    padding: 8px 12px;
  }
  li {
    grid-template-columns: 24px 1fr;
  }
  li span {
    grid-column: 2;
  }
}
</style>
