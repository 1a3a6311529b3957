<script setup lang="ts">
import { isFlexible, type End, type EndPlay } from '#core/joints'
import type { JointBody } from '#core/record'
import type { UnitSystem } from '#core/units'
import { readLengthField } from '~/reading/length-field'
import { tapeText } from '~/reading/tape'
import { unitOf } from '~/reading/format'

/**
 * How far one end can be moved: along the pipe and aside, typed; "free" is enough. Flexible tube is asked for its length
 * to the last clip, and moves as its radius lets it.
 */
const props = defineProps<{
  on: 'a' | 'b'
  end: End
  typed: EndPlay
  play: EndPlay
  flex: number | undefined
  system: UnitSystem
  disabled: boolean
}>()
const emit = defineEmits<{ play: [play: EndPlay]; flex: [flex: JointBody['flex']] }>()
const isFlex = computed(() => 'pipe' in props.end && isFlexible(props.end.pipe))
const shown = (mm: number | null | undefined) => (mm === null || mm === undefined ? '' : tapeText(mm, props.system))
const isFree = (text: string) => /^\s*(free|enough)?\s*$/i.test(text)
function lengthProblem(text: string): string | null {
  if (isFree(text) || readLengthField(text, props.system) !== null) return null
  return `${text.trim()} what? ${unitOf(props.system)}, 0 or free.`
}
/** mm; null where it is free. */
const readLength = (text: string): number | null => (isFree(text) ? null : readLengthField(text, props.system))
/** What flexible tube gives by itself stands in the empty field. */
const hint = (name: 'along' | 'aside') => (props.flex === undefined ? 'free' : shown(props.play[name]) || 'free')
function set(name: 'along' | 'aside', text: string) {
  const { [name]: _, ...others } = props.typed
  const mm = readLength(text)
  emit('play', mm === null ? others : { ...others, [name]: mm })
}
</script>

<template>
  <span class="room" :data-room="on" role="group" :aria-label="on === 'a' ? 'First end moves' : 'Other end moves'">
    <label v-for="name in ['along', 'aside'] as const" :key="name" class="one"
      ><span class="note t14">{{ name }}</span
      ><KeptField
        class="t17 w7 field"
        :value="shown(typed[name])"
        :placeholder="hint(name)"
        :check="lengthProblem"
        :disabled="disabled"
        maxlength="16"
        :data-play="`${on}:${name}`"
        @keep="(text) => set(name, text)"
    /></label>
    <label v-if="isFlex" class="one"
      ><span class="note t14">last clip at</span
      ><KeptField
        class="t17 w7 field"
        :value="shown(flex)"
        placeholder="?"
        :check="lengthProblem"
        :disabled="disabled"
        maxlength="16"
        :data-flex="on"
        @keep="(text) => emit('flex', { [on]: readLength(text) || undefined })"
    /></label>
  </span>
</template>

<style scoped>
.room {
  display: flex;
  gap: 4px 14px;
  align-items: baseline;
  flex-wrap: wrap;
}
.one {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
}
.one :deep(.field) {
  width: 64px;
  text-align: center;
  border-bottom: 2px solid var(--ink);
}
.one :deep(.field)::placeholder {
  color: var(--ink2);
  font-weight: 400;
}
</style>
