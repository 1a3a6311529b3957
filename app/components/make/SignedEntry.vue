<script setup lang="ts">
import { isMade, type JointRecord } from '#core/record'
import { dayTime } from '~/wording/times'
import type { Region } from '#core/units'
import { speak } from '#core/speech'

/** Who signed a joint and when, what was left then, and each time it was opened again. */
const props = defineProps<{ joint: JointRecord; region: Region }>()
const emit = defineEmits<{ reopen: [] }>()
const signed = computed(() => (isMade(props.joint) ? props.joint.signoffs.at(-1) : undefined))
const when = computed(() => dayTime(signed.value?.at ?? '', props.region))
</script>

<template>
  <p v-if="signed" class="t17 w7 flex gap-2 items-center">
    <StatusShape status="made" :size="20" /> Signed {{ signed.initials }},
    {{ when }}
    <button type="button" class="underline t15 font-normal min-h-11" data-test="open-reopen" @click="emit('reopen')">
      Open it again
    </button>
  </p>
  <ul v-if="signed?.remarks.length" class="t15" data-test="remarks">
    <li v-for="one in signed.remarks" :key="one.code" class="flex gap-2">
      <StatusShape status="held" :size="14" class="mt-1 flex-none" /> {{ speak(one.text, region) }}
    </li>
  </ul>
  <ul v-if="joint.reopenings.length" class="t15" data-test="reopenings">
    <li v-for="one in joint.reopenings" :key="one.id">
      Opened again {{ dayTime(one.at, region) }}{{ one.by ? `, ${one.by}` : '' }}: {{ one.reason }}
    </li>
  </ul>
</template>
