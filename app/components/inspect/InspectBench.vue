<script setup lang="ts">
import type { EndFacts } from '#core/catalogue'
import { METHODS, SERVICES } from '#core/joints'
import type { SeenName } from '#core/inspect'
import type { JobRecord } from '#core/record'
import { unitOf } from '~/reading/format'
import { FACT_ASKS } from '~/wording/facts'
import { methodWords, SERVICE_WORDS } from '~/wording/en'
import { dayTime } from '~/wording/times'
import { PART_WORDS, SEEN_CHOICES, SEEN_LENGTHS } from '~/wording/inspect'
import { unitSystemOf } from '#core/units'
import { speak } from '#core/speech'

/** Look at a joint that is there already: what is seen at the left, what it says at the right, the worst first. */
const props = defineProps<{ job: JobRecord }>()
const look = useInspect(toRef(props, 'job'))
const { method, pipe, part, tube, known, service, asks, seen, typed, problems, looks, answer, say, type, clear } = look
const { place, keep, keepProblem, kept, makeAnew, jointFor } = look
const isPicking = ref(false)
const words = (text: string) => speak(text, props.job.region)
const unit = computed(() => unitOf(unitSystemOf(props.job.region)))
const choices = (name: SeenName) =>
  SEEN_CHOICES[name] as readonly { value: string | boolean; words: string }[] | undefined
const askOf = (name: SeenName) => answer.value?.unseen.find(({ code }) => code === name)?.ask ?? ASKED[name] ?? name
/** Questions stay in their words once they are answered. */
const ASKED = reactive<Partial<Record<string, string>>>({})
watch(
  answer,
  (now) =>
    now?.unseen.forEach(({ code, ask }) => {
      ASKED[code] = ask
    }),
  { immediate: true },
)
const VERDICT = { sound: 'Sound, as far as it was looked at.', care: 'It wants care.', wrong: 'It is wrong.' } as const
const isSaid = (says: EndFacts) =>
  Object.entries(says).every(([name, value]) => known.value[name as keyof EndFacts] === value)
const isBare = computed(() => (answer.value?.findings.length ?? 0) === 0)
</script>

<template>
  <div class="title">
    <h2 class="t26">Look at a joint that is there</h2>
    <NuxtLink :to="`/jobs/${job.slug}/joint`" class="link-verb ml-auto">Back to Joint</NuxtLink>
  </div>
  <div class="bench">
    <section class="left" aria-label="What is seen">
      <h3 class="zone-heading">What holds it</h3>
      <div class="answers my-2" role="group" aria-label="Method">
        <button
          v-for="one in METHODS"
          :key="one"
          type="button"
          class="answer"
          :aria-pressed="method === one"
          :data-method="one"
          @click="method = one">
          {{ methodWords(one) }}
        </button>
      </div>
      <button type="button" class="endpick" data-test="look-pipe" @click="isPicking = true">
        <span class="note t13">on this pipe</span><b class="t17">{{ tube?.label ?? 'choose it, if it is known' }}</b>
      </button>
      <div class="answers my-2" role="group" aria-label="What is joined">
        <span class="note t14 self-center">it joins</span
        ><button
          v-for="(said, name) in PART_WORDS"
          :key="name"
          type="button"
          class="answer"
          :aria-pressed="(part ?? 'none') === name"
          :data-part="name"
          @click="part = name === 'none' ? null : name">
          {{ said }}
        </button>
      </div>
      <div class="answers my-2" role="group" aria-label="What it carries">
        <span class="note t14 self-center">it carries</span
        ><button
          v-for="one in SERVICES"
          :key="one"
          type="button"
          class="answer"
          :aria-pressed="service === one"
          :data-service="one"
          @click="service = one">
          {{ SERVICE_WORDS[one] }}
        </button>
      </div>
      <ul>
        <li v-for="fact in asks" :key="fact.code" class="look" :data-fact="fact.code">
          <p class="t17 flex gap-2 items-center">
            <StatusShape :status="fact.keys.some(({ says }) => says && isSaid(says)) ? 'made' : 'planned'" :size="14" />
            {{ words(FACT_ASKS[fact.code] ?? fact.code) }}
          </p>
          <div class="answers">
            <button
              v-for="key in fact.keys"
              :key="key.words"
              type="button"
              class="answer"
              :aria-pressed="isSaid(key.says)"
              :data-answer="`${fact.code}:${key.words}`"
              @click="known = { ...known, ...key.says }">
              {{ key.words }}
            </button>
          </div>
        </li>
        <li v-for="name in looks" :key="name" class="look" :data-look="name">
          <p class="t17 flex gap-2 items-center">
            <StatusShape :status="seen[name] === undefined ? 'planned' : 'made'" :size="14" /> {{ words(askOf(name)) }}
          </p>
          <div v-if="choices(name)" class="answers">
            <button
              v-for="choice in choices(name)"
              :key="String(choice.value)"
              type="button"
              class="answer"
              :aria-pressed="seen[name] === choice.value"
              :data-seen="`${name}:${choice.value}`"
              @click="say(name, choice.value as never)">
              {{ words(choice.words) }}
            </button>
          </div>
          <template v-else
            ><label class="typed"
              ><input
                class="plain-input t17 w6"
                :value="typed[name] ?? ''"
                maxlength="40"
                :aria-label="words(askOf(name))"
                :aria-invalid="problems[name] !== undefined"
                @input="type(name, ($event.target as HTMLInputElement).value)" /><span class="note t14">{{
                SEEN_LENGTHS.has(name) ? unit : 'threads'
              }}</span></label
            >
            <p v-if="problems[name]" class="brick t14" role="alert">{{ problems[name] }}</p></template
          >
        </li>
      </ul>
    </section>
    <section class="right" aria-label="What it says" data-test="inspect">
      <template v-if="answer && !isBare">
        <p class="t26 flex gap-3 items-center">
          <FindingShape :verdict="answer.verdict" :size="24" />
          {{ VERDICT[answer.verdict] }}
        </p>
        <ul class="mt-3">
          <li v-for="one in answer.findings" :key="one.code + one.text" class="finding" :data-finding="one.code">
            <FindingShape :verdict="one.verdict" />
            <p>
              <b>{{ words(one.text) }}</b>{{ one.remedy ? ` ${words(one.remedy)}` : '' }}
            </p>
          </li>
        </ul>
        <p v-if="answer.unseen.length" class="note t14 mt-3">
          Not looked at: {{ answer.unseen.length }}. Next: {{ words(answer.unseen[0]!.ask).toLowerCase() }}
        </p>
        <form class="keep" @submit.prevent="keep">
          <label
            ><span class="note t14">where it is</span
            ><input
              v-model="place"
              class="plain-input t17"
              maxlength="120"
              autocomplete="off"
              placeholder="under the sink"
              data-test="look-place" /></label
          ><RuledButton type="submit" data-test="keep-look">Keep this look</RuledButton>
        </form>
        <p v-if="keepProblem" class="brick t14" role="alert">{{ keepProblem }}</p>
        <button type="button" class="underline note min-h-11 t14" @click="clear">Look at another one</button>
      </template>
      <p v-else class="note">Say what is seen, in any order. What it says stands here, the worst first.</p>
      <template v-if="kept.length">
        <h3 class="zone-heading mt-6">Looked at on this job</h3>
        <ul data-test="kept-looks">
          <li v-for="one in kept" :key="one.id" class="finding" :data-kept="one.number">
            <FindingShape :verdict="one.verdict" />
            <p class="t15">
              <b>{{ one.look.place || methodWords(one.look.method) }}</b>, {{ dayTime(one.updatedAt, job.region)
              }}{{ one.updatedBy ? `, ${one.updatedBy}` : '' }}.
              {{ words(one.found[0]?.text ?? '') }}
              <NuxtLink
                v-if="jointFor(one)"
                class="underline whitespace-nowrap"
                :to="{ path: `/jobs/${job.slug}/joint`, query: { joint: jointFor(one)!.id } }"
                data-test="look-joint"
                >J{{ jointFor(one)!.number }} is made for it</NuxtLink
              ><button
                v-else-if="one.verdict !== 'sound'"
                type="button"
                class="underline whitespace-nowrap min-h-9"
                data-test="make-anew"
                @click="makeAnew(one)">
                a joint to make
              </button>
            </p>
          </li>
        </ul>
      </template>
      <p class="note t13 mt-4">
        Bands of the ring: ASTM F1807. Distances of clips and threads left: typical. Local code and the fitting's own
        paper come first.
      </p>
    </section>
    <PipePicker
      v-model:open="isPicking"
      :job="job"
      on="a"
      pipes-only
      @pick="
        (end) => {
          if ('pipe' in end) pipe = end.pipe
        }
      " />
  </div>
</template>

<style scoped>
.title {
  min-height: 56px;
  border-bottom: 1px solid var(--rule);
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 6px 18px;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 480px;
}
.left {
  padding: 12px 18px;
}
.right {
  padding: 16px 22px 18px 24px;
  border-left: 1px solid var(--rule);
}
.endpick {
  display: flex;
  flex-direction: column;
  min-height: 44px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
  width: 100%;
  max-width: 420px;
  margin-bottom: 8px;
}
.look {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 4px 14px;
  align-items: center;
  min-height: 50px;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
.typed {
  display: flex;
  gap: 10px;
  align-items: baseline;
  max-width: 200px;
}
.keep {
  display: flex;
  gap: 12px;
  align-items: end;
  margin-top: 14px;
}
.keep label {
  flex: 1;
}
.finding {
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: 12px;
  padding: 9px 0;
  border-bottom: 1px solid var(--hair);
  align-items: start;
}
@media (max-width: 899px) {
  .bench {
    display: flex;
    flex-direction: column-reverse;
    justify-content: flex-end;
  }
  .left {
    padding: 12px;
  }
  .right {
    border-left: 0;
    border-bottom: 1px solid var(--rule);
    padding: 12px;
  }
  .look {
    grid-template-columns: 1fr;
  }
  .title {
    padding: 6px 12px;
    flex-wrap: wrap;
  }
}
</style>
