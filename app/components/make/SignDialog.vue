<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import type { Left, LeftCode } from '#core/record'
import type { Region } from '#core/units'
import { speak } from '#core/speech'

/** The question before a joint is signed: whose hands, and what is left. What is left is seen, or waited for. */
const open = defineModel<boolean>('open', { required: true })
const props = defineProps<{
  name: string
  region: Region
  left: () => readonly Left[]
  sign: (initials: string, seen: LeftCode[]) => { ok: boolean; error?: { message: string } }
}>()
const emit = defineEmits<{ signed: [] }>()
const initials = useStorage('jolvet-initials', '')
const problem = ref<string | null>(null)
const still = shallowRef<readonly Left[]>([])
const isSeen = ref(false)
watch(
  open,
  (now) => {
    if (!now) return
    still.value = props.left()
    isSeen.value = false
    problem.value = null
  },
  { immediate: true },
)

function submit() {
  if (initials.value.trim() === '') {
    problem.value = 'Initials: one to eight letters, so that it can be asked who made it.'
    return
  }
  still.value = props.left()
  if (still.value.length > 0 && !isSeen.value) {
    problem.value = 'Something is left: say that you have seen it, or come back when it is over.'
    return
  }
  const answer = props.sign(
    initials.value.trim(),
    still.value.map(({ code }) => code),
  )
  problem.value = answer.ok ? null : (answer.error?.message ?? null)
  if (!answer.ok) return
  open.value = false
  emit('signed')
}
</script>

<template>
  <FrameModal
    v-model:open="open"
    :title="`Sign ${name}`"
    description="A sign-off is a new entry. What is signed stays as it was made.">
    <template #body>
      <form class="space-y-4" @submit.prevent="submit">
        <div v-if="still.length" class="left" data-test="left">
          <p class="t17 w7">Still left:</p>
          <ul class="t17 space-y-2">
            <li v-for="one in still" :key="one.text" class="flex gap-2" :data-left="one.code">
              <StatusShape status="held" :size="18" class="mt-1 flex-none" /> {{ ' ' }}
              <span>{{ speak(one.text, region) }}</span>
            </li>
          </ul>
          <label class="seen t17"
            ><input v-model="isSeen" type="checkbox" data-test="seen" /> {{ ' ' }}
            <span>I have seen it. It stays on the record.</span></label
          >
        </div>
        <label class="block"
          ><span class="t14 note">Your initials</span
          ><input
            v-model="initials"
            class="plain-input t40 w7"
            maxlength="8"
            autocomplete="off"
            :aria-invalid="problem !== null"
            aria-describedby="sign-problem"
            data-test="initials"
            @input="problem = null"
        /></label>
        <p id="sign-problem" class="brick min-h-5" role="alert">{{ problem }}</p>
        <RuledButton type="submit" size="xl" block data-test="sign">Sign {{ name }}</RuledButton>
      </form>
    </template>
  </FrameModal>
</template>

<style scoped>
.left {
  border-left: 5px solid var(--ochre);
  padding-left: 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.seen {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 48px;
}
.seen input {
  width: 26px;
  height: 26px;
  accent-color: var(--copper);
}
</style>
