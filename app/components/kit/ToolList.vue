<script setup lang="ts">
import { findSocket, PIPES, type SocketMethod } from '#core/catalogue'
import { ALL_METHODS, JOINT_METHODS, type Method } from '#core/joints'
import { overdue, type ToolRecord } from '#core/record'
import { degreesOf, degreesSpoken, readAir, temperatureField } from '~/reading/air'
import { methodWords } from '~/wording/en'
import { unitSystemOf, type Region } from '#core/units'

/** The tools on the van: what each joins, the sizes it has, until when its check holds. */
const props = defineProps<{ tools: readonly ToolRecord[] | null; region: Region; today: string }>()
const emit = defineEmits<{ change: [tools: ToolRecord[] | null] }>()

const TOOLED = (Object.keys(JOINT_METHODS) as SocketMethod[]).filter((method) => !JOINT_METHODS[method].byHand)
const BY_HAND = [
  ...(Object.keys(JOINT_METHODS) as SocketMethod[]).filter((method) => JOINT_METHODS[method].byHand),
  'thread',
  'union',
] as Method[]
const toolOf = (method: Method) => props.tools?.find((tool) => tool.method === method)
const late = computed(() => new Set(overdue(props.tools, props.today).map(({ method }) => method)))
/** Sizes a method's jaws, rings or heads are made for here. */
const sizesOf = (method: SocketMethod) =>
  [
    ...new Map(
      PIPES.filter((pipe) => pipe.regions.includes(props.region)).flatMap((pipe) => {
        const socket = findSocket(method, pipe)
        return socket ? [[socket.fittingNominal, pipe.od] as const] : []
      }),
    ).entries(),
  ]
    .sort((a, b) => a[1] - b[1])
    .map(([nominal]) => nominal)
/** Jaws and heads go by size; a torch or cement does not. */
const hasSizes = (method: Method) => method !== 'solder' && method !== 'solvent-cement'
const hereMethods = computed(() => TOOLED.filter((method) => sizesOf(method).length > 0))

function put(method: Method, tool: ToolRecord | null) {
  const others = (props.tools ?? []).filter((one) => one.method !== method)
  emit(
    'change',
    tool
      ? [...others, tool].sort(
          (a, b) => TOOLED.indexOf(a.method as SocketMethod) - TOOLED.indexOf(b.method as SocketMethod),
        )
      : others,
  )
}
const toggle = (method: Method) => put(method, toolOf(method) ? null : { method, sizes: [], due: null })
function toggleSize(method: Method, size: string) {
  const tool = toolOf(method)!
  put(method, {
    ...tool,
    sizes: tool.sizes.includes(size) ? tool.sizes.filter((one) => one !== size) : [...tool.sizes, size],
  })
}
function setDue(method: Method, due: string) {
  put(method, { ...toolOf(method)!, due: due === '' ? null : due })
}
/** Least air of the expander as its paper says; empty is not read. */
const system = computed(() => unitSystemOf(props.region))
const coldProblem = (text: string) => readAir(text, system.value, { most: 40 }).problem
const setCold = (method: Method, text: string) =>
  put(method, { ...toolOf(method)!, leastAmbient: readAir(text, system.value, { most: 40 }).value })
</script>

<template>
  <section aria-label="Tools">
    <h2 class="zone-heading">Tools on the van</h2>
    <template v-if="tools === null">
      <p class="t17 mt-2">Nothing is said of the tools: every method counts as there.</p>
      <RuledButton class="mt-3" data-test="name-tools" @click="emit('change', [])">Name what is on the van</RuledButton>
    </template>
    <template v-else>
      <ul>
        <li v-for="method in hereMethods" :key="method" class="tool" :data-tool="method">
          <LeverSwitch
            :model-value="toolOf(method) !== undefined"
            :label="methodWords(method)"
            @update:model-value="toggle(method)" />
          <template v-if="toolOf(method)">
            <div
              v-if="hasSizes(method)"
              class="answers sizes"
              role="group"
              :aria-label="`Sizes: ${methodWords(method)}`">
              <button
                v-for="size in sizesOf(method)"
                :key="size"
                type="button"
                class="answer"
                :aria-pressed="toolOf(method)!.sizes.includes(size)"
                :data-size="size"
                @click="toggleSize(method, size)">
                {{ size }}
              </button>
              <span class="note t14 self-center">{{
                toolOf(method)!.sizes.length === 0
                  ? 'none picked: every size'
                  : `${toolOf(method)!.sizes.length} of them`
              }}</span>
            </div>
            <label class="due t14"
              ><span class="note"
                >{{ ALL_METHODS[method].looks.includes('gauge') ? 'gauge' : 'check' }} holds until</span
              ><input
                type="date"
                class="plain-input"
                :value="toolOf(method)!.due ?? ''"
                @change="setDue(method, ($event.target as HTMLInputElement).value)"
            /></label>
            <label v-if="method === 'expansion'" class="due t14"
              ><span class="note">works from, by its own paper</span
              ><KeptField
                class="w7"
                :value="temperatureField(toolOf(method)!.leastAmbient, system)"
                placeholder="not read"
                :check="coldProblem"
                inputmode="text"
                maxlength="12"
                :aria-label="`Least air of the expander, ${degreesSpoken(system)}`"
                data-test="least-ambient"
                @keep="(text) => setCold(method, text)" />
              {{ degreesOf(system) }}</label
            >
            <p v-if="late.has(method)" class="ochre w6 t14 flex gap-2 items-center" data-test="overdue">
              <StatusShape status="held" :size="16" /> Over its date: have it checked before the next joint.
            </p>
          </template>
        </li>
      </ul>
      <p class="note t14 mt-2">Always there, by hand: {{ BY_HAND.map(methodWords).join(', ') }}.</p>
      <button type="button" class="underline note min-h-11 t14" @click="emit('change', null)">
        Count every tool as there again
      </button>
    </template>
  </section>
</template>

<style scoped>
.tool {
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.sizes {
  padding-left: 38px;
}
.due {
  display: flex;
  gap: 10px;
  align-items: center;
  padding-left: 38px;
}
.due input {
  width: 150px;
  border-bottom-width: 1px;
}
</style>
