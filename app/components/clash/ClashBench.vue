<script setup lang="ts">
import { clockWords } from '#core/speech'
import { useElementSize, useStorage } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import { readDiameter, type JobRecord, type JointRecord } from '#core/record'
import { formatLength, parseLength, unitSystemOf } from '#core/units'
import type { Entry } from '~/outbox/entry'
import { scaleText, unitOf } from '~/reading/format'
import { recordWords } from '~/wording/entry'
import { fieldWords, valueWords } from '~/wording/values'

/**
 * Two hands on one record: both entries side by side at one scale, the fact that decides, and the choice between them.
 */
const props = defineProps<{ job: JobRecord; entry: Entry }>()
const emit = defineEmits<{ later: [] }>()
const store = useJobStore()
const initials = useStorage('jolvet-initials', '')
const side = useTemplateRef<HTMLElement>('side')
const { width } = useElementSize(side)

const clashes = computed(() => props.entry.clashes ?? [])
const saved = computed(() => props.entry.saved!)
/** By whom and when it was saved; the rack says nothing of either. */
const savedBy = computed(() => ('updatedBy' in saved.value ? saved.value : { updatedBy: '', updatedAt: '' }))
const signed = computed(() => ('signoffs' in saved.value ? saved.value.signoffs.at(-1) : undefined))
const what = computed(() => recordWords(props.entry, props.job))
const mineBy = computed(() => `${store.hand || 'You'}, on this tablet`)
const theirsBy = computed(() => savedBy.value.updatedBy || signed.value?.initials || 'Another hand')
const system = computed(() => unitSystemOf(props.job.region))
const unit = computed(() => unitOf(system.value))

/** The two depths for one end, where that is what differs: each in mm, with the table's. */
const depths = computed(() => {
  const clash = clashes.value.find(({ path }) => path.startsWith('depths.'))
  const joint = saved.value as JointRecord
  const entry = Number(clash?.path.split('.')[1])
  const end = clash && 'way' in joint ? joint.way?.joints[entry] : undefined
  if (!clash || !end?.pipe) return null
  const read = (value: unknown) => {
    const length = typeof value === 'string' && value.trim() ? parseLength(value, system.value, clash.path) : null
    if (!length) return end.insertion.value
    return length.ok ? length.value.mm : null
  }
  return {
    entry,
    pipe: getPipe(end.pipe),
    mine: read(clash.mine),
    theirs: read(clash.theirs),
    table: end.insertion.value,
  }
})
const k = computed(() =>
  depths.value
    ? Math.max(
        1,
        Math.floor(
          Math.min(
            140 / depths.value.pipe.od,
            ((width.value || 400) * 0.5) / Math.max(depths.value.mine ?? 1, depths.value.theirs ?? 1),
          ) * 10,
        ) / 10,
      )
    : 1,
)
/** The two diameters of one find, where that is what differs and both can be read. */
const rounds = computed(() => {
  const clash = clashes.value.find(({ path }) => path === 'typed')
  const find = saved.value
  if (!clash || !('typed' in find)) return null
  const read = (typed: unknown) => readDiameter({ typed: String(typed), by: find.by }, props.job.region)
  const [mine, theirs] = [read(clash.mine), read(clash.theirs)]
  return mine.state === 'read' && theirs.state === 'read'
    ? { mine: mine.mm, theirs: theirs.mm, most: Math.max(mine.mm, theirs.mm) }
    : null
})
const roundScale = computed(() =>
  rounds.value
    ? Math.max(
        0.5,
        Math.floor(Math.min(190 / rounds.value.most, ((width.value || 400) * 0.6) / rounds.value.most) * 10) / 10,
      )
    : 1,
)
const figure = (mm: number) => formatLength(mm, system.value)
/** Either depth against the table's, so that it can be seen which is short. */
const fact = computed(() => {
  const at = depths.value
  if (!at || at.table === null || at.mine === null || at.theirs === null) return null
  const off = (mm: number) => {
    const by = mm - at.table!
    return `${figure(mm)} is ${Math.abs(by) < 0.05 ? 'that depth' : `${formatLength(Math.abs(by), system.value)} ${by < 0 ? 'short' : 'past it'}`}`
  }
  return `To the stop it is ${formatLength(at.table, system.value)} by the table: ${off(at.mine)}, ${off(at.theirs)}.`
})
const title = computed(() => {
  if (signed.value) return `${what.value} is signed already, and not as here.`
  if (depths.value) return 'One joint, two depths.'
  const { length } = clashes.value
  return `${what.value}: two entries for ${length === 1 ? 'one field' : `${length} fields`}.`
})
const shortly = (value: unknown, path: string) =>
  clashes.value.length === 1 ? valueWords(path, value, props.job) : 'all of this'
const needsInitials = computed(() => signed.value !== undefined && props.entry.act.name !== 'joint/sign')
const problem = ref<string | null>(null)

function keep(kept: 'mine' | 'theirs') {
  if (kept === 'mine' && needsInitials.value && initials.value.trim() === '') {
    problem.value = 'Initials: one to eight letters. What is signed stays; yours is added after it.'
    return
  }
  store.settle(props.entry.key, kept, initials.value.trim())
}

const again = ref('')
const isReading = ref(false)
function readAgain() {
  const at = depths.value!
  const length = parseLength(again.value, system.value, 'depth mark')
  problem.value = length.ok ? null : length.error.message
  if (!length.ok) return
  store.settle(props.entry.key, 'theirs', '')
  store.do(props.job.slug, 'joint/change', props.entry.record, {
    depths: { ...(saved.value as JointRecord).depths, [String(at.entry)]: again.value },
  })
}
useKeys(
  {
    1: () => keep('mine'),
    2: () => keep('theirs'),
    m: () => {
      if (depths.value && !signed.value) isReading.value = true
    },
    Escape: () => emit('later'),
  },
  { first: true, words: { 1: 'keep what is here', 2: 'keep what is there' } },
)
/** What is drawn, and how large. */
const drawnWords = computed(() => {
  if (depths.value) return `, ${depths.value.pipe.label}. Insertion mark, ${scaleText(k.value, system.value)}`
  return rounds.value ? `. Across the pipe, ${scaleText(roundScale.value, system.value)}` : ''
})
</script>

<template>
  <section class="clash" :aria-label="title" data-test="clash">
    <p class="head note t14">{{ what }}{{ drawnWords }}</p>
    <div class="sides">
      <div v-for="own in [true, false]" :key="String(own)" ref="side" class="side" :data-side="own ? 'mine' : 'theirs'">
        <MarkDrawing
          v-if="depths && (own ? depths.mine : depths.theirs) !== null && width > 0"
          :pipe="depths.pipe"
          :mm="(own ? depths.mine : depths.theirs)!"
          :k="k"
          :width="Math.floor(width)"
          :unit="unit"
          :words="figure((own ? depths.mine : depths.theirs)!)" />
        <RoundDrawing
          v-else-if="rounds && width > 0"
          :mm="own ? rounds.mine : rounds.theirs"
          :most="rounds.most"
          :k="roundScale"
          :width="Math.floor(width)"
          :unit="unit"
          :words="figure(own ? rounds.mine : rounds.theirs)" />
        <h2 class="t20">{{ own ? mineBy : theirsBy }}</h2>
        <table class="w-full">
          <tbody>
            <tr v-for="clash in clashes" :key="clash.path" class="differs">
              <th>{{ fieldWords(clash.path, job.region) }}</th>
              <td class="t20 w7">{{ valueWords(clash.path, own ? clash.mine : clash.theirs, job) }}</td>
            </tr>
            <tr>
              <th>at</th>
              <td>{{ clockWords(own ? entry.at : (signed?.at ?? savedBy.updatedAt)) }}</td>
            </tr>
            <tr v-if="signed && !own">
              <th>signed</th>
              <td>{{ signed.initials }}</td>
            </tr>
            <tr
              v-for="clash in clashes.filter(({ base }) => base !== null && base !== undefined && base !== '')"
              :key="`was-${clash.path}`">
              <th>both had seen</th>
              <td>{{ valueWords(clash.path, clash.base, job) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <div class="foot">
      <div class="choose">
        <h2 class="t20 flex gap-3 items-center">
          <StatusShape status="held" :size="22" /> {{ title }}
          <button type="button" class="later" data-test="clash-later" @click="emit('later')">
            later <kbd>Esc</kbd>
          </button>
        </h2>
        <p v-if="fact" class="t17">{{ fact }}</p>
        <p class="t15">Both entries stay in the log, whichever is kept. It is held till one is.</p>
        <label v-if="needsInitials" class="block max-w-[240px]"
          ><span class="t14 note">Your initials, to sign anew</span
          ><input
            v-model="initials"
            class="plain-input t20 w7"
            maxlength="8"
            autocomplete="off"
            @input="problem = null"
        /></label>
        <form v-if="isReading" class="again" @submit.prevent="readAgain">
          <label
            ><span class="t14 note">Depth read again, {{ unit }}</span
            ><input
              v-model="again"
              class="plain-input t26 w7"
              autofocus
              autocomplete="off"
              data-test="read-again"
              @input="problem = null" /></label
          ><RuledButton type="submit">Take it</RuledButton>
        </form>
        <p class="brick" role="alert">{{ problem }}</p>
        <div class="buttons">
          <RuledButton size="lg" data-test="keep-mine" @click="keep('mine')"
            >{{ signed ? 'Sign anew:' : 'Keep' }} {{ shortly(clashes[0]?.mine, clashes[0]?.path ?? '') }},
            {{ store.hand || 'yours' }} <kbd>1</kbd></RuledButton
          >
          <RuledButton size="lg" variant="outline" data-test="keep-theirs" @click="keep('theirs')"
            >Keep {{ shortly(clashes[0]?.theirs, clashes[0]?.path ?? '') }},
            {{ theirsBy === 'Another hand' ? 'the other' : theirsBy }} <kbd>2</kbd></RuledButton
          >
          <RuledButton v-if="depths && !signed && !isReading" size="lg" variant="outline" @click="isReading = true"
            >Read it again <kbd>M</kbd></RuledButton
          >
        </div>
      </div>
      <div class="log">
        <h2 class="zone-heading">What came of it</h2>
        <RecentFates />
        <p class="note t14 pt-2">Nothing waits on a signal: marks, sums, timers and signing all run here.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.clash {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.head {
  padding: 8px 18px;
}
.sides {
  flex: 1;
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.side {
  padding: 4px 18px 18px 22px;
  min-width: 0;
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  gap: 12px;
}
.side + .side {
  border-left: 1px solid var(--rule);
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink2);
  width: 150px;
  padding: 8px;
}
td {
  padding: 8px;
}
tr {
  border-bottom: 1px solid var(--hair);
  height: 40px;
}
.differs {
  background: var(--paper2);
}
.foot {
  display: grid;
  grid-template-columns: 1.4fr 1fr;
  border-top: 1px solid var(--rule);
}
.choose {
  padding: 14px 18px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  border-right: 1px solid var(--rule);
}
.log {
  padding: 14px 18px 14px 22px;
}
.later {
  margin-left: auto;
  min-height: 44px;
  font-size: 15px;
  font-weight: 400;
  text-decoration: underline;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.again {
  display: flex;
  gap: 12px;
  align-items: end;
}
@media (max-width: 899px) {
  .head {
    padding: 6px 12px;
  }
  .side {
    padding: 4px 10px 12px 12px;
    gap: 8px;
    justify-content: flex-start;
  }
  th {
    width: auto;
    padding: 6px 4px;
    font-size: 13px;
  }
  td {
    padding: 6px 4px;
    font-size: 15px;
  }
  .foot {
    display: flex;
    flex-direction: column;
  }
  .choose {
    border-right: 0;
  }
  .buttons > * {
    flex: 1 1 100%;
  }
}
</style>
