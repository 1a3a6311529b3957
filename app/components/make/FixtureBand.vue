<script setup lang="ts">
import { carriedTo, centreLineOf, crossedText, type JobRecord, type JointRecord } from '#core/record'
import { formatLength, parseLength, unitSystemOf } from '#core/units'
import { speak, w } from '#core/speech'

/** Which of a fixture's inlets this line is: its side as one faces it, the body's mark and arrow, the centre line. */
const props = defineProps<{ job: JobRecord; joint: JointRecord; isSigned: boolean }>()
const emit = defineEmits<{ change: [fixture: JointRecord['fixture']] }>()
const region = computed(() => props.job.region)
const system = computed(() => unitSystemOf(region.value))
const carried = computed(() => carriedTo(props.joint))
const crossed = computed(() => crossedText(props.joint))
const line = computed(() => centreLineOf(props.job, props.joint))
const at = computed(() => props.joint.fixture)
const problem = ref<string | null>(null)

const ASKS = [
  {
    name: 'side',
    words: 'as you face it',
    keys: [
      ['left', 'left'],
      ['right', 'right'],
      ['top', 'above'],
      ['bottom', 'below'],
    ],
  },
  {
    name: 'mark',
    words: 'marked on the body',
    keys: [
      ['hot', 'H or red'],
      ['cold', 'C or blue'],
    ],
  },
  {
    name: 'arrow',
    words: 'its arrow',
    keys: [
      ['with', 'with the water'],
      ['against', 'against it'],
    ],
  },
] as const
function say(name: 'side' | 'mark' | 'arrow', value: string) {
  const { [name]: now, ...others } = at.value
  emit('change', now === value ? others : { ...others, [name]: value })
}
function setCentre(text: string) {
  problem.value = null
  const { centre: _, ...others } = at.value
  if (text.trim() === '') return emit('change', others)
  const length = parseLength(text, system.value, speak(w.centre, region.value))
  if (length.ok) emit('change', { ...others, centre: length.value.mm })
  else problem.value = length.error.message
}
const lineText = computed(() => {
  if (!line.value) return ''
  const { apart, off, other } = line.value
  const stands = Math.abs(off) >= 1 ? `off the middle by ${formatLength(Math.abs(off), system.value)}` : 'even about it'
  return `${formatLength(apart, system.value)} to J${other}, ${stands}`
})
/** Its inlet in the drawing: the body from the front, two inlets about its centre line. */
/** Once it is answered and right it is one line. */
const isUnfolded = ref(false)
const isFolded = computed(
  () => !isUnfolded.value && !crossed.value && (at.value.side !== undefined || at.value.mark !== undefined),
)
const SIDES = { left: 'at the left', right: 'at the right', top: 'above', bottom: 'below' } as const
const isUpright = computed(() => at.value.side === 'top' || at.value.side === 'bottom')
/** The inlet this line goes to, copper while it is to be closed, brick where it is crossed. */
function fillOf(isFirst: boolean): string {
  if (at.value.side === undefined || first.value !== isFirst) return 'var(--paper)'
  return crossed.value ? 'var(--brick)' : 'var(--copper)'
}
const first = computed(() => at.value.side === 'left' || at.value.side === 'top')
</script>

<template>
  <div v-if="carried" class="fixture" :class="{ crossed }" data-test="fixture">
    <p v-if="isFolded" class="t17 one" data-test="fixture-said">
      <StatusShape status="made" :size="16" class="flex-none" />
      <span
        >This one is <b>{{ carried }}</b>{{ at.side ? `, ${SIDES[at.side]}` : ''
        }}{{ at.mark ? `, marked ${at.mark}` : '' }}.
        <span v-if="line" :class="Math.abs(line.off) >= 1 ? 'ochre w6' : 'note'">{{ lineText }}.</span></span
      >
      <button type="button" class="underline t15 min-h-9" data-test="fixture-more" @click="isUnfolded = true">
        change
      </button>
    </p>
    <template v-else>
      <svg
        width="150"
        height="92"
        viewBox="0 0 150 92"
        role="img"
        :aria-label="`The fixture from the front: this line is ${carried}${at.side ? `, at its ${at.side}` : ''}`"
        class="flex-none">
        <g :transform="isUpright ? 'rotate(90 75 46)' : ''">
          <path d="M30 46H120" stroke="var(--ink)" stroke-width="14" stroke-linecap="round" />
          <path d="M30 46H120" stroke="var(--paper)" stroke-width="11" stroke-linecap="round" />
          <path d="M75 6V86" class="l-centre" />
          <circle
            v-for="(cx, i) in [38, 112]"
            :key="cx"
            :cx="cx"
            cy="46"
            r="13"
            :fill="fillOf(i === 0)"
            stroke="var(--ink)"
            stroke-width="1.5"
            :stroke-dasharray="at.side ? undefined : '3 2'" />
        </g>
        <template v-if="!isUpright">
          <text x="38" y="84" text-anchor="middle" class="t13 note">hot</text>
          <text x="112" y="84" text-anchor="middle" class="t13 note">cold</text>
        </template>
        <template v-else>
          <text x="96" y="14" class="t13 note">hot</text>
          <text x="96" y="88" class="t13 note">cold</text>
        </template>
      </svg>
      <div class="text">
        <p class="t20 w7">
          This one is {{ carried }}.
          <span v-if="!crossed" class="note font-normal t15"
            >Hot stands at the left, or above; the body's own mark wins.</span
          >
        </p>
        <p v-if="crossed" class="brick w7 t17 flex gap-2 items-center" role="alert" data-test="crossed">
          <StatusShape status="stop" :size="20" class="flex-none" /> {{ speak(crossed, region) }}
        </p>
        <div class="asks">
          <div v-for="ask in ASKS" :key="ask.name" class="row" role="group" :aria-label="ask.words">
            <span class="note t14 what">{{ ask.words }}</span>
            <button
              v-for="[value, words] in ask.keys"
              :key="value"
              type="button"
              class="choice t15"
              :disabled="isSigned"
              :aria-pressed="at[ask.name] === value"
              :data-fixture="`${ask.name}:${value}`"
              @click="say(ask.name, value)">
              {{ words }}
            </button>
          </div>
          <label class="row"
            ><span class="note t14 what">from its {{ speak(w.centre, region) }} line</span
            ><input
              class="plain-input t15 centre"
              :value="at.centre === undefined ? '' : formatLength(at.centre, system)"
              :disabled="isSigned"
              maxlength="20"
              placeholder="?"
              :aria-invalid="problem !== null"
              data-test="fixture-centre"
              @change="setCentre(($event.target as HTMLInputElement).value)" /><span
              v-if="line"
              class="t15"
              :class="Math.abs(line.off) >= 1 ? 'ochre w6' : 'note'"
              data-test="centre-line"
              >{{ lineText }}</span
            ></label
          >
        </div>
        <p v-if="problem" class="brick t14" role="alert">{{ problem }}</p>
      </div>
    </template>
  </div>
</template>

<style scoped>
.fixture {
  display: flex;
  gap: 18px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 1px solid var(--rule);
}
.fixture.crossed {
  border-bottom: 3px solid var(--brick);
}
.text {
  flex: 1;
  min-width: 0;
}
.row {
  display: flex;
  gap: 2px 14px;
  flex-wrap: wrap;
  align-items: center;
  min-height: 36px;
}
.asks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
}
.one {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.what {
  width: 130px;
}
.centre {
  width: 90px;
}
@media (max-width: 899px) {
  .fixture {
    padding: 8px 12px;
    flex-wrap: wrap;
  }
  .text {
    flex-basis: 100%;
  }
  .asks {
    grid-template-columns: 1fr;
  }
  .what {
    width: 100px;
  }
  .row {
    min-height: 44px;
    gap: 2px 10px;
  }
}
</style>
