<script setup lang="ts">
import type { CountState, JobRecord, JointRecord } from '#core/record'
import { formatLength, unitSystemOf } from '#core/units'
import { speak } from '#core/speech'

/** A made joint that may lack a part, by the count of what came back; what is signed stays as it was. */
const props = defineProps<{ job: JobRecord; joint: JointRecord; doubts: readonly CountState[] }>()
const emit = defineEmits<{ reopen: [] }>()
const store = useJobStore()
const seen = (item: string) => store.do(props.job.slug, 'kit/found', null, { item, joint: props.joint.id })
</script>

<template>
  <div v-for="{ need, over } in doubts" :key="need.item" class="doubt" role="status" data-test="doubt">
    <StatusShape status="held" :size="22" />
    <p class="t15">
      <b>J{{ joint.number }} may lack {{ speak(need.item, job.region) }}.</b>
      {{
        need.unit === 'mm'
          ? `${formatLength(over, unitSystemOf(job.region))} less was fed than the rule of the trade.`
          : `${over} too many came back.`
      }}
      Look at it before water comes.
    </p>
    <RuledButton variant="outline" data-test="doubt-reopen" @click="emit('reopen')"
      >It lacks it: open J{{ joint.number }} again</RuledButton
    >
    <RuledButton data-test="it-is-there" @click="seen(need.item)">It is there</RuledButton>
  </div>
</template>

<style scoped>
.doubt {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 3px solid var(--ochre);
}
.doubt p {
  flex: 1;
}
@media (max-width: 899px) {
  .doubt {
    padding: 8px 12px;
    flex-wrap: wrap;
  }
  .doubt p {
    flex: 1 1 70%;
  }
}
</style>
