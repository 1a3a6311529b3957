<script setup lang="ts">
import Papa from 'papaparse'
import { SUPPORT_CODES, spacingOf, type SupportCode } from '#core/catalogue'
import { SERVICES, type Service } from '#core/joints'
import {
  supportOrder,
  type FixedLine,
  type FixSettings,
  type JobRecord,
  type LineFlow,
  type LineRecord,
} from '#core/record'
import { ARM_CONSTANT, EXPANSION } from '#core/supports'
import { formatDecimal, formatLength, parseFlow, parseLength, type UnitSystem } from '#core/units'
import type { Result } from '#core/base'
import { tapeText } from '~/reading/tape'
import { unitOf } from '~/reading/format'
import { readAir } from '~/reading/air'
import { inRegion, SERVICE_WORDS } from '~/wording/en'
import { CODE_WORDS } from '~/wording/fix'

/** What stands beside the drawing: settings, growth and arms, the codes side by side, what to see to, flow, the order. */
const props = defineProps<{
  job: JobRecord
  line: LineRecord
  fixed: FixedLine
  settings: FixSettings
  flow: Result<LineFlow | null> | null
  system: UnitSystem
}>()
const emit = defineEmits<{ set: [fix: Partial<LineRecord['fix']>] }>()
const length = (mm: number | null) =>
  mm === null ? 'none' : formatLength(mm, props.system).replace(/ \(.*/, '').replace(/ mm$/, '')
const pipes = computed(() => [...new Map(props.fixed.groups.map(({ context: { pipe } }) => [pipe.id, pipe])).values()])
const codes = computed<readonly SupportCode[]>(() =>
  props.job.region === 'us' ? ['ipc', 'irc', 'upc', 'gb'] : ['gb', 'en', 'ipc'],
)
const rows = computed(() =>
  pipes.value.flatMap((pipe) =>
    (['horizontal', 'vertical'] as const)
      .filter((run) =>
        props.fixed.groups.some(
          ({ context }) => context.pipe.id === pipe.id && context.question.legs.some((leg) => leg.run === run),
        ),
      )
      .map((run) => ({
        key: `${pipe.id} ${run}`,
        words: `${pipe.label}, ${run === 'horizontal' ? 'across' : 'up'}`,
        by: codes.value.map((code) => spacingOf(code, pipe)?.[run] ?? null),
        widest: widestOf(pipe.id, run),
      })),
  ),
)
/** The widest stretch there really is, ends doubled as the code counts them. */
function widestOf(pipe: string, run: 'horizontal' | 'vertical'): number | null {
  const gaps = props.fixed.groups
    .filter(({ context }) => context.pipe.id === pipe)
    .flatMap(({ context, answer }) =>
      context.question.legs.flatMap((leg, i) => {
        const at = answer.supports.filter((support) => support.leg === i).map((support) => support.at)
        return leg.run !== run || at.length === 0
          ? []
          : [2 * at[0]!, ...at.slice(1).map((place, n) => place - at[n]!), 2 * (leg.length - at.at(-1)!)]
      }),
    )
  return gaps.length ? Math.max(...gaps) : null
}
const legName = (index: number) => {
  const row = props.fixed.draft.rows.find(({ legs }) => legs && index >= legs[0] && index <= legs[1])
  return row ? `${row.from} to ${row.to}` : `leg ${index + 1}`
}
const problems = computed(() => [
  ...props.fixed.supports.flatMap(({ name, broken }) =>
    broken.map((rule) => ({ key: `${name}${rule.code}${rule.text}`, text: `${name}: ${rule.text}` })),
  ),
  ...props.fixed.rules
    .filter(({ leg, code }) => leg !== undefined && code !== 'too-short')
    .map((rule) => ({ key: rule.code + rule.text, text: rule.text })),
])
const advice = computed(() => props.fixed.rules.filter(({ leg, code }) => leg === undefined || code === 'too-short'))
const order = computed(() => supportOrder(props.job))
const csv = computed(
  () =>
    `data:text/csv;charset=utf-8,${encodeURIComponent(Papa.unparse(order.value, { columns: ['quantity', 'name', 'size'], newline: '\r\n', escapeFormulae: true }))}`,
)
const flowProblem = (text: string) => {
  const read = text.trim() === '' ? null : parseFlow(text, props.system)
  return read && !read.ok ? read.error.message : null
}
const cautions = computed(() => {
  if (!props.flow?.ok || !props.flow.value) return []
  const all = props.flow.value.legs.flatMap(({ answer }) => answer.cautions)
  return all.filter((one, i) => all.findIndex(({ code }) => code === one.code) === i)
})
const given = (mm: number | undefined) => (mm === undefined ? '' : tapeText(mm, props.system))
const distanceProblem = (text: string) => {
  const read = text.trim() === '' ? null : parseLength(text, props.system, 'distance')
  return read && !read.ok ? read.error.message : null
}
const readDistance = (text: string) => {
  const read = text.trim() === '' ? null : parseLength(text, props.system, 'distance')
  return read?.ok ? read.value.mm : undefined
}
const { show } = useWorking()
function showGrowth(leg: number) {
  const one = props.fixed.expansion.find((expansion) => expansion.leg === leg)!
  const { pipe, length: long } = props.fixed.survey.laid[leg]!
  const alpha = EXPANSION[pipe.family]
  const constant = ARM_CONSTANT[pipe.family]
  const warmer = props.settings.temperature - props.settings.installedAt
  show({
    title: `Growth, ${legName(leg)}`,
    source: `${alpha.source}: ${alpha.lo} to ${alpha.hi} mm/(m K)${constant ? `; arm ${constant.source}: C ${constant.lo} to ${constant.hi}` : ''}`,
    lines: [
      { text: `${formatDecimal(long / 1000, 3)} m of ${pipe.label}`, op: '=', value: long / 1000, unit: 'm' },
      { text: 'expansion, mm/(m K)', op: 'x', value: alpha.value, unit: '', source: alpha.source },
      {
        text: `${formatDecimal(props.settings.installedAt, 0)} to ${formatDecimal(props.settings.temperature, 0)} \u00B0C`,
        op: 'x',
        value: warmer,
        unit: 'K',
      },
      { text: 'grows, in all', op: '=', value: one.change, unit: 'mm' },
      ...(constant && one.arm !== null
        ? [
            {
              text: `free arm, ${constant.value} \u00D7 root of ${formatDecimal(pipe.od, 1)} outside \u00D7 that`,
              op: '=' as const,
              value: one.arm,
              unit: 'mm',
              source: constant.source,
            },
          ]
        : []),
    ],
    notes: [
      `By the ranges it grows ${formatDecimal(one.changeLo, 1)} to ${formatDecimal(one.changeHi, 1)} mm.${one.lo !== null && one.hi !== null ? ` The arm is then ${formatDecimal(one.lo, 0)} to ${formatDecimal(one.hi, 0)}.` : ' No arm constant is held for it.'}`,
      'A free cantilever arm. An anchor on the leg shares its growth between both ends.',
    ],
  })
}
function showFlow(index: number) {
  if (!props.flow?.ok || !props.flow.value) return
  const { answer, leg } = props.flow.value.legs[index]!
  show({
    title: `Flow, ${legName(leg)}`,
    source: answer.limitSource,
    lines: answer.working,
    notes: answer.cautions.map(({ text }) => text),
  })
}
</script>

<template>
  <section aria-label="How it is held" class="panels">
    <h2 class="zone-heading">What it is held by</h2>
    <div class="row">
      <span class="note t14">carries</span>
      <div class="answers">
        <button
          v-for="service in SERVICES"
          :key="service"
          type="button"
          class="answer"
          :aria-pressed="settings.service === service"
          :data-fix-service="service"
          @click="emit('set', { service: service as Service })">
          {{ SERVICE_WORDS[service] }}
        </button>
      </div>
    </div>
    <div class="row">
      <span class="note t14">comes to</span
      ><span class="temps"
        ><KeptField
          class="t17 w7"
          :value="line.fix.temperature ?? ''"
          :placeholder="String(settings.temperature)"
          :check="(text) => readAir(text, 150).problem"
          maxlength="6"
          aria-label="Comes to, degrees Celsius"
          data-test="fix-temperature"
          @keep="(text) => emit('set', { temperature: readAir(text, 150).value ?? undefined })" /><span class="note t14"
          >&#176;C, fixed at</span
        ><KeptField
          class="t17 w7"
          :value="line.fix.installedAt ?? ''"
          :placeholder="String(settings.installedAt)"
          :check="(text) => readAir(text).problem"
          maxlength="6"
          aria-label="Fixed at, degrees Celsius"
          data-test="fix-installed"
          @keep="(text) => emit('set', { installedAt: readAir(text).value ?? undefined })" /><span class="note t14"
          >&#176;C</span
        ></span
      >
    </div>
    <div class="row">
      <span class="note t14">code</span>
      <div class="answers">
        <button
          v-for="code in SUPPORT_CODES"
          :key="code"
          type="button"
          class="answer"
          :aria-pressed="settings.code === code"
          :data-code="code"
          @click="emit('set', { code })">
          {{ CODE_WORDS[code] }}
        </button>
      </div>
    </div>
    <div class="row">
      <span class="note t14">maker's</span
      ><span class="temps"
        ><KeptField
          class="t17 w7"
          :value="given(line.fix.across)"
          :check="distanceProblem"
          maxlength="20"
          aria-label="Most between supports across, by the maker"
          data-test="fix-across"
          @keep="(text) => emit('set', { across: readDistance(text) })" /><span class="note t14">across,</span
        ><KeptField
          class="t17 w7"
          :value="given(line.fix.up)"
          :check="distanceProblem"
          maxlength="20"
          aria-label="Most between supports up, by the maker"
          data-test="fix-up"
          @keep="(text) => emit('set', { up: readDistance(text) })" /><span class="note t14"
          >up, {{ unitOf(system) }}</span
        ></span
      >
    </div>
    <div class="row">
      <span class="note t14">flow</span
      ><KeptField
        class="t17 w7"
        :value="line.fix.flow ?? ''"
        :placeholder="system === 'inch' ? '3 gpm' : '0.2 l/s or 12 l/min'"
        :check="flowProblem"
        maxlength="40"
        aria-label="Design flow"
        data-test="fix-flow"
        @keep="(text) => emit('set', { flow: text.trim() })" />
    </div>

    <template v-if="problems.length">
      <h2 class="zone-heading">To put right</h2>
      <ul class="t15">
        <li v-for="one in problems" :key="one.key" class="problem" data-test="fix-problem">
          <StatusShape status="held" :size="16" /> <span>{{ inRegion(one.text, job.region) }}</span>
        </li>
      </ul>
    </template>

    <template v-if="fixed.arms.length">
      <h2 class="zone-heading">Growth at the corners, and its free arm</h2>
      <table data-test="arms">
        <thead>
          <tr>
            <th class="l">end</th>
            <th>grows</th>
            <th>arm needs</th>
            <th>arm has</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="arm in fixed.arms" :key="`${arm.leg}${arm.end}`">
            <td class="l">
              <button type="button" class="figure-button" @click="showGrowth(arm.leg)">
                {{ legName(arm.leg) }}, {{ arm.end === 'end' ? 'far' : 'near' }} end
              </button>
            </td>
            <td class="w7">{{ formatDecimal(arm.grows, 1) }}</td>
            <td class="w7">{{ length(arm.needs) }}</td>
            <td class="w7">{{ length(arm.has) }}</td>
            <td>
              <StatusShape
                :status="arm.has >= arm.needs ? 'proved' : 'held'"
                :size="15"
                :label="arm.has >= arm.needs ? 'free' : 'short'" />
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <p v-else class="note t14">Nothing moves by more than 1 mm between these temperatures, or no corner shares it.</p>

    <h2 class="zone-heading">Most between supports, {{ system === 'inch' ? 'in' : 'mm' }}; widest here</h2>
    <table data-test="codes">
      <thead>
        <tr>
          <th class="l" />
          <th v-for="code in codes" :key="code">{{ CODE_WORDS[code] }}</th>
          <th>here</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <td class="l">{{ row.words }}</td>
          <td v-for="(mm, i) in row.by" :key="codes[i]" :class="{ used: codes[i] === settings.code }">
            {{ length(mm) }}
          </td>
          <td class="w7">{{ length(row.widest) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="source in [...new Set(fixed.groups.map(({ answer }) => answer.source))]" :key="source" class="note t13">
      In use: {{ source }}
    </p>
    <div class="schools t14">
      <p>
        <b>Where practitioners differ: near an elbow.</b> 150 from each elbow: stiff, but locks what grows.
        <span class="copper w7">Arm first, then the clip: in use.</span>
      </p>
    </div>

    <template v-if="flow && !flow.ok"
      ><p class="brick t15" role="status">{{ flow.error.message }}</p></template
    >
    <template v-else-if="flow?.value">
      <h2 class="zone-heading">
        Flow, {{ formatDecimal(flow.value.flow, 3) }} l/s: lost
        <b data-test="flow-drop">{{ formatDecimal(flow.value.drop * 1000, 1) }}</b> mbar in all
      </h2>
      <table data-test="flow-legs">
        <thead>
          <tr>
            <th class="l">leg</th>
            <th>bore</th>
            <th>m/s</th>
            <th>limit</th>
            <th>mbar</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in flow.value.legs" :key="one.leg">
            <td class="l">
              <button type="button" class="figure-button" @click="showFlow(i)">{{ legName(one.leg) }}</button>
            </td>
            <td>{{ formatDecimal(one.answer.boreUsed, 1) }}</td>
            <td class="w7">{{ formatDecimal(one.answer.velocity, 2) }}</td>
            <td>{{ one.answer.limit }}</td>
            <td class="w7">{{ formatDecimal(one.answer.drop * 1000, 1) }}</td>
            <td>
              <StatusShape
                :status="one.answer.verdict === 'within' ? 'proved' : 'refused'"
                :size="15"
                :label="one.answer.verdict" />
            </td>
          </tr>
        </tbody>
      </table>
      <ul class="t14">
        <li v-for="one in cautions" :key="one.code" class="problem" :data-flow-caution="one.code">
          <StatusShape status="held" :size="14" /> <span>{{ one.text }}</span>
        </li>
      </ul>
    </template>

    <h2 class="zone-heading">
      To order, all lines
      <span class="right"
        ><a :href="csv" :download="`${job.slug}-supports.csv`" class="underline" data-test="fix-csv">CSV</a></span
      >
    </h2>
    <ul class="t15" data-test="fix-order">
      <li v-for="one in order" :key="one.name + one.size">
        <b>{{ one.quantity }}</b> {{ one.name }}, {{ one.size }}
      </li>
    </ul>

    <h2 class="zone-heading">See to</h2>
    <ul class="advice t14">
      <li v-for="rule in advice" :key="rule.code + rule.text" :data-rule="rule.code">
        {{ inRegion(rule.text, job.region) }}
      </li>
    </ul>
    <p class="note t13">Local code, the maker's paper and a licensed person come first.</p>
  </section>
</template>

<style scoped>
.panels {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.row {
  display: grid;
  grid-template-columns: 66px 1fr;
  gap: 10px;
  align-items: baseline;
}
.temps {
  display: grid;
  grid-template-columns: 64px auto 64px auto;
  gap: 8px;
  align-items: baseline;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 15px;
}
th {
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
  text-align: right;
  border-bottom: 1px solid var(--rule);
}
td {
  text-align: right;
  padding: 3px 0 3px 10px;
  border-bottom: 1px solid var(--hair);
  vertical-align: middle;
}
.l {
  text-align: left;
  padding-left: 0;
}
td.used {
  font-weight: 700;
  box-shadow: inset 0 -2px var(--copper);
}
.problem {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 2px 0;
}
.advice li {
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
.zone-heading {
  margin-top: 8px;
}
@media (pointer: coarse), (max-width: 899px) {
  td button,
  .answers button {
    min-height: 44px;
  }
}
</style>
