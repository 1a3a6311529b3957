<script setup lang="ts">
import { MINUTES, type Way } from '#core/joints'
import type { Region } from '#core/catalogue'
import { formatDecimal, type UnitSystem } from '#core/units'
import { CURRENCY, inRegion, methodWords, VERDICT_WORDS } from '~/wording/en'

/** Working of the way looked at: depths with their sources, what is weakest, parts to order, cautions, schools. */
const props = defineProps<{ way: Way, region: Region, system: UnitSystem, index: number, isSigned: boolean, taken: boolean }>()
const emit = defineEmits<{ take: [] }>()
const { show, showDepth } = useWorking()
const words = (text: string) => inRegion(text, props.region)
const place = (i: number) => (i === 0 ? 'first end' : i === props.way.joints.length - 1 ? 'other end' : 'between')
/** Where the way turns on a school, both are named and the one in use is said. */
const SCHOOLS: Readonly<Record<string, { name: string, one: string, other: string, use: 0 | 1 }>> = {
  'converter-olive': { name: 'old copper in a metric body', one: 'Swap the olive: one made for the old size closes the gap.', other: 'Use a converter fitting made for both sizes.', use: 0 },
  'dry-olive': { name: 'on the olive', one: 'Dry, as the fitting\'s paper says.', other: 'A smear of potable paste, on metal only.', use: 0 },
  'thread-seal': { name: 'on the thread', one: 'Tape and paste together.', other: 'Tape alone, or paste alone.', use: 0 },
  'listed-for-hiding': { name: 'hiding push-fit', one: 'Listed for it, so it may be hidden.', other: 'Only where it can be seen and reached.', use: 0 },
}
const schools = computed(() => [...props.way.because, ...props.way.cautions].flatMap(({ code }) => (SCHOOLS[code] ? [SCHOOLS[code]] : [])).slice(0, 2))
const notes = computed(() => [...(props.way.verdict === 'fits' ? [] : props.way.because), ...props.way.cautions])

function showMinutes() {
  show({
    title: `Minutes of way ${props.index + 1}`,
    source: 'ours: the middle of what is met at one reachable end of 15 to 22 mm, cutting and marking counted in',
    lines: [...props.way.joints.map(joint => ({ text: methodWords(joint.method), op: '+' as const, value: MINUTES[joint.method].work, unit: 'min' })), { text: 'hands on', op: '=' as const, value: props.way.minutes.work, unit: 'min' }],
    notes: props.way.minutes.wait ? [`Then ${formatDecimal(props.way.minutes.wait, 0)} minutes to cool, once: joints cool side by side.`] : [],
  })
}

function showMargin() {
  show({ title: `Margin of way ${props.index + 1}`, source: 'Each pipe and joint at the next temperature its table has; the least decides.', lines: props.way.working, notes: props.way.working.length ? [] : ['No rating is held for any part of it. Read the fitting\'s own.'] })
}
</script>

<template>
  <section aria-label="Working">
    <h2 class="zone-heading">Working of way {{ index + 1 }}, {{ VERDICT_WORDS[way.verdict] }} <span class="right only-wide"><kbd>W</kbd></span></h2>
    <table class="sum">
      <tbody>
        <tr v-for="(joint, i) in way.joints" :key="i">
          <td>{{ methodWords(joint.method) }}, {{ place(i) }}</td>
          <td class="v"><button type="button" class="figure-button" :data-depth="i" @click="showDepth(`Depth: ${methodWords(joint.method)}, ${place(i)}`, joint.insertion)"><TapeFigure :mm="joint.insertion.value" :system="system" /><span class="visually-hidden">, show the working</span></button></td>
          <td class="src">{{ joint.insertion.source.startsWith('typical') && joint.insertion.lo !== joint.insertion.hi ? `typical ${formatDecimal(joint.insertion.lo ?? 0, 1)} to ${formatDecimal(joint.insertion.hi ?? 0, 1)}${system === 'inch' ? ' mm' : ''}` : joint.insertion.source }}</td>
        </tr>
        <tr class="sub"><td>hands on</td><td class="v"><button type="button" class="figure-button" @click="showMinutes">{{ formatDecimal(way.minutes.work, 1) }}<span class="visually-hidden"> minutes, show the working</span></button></td><td class="src">minutes, ours</td></tr>
        <tr v-if="way.minutes.wait"><td>wait till cold</td><td class="v">{{ formatDecimal(way.minutes.wait, 0) }}</td><td class="src">minutes, ours</td></tr>
        <tr><td>parts, a guess</td><td class="v">{{ way.cost.low.toFixed(0) }} to {{ way.cost.high.toFixed(0) }}</td><td class="src">{{ CURRENCY[region] }}, ours</td></tr>
        <tr class="sub"><td>margin: {{ way.margin.at }}</td><td class="v"><button type="button" class="figure-button" @click="showMargin">{{ way.margin.bar === null ? '?' : formatDecimal(way.margin.bar, 1) }}<span class="visually-hidden"> bar, show the working</span></button></td><td class="src">bar over the line</td></tr>
      </tbody>
    </table>
    <h3 class="zone-heading mt-3">To order</h3>
    <ul class="t15"><li v-for="part in way.parts" :key="part.name + part.size" class="flex justify-between gap-3 border-b border-[var(--hair)] py-1"><span>{{ words(part.name) }} <b>{{ part.kind === 'tail' ? '' : part.size }}</b></span><span class="whitespace-nowrap">{{ part.length ? `cut ${formatDecimal(part.length, 0)} mm` : `${part.quantity} off` }}</span></li></ul>
    <ul class="mt-3 space-y-2"><li v-for="note in notes" :key="note.code + note.text" class="flex gap-2 t14" :data-note="note.code"><StatusShape :status="way.because.includes(note) ? 'held' : 'planned'" :size="14" class="mt-[2px]" /><span>{{ words(note.text) }}</span></li></ul>
    <div v-for="school in schools" :key="school.name" class="mt-3">
      <h3 class="zone-heading">Where practitioners differ: {{ words(school.name) }}</h3>
      <div class="grid grid-cols-2 gap-4 t14"><p>{{ words(school.one) }} <b v-if="school.use === 0" class="copper">In use.</b></p><p>{{ words(school.other) }}</p></div>
    </div>
    <div class="take"><UButton v-if="!isSigned" :disabled="taken" data-test="take-way" @click="emit('take')">{{ taken ? `Way ${index + 1} is taken` : `Take way ${index + 1}` }} <kbd v-if="!taken">Enter</kbd></UButton><p v-else class="note">Signed off: its way stays as it was made.</p><slot /></div>
    <p class="note t13 mt-3">Local code, the fitting's own paper and a licensed person come first.</p>
  </section>
</template>

<style scoped>
.sum { width: 100%; margin-top: 6px; }
.sum td { padding: 3px 0; vertical-align: baseline; }
.sum .v { text-align: right; font-weight: 700; font-size: 17px; padding: 3px 10px; white-space: nowrap; }
.sum .v :deep(.fraction) { font-size: 15px; }
.sum .src { font-size: 13px; color: var(--ink2); width: 132px; }
.sub td { border-top: 1px solid var(--rule); }
.take { display: flex; gap: 12px; margin-top: 14px; align-items: center; }
</style>
