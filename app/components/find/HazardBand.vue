<script setup lang="ts">
import type { Note } from '#core/base'
import type { FindBody, FindRecord } from '#core/record'
import { nextStop, STOPS_SAID } from '~/reading/stops'

/**
 * Cautions that come before a scratch or a cut: gas before anything else, until the pipe is traced to water; then the
 * earth clamp. What was answered folds to a line, and can be taken back.
 */
const props = defineProps<{ cautions: readonly Note[]; find: FindRecord }>()
const emit = defineEmits<{ answer: [answers: Partial<FindBody['answers']>] }>()
const { say } = useSpeech()
const narrow = useNarrow()
const stop = computed(() => nextStop(props.cautions, props.find))
const isGas = computed(() => props.find.answers.traced === 'gas')
const isStop = computed(() => isGas.value || stop.value?.code === 'gas')
const said = computed(() => STOPS_SAID.filter(({ isSaid }) => isSaid(props.find.answers)))
/** The caution that is asked about stands first; an answered clamp is said in its line. */
const shown = computed(() => {
  const { earth } = props.find.answers
  const open = props.cautions.filter(({ code }) => code !== 'earth-path' || earth === undefined || earth === 'clamped')
  const first = (code: string) => Number(code === stop.value?.code)
  return [...open].sort((a, b) => first(b.code) - first(a.code)).slice(0, 3)
})
const sentences = (text: string) => text.split(/(?<=[?.:]) /)
useKeys({
  y: () => {
    if (stop.value) emit('answer', stop.value.keys[0]!.answers)
  },
})
</script>

<template>
  <aside class="band" :class="{ stop: isStop, folded: shown.length === 0 && !isGas }" aria-label="Cautions">
    <StatusShape
      v-if="isStop || shown.length"
      :status="isStop ? 'stop' : 'held'"
      :size="isGas ? 56 : 40"
      class="sign" />
    <p v-if="isGas" class="t20" data-test="gas-stop">
      <b>It is gas: stop.</b> Leave it as it is. Gas is for a registered person only; nothing is cut or joined here.
    </p>
    <template v-else>
      <p v-for="caution in shown" :key="caution.code" :data-caution="caution.code">
        <b class="t17">{{ sentences(caution.text)[0] }}</b> {{ sentences(caution.text).slice(1).join(' ') }}
      </p>
    </template>
    <div v-if="stop && !narrow" class="keys">
      <StopKeys :question="stop" @answer="emit('answer', $event)" />
    </div>
    <p v-if="said.length" class="said note t14">
      <button
        v-for="one in said"
        :key="one.words"
        type="button"
        class="underline min-h-9"
        :data-back="one.back"
        @click="emit('answer', { [one.back]: undefined })">
        {{ say(one.words) }}; take that back
      </button>
    </p>
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
.band.folded {
  min-height: 0;
  border-top-width: 1px;
  border-color: var(--rule);
}
.band > p {
  flex: 1;
  font-size: 15px;
  line-height: 1.3;
}
.band > p.said {
  flex: none;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
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
    gap: 8px;
    padding: 8px 12px;
    min-height: 0;
  }
  .band > p {
    flex: 1 1 70%;
    font-size: 14px;
  }
  .band.stop > p b {
    font-size: 24px;
    line-height: 1.2;
    display: block;
  }
  .band.stop > p:not(.said) {
    font-size: 16px;
  }
  .band > p:nth-of-type(n + 3):not(.said) {
    display: none;
  }
  .band > p.said {
    flex-direction: row;
    gap: 16px;
    flex-wrap: wrap;
  }
}
</style>
