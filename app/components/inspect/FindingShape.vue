<script setup lang="ts">
import type { Finding } from '#core/inspect'
import { FINDING_WORDS } from '~/wording/inspect'

/** How a finding stands: wrong, to be cared for, or sound. */
withDefaults(defineProps<{ verdict: Finding; size?: number }>(), { size: 18 })
</script>

<template>
  <StatusShape v-if="verdict === 'wrong'" status="refused" :size="size" :label="FINDING_WORDS.wrong" /><VerdictShape
    v-else
    :verdict="verdict === 'sound' ? 'fits' : 'care'"
    :size="size" />
</template>
