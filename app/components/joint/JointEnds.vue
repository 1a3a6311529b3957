<script setup lang="ts">
import { isClosed } from '#core/joints'
import { knownOf, type JobRecord, type JointBody, type JointRecord } from '#core/record'
import { endLabel } from '~/wording/way'

/** The two ends that are joined, where, when it comes back, and what is known of each end. */
const props = defineProps<{ job: JobRecord; joint: JointRecord; isSigned: boolean }>()
const emit = defineEmits<{ pick: [on: 'a' | 'b', what?: 'pipe' | 'thread']; change: [changes: Partial<JointBody>] }>()
/** The chlorine digit matters only where hot water runs round. */
const isLoop = computed(() => props.joint.conditions.service === 'recirculation')
const knownAt = (on: 'a' | 'b') =>
  knownOf(props.job, props.joint, on).filter(
    ({ name, value }) => isLoop.value || name !== 'chlorine' || value !== 'unknown',
  )
const known = computed(() => ({ a: knownAt('a'), b: knownAt('b') }))
/** The other end, where it is one. */
const openB = computed(() => (isClosed(props.joint.b) ? null : props.joint.b))
/** Which find an end came from, by its number. */
const foundAs = (find: string | null) => {
  const at = find === null ? -1 : props.job.finds.findIndex(({ id }) => id === find)
  return at < 0 ? '' : `, from Find ${at + 1}`
}
</script>

<template>
  <div class="ends">
    <button type="button" class="endpick" data-end="a" :disabled="isSigned" @click="emit('pick', 'a')">
      <span class="note t13">first end{{ foundAs(joint.findA) }}</span
      ><b class="t17">{{ joint.a ? endLabel(joint.a) : 'choose the pipe' }}</b>
    </button>
    <label class="place"
      ><span class="note t13">J{{ joint.number }}, where</span
      ><input
        class="plain-input t15"
        :value="joint.place"
        :disabled="isSigned"
        maxlength="120"
        placeholder="old stub, north wall"
        @input="emit('change', { place: ($event.target as HTMLInputElement).value })"
    /></label>
    <button type="button" class="endpick text-right" data-end="b" :disabled="isSigned" @click="emit('pick', 'b')">
      <span class="note t13">other end{{ foundAs(joint.findB) }}</span
      ><b class="t17">{{ joint.b ? endLabel(joint.b) : 'choose the pipe' }}</b>
    </button>
  </div>
  <JointParts
    :job="job"
    :joint="joint"
    :is-signed="isSigned"
    @pick="(what) => emit('pick', 'b', what)"
    @change="(changes) => emit('change', changes)" />
  <ComeBack
    v-if="joint.conditions.temporary || joint.comeBack"
    :joint="joint"
    :slug="job.slug"
    class="px-[18px] py-1" />
  <div class="details">
    <EndFacts
      on="a"
      :end="joint.a"
      :known="known.a"
      :disabled="isSigned"
      @change="(end) => emit('change', { a: end })" /><EndFacts
      on="b"
      :end="openB"
      :known="known.b"
      :disabled="isSigned"
      class="right-end"
      @change="(end) => emit('change', { b: end })" />
  </div>
</template>

<style scoped>
.ends {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 18px;
  padding: 6px 18px 2px;
  align-items: end;
}
.endpick {
  display: flex;
  flex-direction: column;
  min-height: 44px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
}
.endpick.text-right {
  align-items: flex-end;
}
.details {
  display: flex;
  justify-content: space-between;
  gap: 18px;
  padding: 0 18px;
  flex-wrap: wrap;
}
.right-end {
  margin-left: auto;
  justify-content: flex-end;
}
.endpick:hover {
  color: var(--copper);
}
.endpick:disabled {
  border-bottom-style: dashed;
  border-color: var(--rule);
}
.place {
  display: flex;
  flex-direction: column;
}
.place .plain-input {
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 899px) {
  .ends {
    grid-template-columns: 1fr 1fr;
    padding: 6px 12px;
    gap: 12px;
  }
  .place {
    grid-column: 1 / 3;
    order: 3;
  }
}
</style>
