<script setup lang="ts">
import type { JobRecord, JointRecord } from '#core/record'

/** Steps that another way put aside: they come back as they were, at a tap. */
const props = defineProps<{ job: JobRecord; joint: JointRecord }>()
const store = useJobStore()
const count = computed(() => props.joint.aside[0]?.ticks.length ?? 0)
const more = computed(() => props.joint.aside.length - 1)
</script>

<template>
  <div v-if="joint.aside.length > 0" class="aside t15" role="status" data-test="aside">
    <StatusShape status="held" :size="18" />
    <p>
      {{ count === 0 ? 'A wait' : `${count} ticked step${count === 1 ? '' : 's'}` }} of the way before
      {{ count > 1 ? 'were' : 'was' }} put aside.{{
        more > 0 ? ` ${more} earlier way${more === 1 ? ' is' : 's are'} kept behind it.` : ''
      }}
    </p>
    <button
      type="button"
      class="link-verb min-h-11"
      data-test="bring-back"
      @click="store.do(job.slug, 'joint/bring-back', joint.id, {})">
      Undo: bring {{ count > 1 ? 'them' : 'it' }} back
    </button>
  </div>
</template>

<style scoped>
.aside {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 2px 18px;
  border-bottom: 1px solid var(--rule);
  min-height: 44px;
  flex-wrap: wrap;
}
@media (max-width: 899px) {
  .aside {
    padding: 2px 12px;
  }
  .aside p {
    flex: 1 1 70%;
  }
}
</style>
