<script setup lang="ts">
import type { Note } from '#core/base'
import type { FindRecord } from '#core/record'

/** Cautions that come before a scratch or a cut. Gas stands until the pipe is traced to water. */
const props = defineProps<{ cautions: readonly Note[]; find: FindRecord }>()
const emit = defineEmits<{ traced: [value: 'water' | 'unknown'] }>()
const gas = computed(() => props.cautions.find(({ code }) => code === 'gas'))
const order = computed(() => [...props.cautions].sort((a, b) => Number(b.code === 'gas') - Number(a.code === 'gas')))
useKeys({ y: () => emit('traced', 'water') })
</script>

<template>
  <aside class="band" :class="{ stop: gas }" aria-label="Cautions">
    <StatusShape :status="gas ? 'stop' : 'held'" :size="40" class="sign" />
    <p v-for="caution in order.slice(0, 3)" :key="caution.code" :data-caution="caution.code">
      <b class="t17">{{ caution.text.split(/(?<=[?.:]) /)[0] }}</b>
      {{
        caution.text
          .split(/(?<=[?.:]) /)
          .slice(1)
          .join(' ')
      }}
    </p>
    <div class="keys">
      <template v-if="gas">
        <UButton data-test="traced-water" @click="emit('traced', 'water')">It is water <kbd>Y</kbd></UButton>
        <UButton variant="outline" @click="emit('traced', 'unknown')">Not sure</UButton>
      </template>
      <button
        v-else-if="find.answers.traced === 'water'"
        type="button"
        class="note underline"
        @click="emit('traced', 'unknown')">
        traced to water; take that back
      </button>
    </div>
  </aside>
</template>

<style scoped>
.band {
  border-top: 3px solid var(--ochre);
  min-height: 84px;
  display: flex;
  gap: 22px;
  align-items: center;
  padding: 8px 18px;
}
.band.stop {
  border-color: var(--brick);
}
.band p {
  flex: 1;
  font-size: 15px;
  line-height: 1.3;
}
.keys {
  display: flex;
  gap: 10px;
  margin-left: auto;
  flex: none;
}
@media (max-width: 899px) {
  .band {
    flex-wrap: wrap;
    gap: 10px;
    padding: 8px 12px;
    min-height: 0;
  }
  .band p {
    flex: 1 1 70%;
    font-size: 14px;
  }
  .band p:nth-of-type(n + 3) {
    display: none;
  }
  .keys {
    width: 100%;
  }
}
</style>
