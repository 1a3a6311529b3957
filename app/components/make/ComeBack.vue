<script setup lang="ts">
import { dayWords, type JointRecord } from '#core/record'
import { today } from '~/reading/today'

/** The day a temporary joint is come back to; booked before or after it is signed, taken off once it was. */
const props = defineProps<{ joint: JointRecord; slug: string }>()
const region = useRegion()
const store = useJobStore()
const set = (day: string) => {
  const comeBack = day === '' ? null : day
  if (comeBack !== props.joint.comeBack) store.do(props.slug, 'joint/change', props.joint.id, { comeBack })
}
const setFor = (comeBackFor: string) => {
  if (comeBackFor !== props.joint.comeBackFor) store.do(props.slug, 'joint/change', props.joint.id, { comeBackFor })
}
const isLate = computed(() => props.joint.comeBack !== null && props.joint.comeBack <= today())
</script>

<template>
  <div class="come-back t14">
    <label
      ><span class="note">temporary: come back on</span> {{ ' ' }}
      <input
        type="date"
        class="plain-input w7"
        :value="joint.comeBack ?? ''"
        data-test="come-back"
        @change="set(($event.target as HTMLInputElement).value)"
    /></label>
    <label
      ><span class="note">to</span> {{ ' ' }}
      <input
        class="plain-input w7 for"
        maxlength="120"
        placeholder="cut in the tee"
        :value="joint.comeBackFor"
        data-test="come-back-for"
        @change="setFor(($event.target as HTMLInputElement).value)"
    /></label>
    <span v-if="joint.comeBack" :class="isLate ? 'ochre w7' : 'note'" class="flex gap-1 items-center"
      ><StatusShape v-if="isLate" status="held" :size="14" /> {{ dayWords(joint.comeBack, today(), region) }}
      <button type="button" class="underline min-h-9" data-test="came-back" @click="set('')">
        was come back to
      </button></span
    >
    <span v-else class="ochre flex gap-1 items-center"
      ><StatusShape status="held" :size="14" /> No day is booked yet.</span
    >
  </div>
</template>

<style scoped>
.come-back {
  display: flex;
  gap: 4px 14px;
  align-items: baseline;
  flex-wrap: wrap;
}
.come-back input {
  width: 150px;
}
.come-back .for {
  width: 220px;
}
.come-back .for::placeholder {
  font-weight: 400;
  color: var(--ink2);
}
@media (max-width: 899px), (pointer: coarse) {
  .come-back input,
  .come-back button {
    min-height: 44px;
  }
}
</style>
