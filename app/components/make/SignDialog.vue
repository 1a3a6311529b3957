<script setup lang="ts">
import { useStorage } from '@vueuse/core'

/** The question before a joint is signed: whose hands, and that the mark was seen. */
const open = defineModel<boolean>('open', { required: true })
const props = defineProps<{ name: string, sign: (initials: string) => { ok: boolean, error?: { message: string } } }>()
const emit = defineEmits<{ signed: [] }>()
const initials = useStorage('jolvet-initials', '')
const problem = ref<string | null>(null)

function submit() {
  if (initials.value.trim() === '') {
    problem.value = 'Initials: one to eight letters, so that it can be asked who made it.'
    return
  }
  const answer = props.sign(initials.value.trim())
  problem.value = answer.ok ? null : answer.error?.message ?? null
  if (!answer.ok) return
  open.value = false
  emit('signed')
}
</script>

<template>
  <UModal v-model:open="open" :transition="false" :title="`Sign ${name}`" description="A sign-off is a new entry. What is signed stays as it was made.">
    <template #body>
      <form class="space-y-4" @submit.prevent="submit">
        <label class="block"><span class="t14 note">Your initials</span><input v-model="initials" class="plain-input t40 w7" maxlength="8" autocomplete="off" :aria-invalid="problem !== null" aria-describedby="sign-problem" data-test="initials" @input="problem = null"></label>
        <p id="sign-problem" class="brick min-h-5" role="alert">{{ problem }}</p>
        <UButton type="submit" size="xl" block data-test="sign">Sign {{ name }}</UButton>
      </form>
    </template>
  </UModal>
</template>
