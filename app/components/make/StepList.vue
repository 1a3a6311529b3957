<script setup lang="ts">
import type { Remedy, Step } from '#core/joints'
import type { TickRecord } from '#core/record'
import { formatLength, type UnitSystem, type Region } from '#core/units'
import { clockWords, speak } from '#core/speech'
import { readAsk, askVerdict } from '~/reading/ask'
import { bringIntoSight } from '~/reading/in-sight'

/** A step as it is shown: of a joint, or of a bend. */
type StepShown = Omit<Step, 'code' | 'id'> & { code: string; id?: string }

/** The steps in order, for gloves: a wide tick zone at the left, the step to do now large, with why and its check. */
const props = defineProps<{
  steps: readonly StepShown[]
  current: number
  only?: number | null
  tickOf: (step: number) => (Pick<TickRecord, 'at'> & Partial<TickRecord>) | undefined
  locked: boolean
  region: Region
  system: UnitSystem
  remedy: (step: number) => Remedy
  changed?: (step: number) => boolean
  held?: (step: number) => string | null
}>()
/** What is typed of the figure the current step asks for. */
const typed = defineModel<string>('typed', { default: '' })
const emit = defineEmits<{ tick: [step: number]; fail: [step: number] }>()
/** The step whose check is said to have failed, until that is entered or taken back. */
const failing = ref<number | null>(null)
watch(
  () => props.current,
  () => {
    failing.value = null
    typed.value = ''
  },
)
/** A figure outside a firm limit is a check that fails: the remedy comes up of itself. */
watch(typed, () => {
  const ask = props.steps[props.current]?.ask
  const value = ask ? readAsk(ask, typed.value, props.system).value : null
  if (ask && value !== null && askVerdict(ask, value) === 'fails') failing.value = props.current
  else if (typed.value !== '' && failing.value === props.current) failing.value = null
})
function enterFault(step: number) {
  emit('fail', step)
  failing.value = null
}
const proof = (i: number) => {
  const [reading, ask] = [props.tickOf(i)?.reading, props.steps[i]?.ask]
  if (reading === null || reading === undefined) return ''
  return ask?.unit === 'mm'
    ? `, ${formatLength(reading, props.system)}`
    : `, ${reading}${ask?.unit === 'turns' ? ' turns' : ''}`
}
watch(failing, (now) => {
  if (now !== null) bringIntoSight(() => list.value?.querySelector('.remedy'))
})
const isChanged = (i: number) => props.changed?.(i) ?? false
const isDone = (i: number) => props.tickOf(i) !== undefined && !isChanged(i)
const heldBy = (i: number) => props.held?.(i) ?? null
const words = (text: string) => speak(text, props.region)

/** The step to do now is brought into sight when it changes, never moved when it is seen already. */
const list = useTemplateRef<HTMLElement>('list')
watch([() => props.current, () => props.steps.length], () => bringIntoSight(() => list.value?.querySelector('.now')), {
  immediate: true,
})
/** What a row is drawn from: one at rest is not drawn again when another is ticked. */
const drawnFrom = (i: number): unknown[] =>
  i === props.current || i === props.only || failing.value === i
    ? [{}]
    : [props.steps[i], props.tickOf(i), isChanged(i), heldBy(i), props.locked, props.only, props.region]
function shapeOf(i: number) {
  if (isDone(i)) return 'made'
  return isChanged(i) ? 'held' : 'planned'
}
/** The step alone on its page is the largest, the one at hand large, what is done small. */
function sizeOf(i: number): string {
  if (i === props.only) return 't40 w7'
  if (i === props.current) return 't26 w7'
  return isDone(i) ? 't15' : 't20'
}
</script>

<template>
  <ol ref="list" class="steps">
    <li
      v-for="(step, i) in steps"
      v-show="only === undefined || only === null || only === i"
      :key="i"
      v-memo="drawnFrom(i)"
      :class="{ now: i === current || i === only, done: isDone(i), alone: only === i }"
      :data-step="step.code"
      :data-step-id="step.id"
      :data-changed="isChanged(i) || undefined">
      <button
        type="button"
        class="tick"
        role="checkbox"
        :aria-checked="isDone(i)"
        :aria-label="`${i + 1} ${words(step.do)}`"
        :disabled="locked || heldBy(i) !== null"
        :data-tick="i"
        @click="emit('tick', i)">
        <StatusShape v-if="heldBy(i)" status="stop" :size="30" />
        <svg
          v-else-if="i === current && !isDone(i)"
          width="44"
          height="44"
          viewBox="-8.5 -8.5 17 17"
          aria-hidden="true">
          <circle r="7" fill="var(--paper)" stroke="var(--copper)" stroke-width="1.4" stroke-dasharray="2.2 1.4" />
        </svg>
        <StatusShape v-else :status="shapeOf(i)" :size="30" />
      </button>
      <div class="text">
        <p class="do" :class="sizeOf(i)">
          <span>{{ i + 1 }}</span><span>{{ words(step.do) }}</span>
        </p>
        <div v-if="isChanged(i) && !locked" class="changed t17" data-test="changed-step">
          <p>This step says something else than when it was ticked. Look at it again.</p>
          <p>
            <span class="note">then:</span> <s>{{ words(tickOf(i)!.did ?? '') }}</s>
          </p>
          <RuledButton size="sm" data-test="still-right" :disabled="heldBy(i) !== null" @click="emit('tick', i)"
            >It is done as it says now</RuledButton
          >
        </div>
        <template v-if="i === current || i === only">
          <p v-if="heldBy(i)" class="t17 brick w7 flex gap-2 items-center" data-test="held-step">
            <StatusShape status="stop" :size="20" /> Held until what stands above is answered.
          </p>
          <p v-if="step.caution" class="t17 brick w7 flex gap-2 items-center">
            <StatusShape status="stop" :size="20" /> {{ words(step.caution) }}
          </p>
          <p v-if="step.why" class="t17">{{ words(step.why) }}</p>
          <p v-if="step.check" class="t17 w6">
            Check: {{ words(step.check) }}
            <button
              v-if="!locked && failing !== i"
              type="button"
              class="fails underline"
              :data-fails="i"
              @click="failing = i">
              It fails
            </button>
          </p>
          <StepAsk v-if="step.ask && !locked && i === current" v-model="typed" :ask="step.ask" :system="system" />
          <div v-if="failing === i" class="remedy" data-test="remedy">
            <p class="t17"><StatusShape status="held" :size="18" class="inline" /> {{ words(remedy(i).do) }}.</p>
            <RuledButton data-test="enter-fault" @click="enterFault(i)">{{
              remedy(i).again === 'end' ? 'Enter it, begin this end again' : 'Enter it, do it again'
            }}</RuledButton><RuledButton variant="outline" @click="failing = null">It holds after all</RuledButton>
          </div>
          <slot name="wait" :step="i" />
        </template>
      </div>
      <time v-if="tickOf(i)" class="note t15" :datetime="tickOf(i)!.at"
        >{{ clockWords(tickOf(i)!.at) }}{{ tickOf(i)!.by ? `, ${tickOf(i)!.by}` : '' }}{{ proof(i) }}</time
      >
    </li>
  </ol>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 76px 1fr auto;
  border-bottom: 1px solid var(--hair);
  min-height: 52px;
  align-items: center;
}
li.now {
  background: var(--paper2);
  border: 2px solid var(--copper);
  border-width: 2px 0;
}
li.done .text {
  color: var(--ink2);
}
.tick {
  height: 100%;
  min-height: 52px;
  display: grid;
  place-items: center;
  border-right: 1px solid var(--hair);
}
.tick:hover {
  background: var(--paper2);
}
.tick:focus-visible {
  outline-offset: -3px;
}
.text {
  padding: 8px 18px;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.do {
  display: grid;
  grid-template-columns: 1.7em 1fr;
}
li.now {
  scroll-margin: 20px;
}
.fails {
  min-height: 44px;
  font-weight: 400;
  padding: 0 8px;
}
.changed {
  border-left: 5px solid var(--ochre);
  padding: 4px 0 4px 12px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  align-items: flex-start;
}
.remedy {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  border-left: 5px solid var(--ochre);
  padding: 6px 0 6px 12px;
}
.remedy {
  scroll-margin-bottom: 110px;
}
.remedy p {
  flex-basis: 100%;
}
li.alone {
  min-height: 300px;
}
li.done:not(.now) {
  min-height: 44px;
}
li.done:not(.now) .tick {
  min-height: 44px;
}
time {
  padding-right: 18px;
}
@media (max-width: 899px) {
  li.now {
    scroll-margin-bottom: 110px;
  }
  li.done:has(+ li.done) {
    display: none;
  }
  li {
    grid-template-columns: 62px 1fr auto;
  }
  .text {
    padding: 8px 12px;
  }
  .text .t26 {
    font-size: 22px;
    line-height: 1.15;
  }
  .text .t40 {
    font-size: 28px;
    line-height: 1.1;
  }
  li.alone {
    min-height: 180px;
  }
}
</style>
