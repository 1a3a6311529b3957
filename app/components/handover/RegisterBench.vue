<script setup lang="ts">
import { compareText } from '#core/base'
import {
  shiftedEnds,
  standingSignoff,
  statusOf,
  type ClashRecord,
  type JobRecord,
  type JointRecord,
} from '#core/record'
import { formatLength, unitSystemOf } from '#core/units'
import { speak } from '#core/speech'
import { methodWords, STATUS_WORDS } from '~/wording/en'
import { nameOfRecord } from '~/wording/entry'
import { dayTime } from '~/wording/times'
import { fieldWords, valueWords } from '~/wording/values'
import { endsLabel } from '~/wording/way'

/** Hand over: every joint with its depth marks, method, hands and time, and the register to take away. */
const props = defineProps<{ job: JobRecord }>()
const { chain } = useChain(toRef(props, 'job'))
const system = computed(() => unitSystemOf(props.job.region))
const rows = computed(() => props.job.joints.filter(({ way }) => way !== null))
const undecided = computed(() => props.job.joints.length - rows.value.length)
const made = computed(() => rows.value.filter((joint) => statusOf(joint) === 'made'))
const at = ref(0)
const table = useTemplateRef<HTMLElement>('table')
const methods = (joint: JointRecord) =>
  [...new Set(joint.way!.joints.map(({ method }) => methodWords(method)))].join(', ')
const marks = (joint: JointRecord) =>
  standingSignoff(joint)?.marks ??
  joint.way!.joints.map(({ insertion }, entry) => ({ entry, mm: insertion.value, measured: false }))
const time = (iso: string) => dayTime(iso, props.job.region)
/** Every sign-off, newest first; one that was corrected stays, struck through. */
const log = computed(() =>
  rows.value
    .flatMap((joint) =>
      joint.signoffs.map((signoff) => ({
        joint,
        signoff,
        isCorrected:
          joint.signoffs.some(({ corrects }) => corrects === signoff.id) ||
          joint.reopenings.some((one) => one.signoff === signoff.id),
        reopened: joint.reopenings.find((one) => one.signoff === signoff.id),
      })),
    )
    .sort((a, b) => compareText(b.signoff.at, a.signoff.at)),
)
const isShifted = (joint: JointRecord) => shiftedEnds(props.job, joint).length > 0
const clashRecord = (clash: ClashRecord) =>
  nameOfRecord(clash.record, props.job) ?? (clash.kind === 'jobs' ? 'kit' : 'entry')
function move(step: number) {
  at.value = Math.min(rows.value.length - 1, Math.max(0, at.value + step))
  table.value?.querySelectorAll<HTMLElement>('tbody a')[at.value]?.focus()
}
useKeys({ j: () => move(1), k: () => move(-1) })
</script>

<template>
  <div class="bench">
    <div ref="table" class="table">
      <h2 class="zone-heading">
        Register: {{ rows.length }} joint{{ rows.length === 1 ? '' : 's' }}, {{ made.length }} made<template
          v-if="undecided"
          >, {{ undecided }} not chosen yet</template
        >
        <span class="right only-wide"><kbd>J</kbd> <kbd>K</kbd></span>
      </h2>
      <p v-if="rows.length === 0" class="py-4 t17">No joint is chosen yet. Take a way on Joint and it stands here.</p>
      <table v-else class="w-full">
        <thead>
          <tr>
            <th><span class="visually-hidden">status</span></th>
            <th>joint</th>
            <th>where</th>
            <th>pipes</th>
            <th>method</th>
            <th class="num">mark, {{ system === 'inch' ? 'in' : 'mm' }}</th>
            <th>made by</th>
            <th class="num">at</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(joint, i) in rows"
            :key="joint.id"
            :data-register="joint.number"
            :class="{ 'row-selected': i === at }">
            <td>
              <StatusShape
                v-if="isShifted(joint)"
                status="held"
                :size="16"
                label="held: its pipe was corrected since" /><StatusShape
                v-else
                :status="statusOf(joint)"
                :size="16"
                :label="STATUS_WORDS[statusOf(joint)]" />
            </td>
            <td>
              <NuxtLink
                :to="{ path: `/jobs/${job.slug}/make`, query: { joint: joint.id } }"
                class="link"
                @focus="at = i"
                ><b>J{{ joint.number }}</b></NuxtLink
              >
            </td>
            <td>
              {{ joint.place
              }}<span v-if="isShifted(joint)" class="ochre w6 t14 block" data-test="shifted"
                >the pipe it was chosen for is kept as another since</span
              >
            </td>
            <td>{{ endsLabel(joint) }}</td>
            <td>{{ methods(joint) }}</td>
            <td class="num t17 w7">
              <span class="inline-flex gap-[6px] items-center" :class="{ note: statusOf(joint) !== 'made' }"
                ><span v-for="(mark, n) in marks(joint)" :key="n" class="inline-flex items-center"
                  ><TapeFigure :mm="mark.mm" :system="system" />{{ n < marks(joint).length - 1 ? ',' : '' }}</span
                ></span
              ><span v-if="marks(joint).some(({ measured }) => measured)" class="t13 note"> measured</span>
            </td>
            <td>{{ standingSignoff(joint)?.initials ?? STATUS_WORDS[statusOf(joint)] }}</td>
            <td class="num">{{ standingSignoff(joint) ? time(standingSignoff(joint)!.at) : '' }}</td>
          </tr>
        </tbody>
      </table>
      <p class="note t14 pt-2">
        Mark: depth into the fitting from end to end, pencilled right round and seen at the edge. Pale: planned, not
        made yet.
      </p>
    </div>
    <aside class="side">
      <h2 class="zone-heading">Give out</h2>
      <ul class="exports">
        <li>
          <a :href="`/api/jobs/${job.slug}/register.csv`" download class="link-verb" data-test="export-csv"
            >Table file, {{ rows.length }} row{{ rows.length === 1 ? '' : 's' }} (CSV)</a
          >
        </li>
        <li>
          <a :href="`/api/jobs/${job.slug}/register.json`" download class="link-verb" data-test="export-json"
            >Whole register in one file (JSON)</a
          >
        </li>
        <li>
          <a :href="`/api/jobs/${job.slug}/log.json`" download class="link-verb" data-test="export-log"
            >Everything that was done (JSON)</a
          >
        </li>
      </ul>
      <h2 class="zone-heading mt-6">Log</h2>
      <p v-if="!chain" class="note t15" data-test="chain">How the log stands is not known without the server.</p>
      <template v-else>
        <p class="t15 flex gap-2" data-test="chain">
          <StatusShape :status="chain.brokenAt === null ? 'proved' : 'refused'" :size="18" class="mt-[2px] flex-none" />
          <span v-if="chain.brokenAt === null"
            >{{ chain.acts }} {{ chain.acts === 1 ? 'entry' : 'entries' }}, each chained to the one before: the log is
            whole.</span
          ><span v-else class="brick w7"
            >The log is broken at entry {{ chain.brokenAt }} of {{ chain.acts }}: it was changed outside Jolvet.</span
          >
        </p>
        <p v-if="chain.head" class="note t13" data-test="chain-head">
          It ends with <span class="hash">{{ chain.head.match(/.{8}/g)?.join(' ') }}</span>, on every register given out
          now.
        </p>
      </template>
      <h2 class="zone-heading mt-6">Signed</h2>
      <p v-if="log.length === 0" class="note">Nothing signed yet.</p>
      <ul class="t15">
        <li v-for="{ joint, signoff, isCorrected, reopened } in log" :key="signoff.id" class="entry">
          <span class="note">{{ time(signoff.at) }}</span><span
            ><span :class="{ 'line-through note': isCorrected }"
              >J{{ joint.number }}:
              {{ signoff.marks.map(({ mm }) => (mm === null ? '?' : formatLength(mm, system))).join(', ') }}</span
            ><span v-for="one in signoff.remarks" :key="one.code" class="ochre block" data-test="log-remark">{{
              speak(one.text, job.region)
            }}</span
            ><span v-if="reopened" class="ochre block" data-test="log-reopened"
              >opened again {{ time(reopened.at) }}{{ reopened.by ? `, ${reopened.by}` : '' }}:
              {{ reopened.reason }}</span
            ></span
          ><b>{{ signoff.initials }}</b>
        </li>
      </ul>
      <template v-if="job.clashes.length">
        <h2 class="zone-heading mt-6">Two entries met <span class="right">kept: bold</span></h2>
        <ul class="t15" data-test="clash-log">
          <li v-for="clash in job.clashes" :key="clash.id" class="entry">
            <span class="note">{{ time(clash.at) }}</span><span
              >{{ clashRecord(clash) }}:
              <template v-for="field in clash.fields" :key="field.path"
                >{{ fieldWords(field.path, job.region) }}:
                <component :is="clash.kept === 'mine' ? 'b' : 's'">{{
                  valueWords(field.path, field.mine.value, job)
                }}</component>
                {{ field.mine.by || 'one hand' }},
                <component :is="clash.kept === 'theirs' ? 'b' : 's'">{{
                  valueWords(field.path, field.theirs.value, job)
                }}</component>
                {{ field.theirs.by || 'another' }}.
              </template></span
            >
          </li>
        </ul>
      </template>
      <p v-if="job.handedOver" class="verd w7 mt-4">Handed over {{ time(job.handedOver) }}.</p>
    </aside>
  </div>
</template>

<style scoped>
.hash {
  font-variant-numeric: tabular-nums;
  overflow-wrap: anywhere;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(280px, 30%);
}
.table {
  padding: 12px 18px;
  min-width: 0;
}
.side {
  border-left: 1px solid var(--rule);
  padding: 12px 22px 18px 24px;
}
th {
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
  text-align: left;
  border-bottom: 1px solid var(--rule);
  padding: 6px 10px 6px 0;
}
td {
  height: 44px;
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 15px;
}
td:first-child {
  padding-left: 10px;
  width: 34px;
}
.num {
  text-align: right;
  white-space: nowrap;
}
.link {
  display: inline-flex;
  align-items: center;
  min-height: 36px;
  min-width: 36px;
}
.exports li {
  min-height: 44px;
  display: flex;
  align-items: center;
}
.entry {
  display: grid;
  grid-template-columns: 110px 1fr auto;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
@media (max-width: 899px) {
  .bench {
    display: flex;
    flex-direction: column;
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--rule);
    padding: 12px;
  }
  .table {
    padding: 12px;
  }
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 104px 1fr 28px;
    padding: 8px 0 8px 14px;
    border-bottom: 1px solid var(--hair);
    align-items: baseline;
  }
  td {
    height: auto;
    border: 0;
    padding: 0 8px 0 0;
  }
  td:nth-child(1) {
    grid-column: 3;
    grid-row: 1;
    padding: 0;
  }
  td:nth-child(6) {
    grid-column: 1;
    grid-row: 1 / 5;
    text-align: left;
    white-space: normal;
  }
  td:nth-child(6) span {
    flex-wrap: wrap;
  }
  td:nth-child(2) {
    grid-column: 2;
    grid-row: 1;
  }
  td:nth-child(3) {
    grid-column: 2;
    grid-row: 2;
  }
  td:nth-child(4),
  td:nth-child(5),
  td:nth-child(7),
  td:nth-child(8) {
    grid-column: 2;
    font-size: 14px;
    color: var(--ink2);
    text-align: left;
  }
}
</style>
