<script setup lang="ts">
import { hasThread } from '#core/catalogue'
import { THREAD_MATERIALS, type End, type Gender, type Thread, type ThreadMaterial } from '#core/joints'
import type { Region } from '#core/units'

/** A threaded end: its form, size, side and material. */
const props = defineProps<{ region: Region }>()
const emit = defineEmits<{ pick: [end: End] }>()
const FORMS = [
  { value: 'npt', words: 'NPT' },
  { value: 'bspt', words: 'BSP taper' },
  { value: 'bspp', words: 'BSP parallel' },
] as const
const SIZES = ['1/8', '1/4', '3/8', '1/2', '3/4', '1', '1-1/4', '1-1/2', '2'] as const
const form = ref<(typeof FORMS)[number]['value']>(props.region === 'us' ? 'npt' : 'bspt')
const gender = ref<Gender>('male')
const material = ref<ThreadMaterial>('brass')
/** What a parallel thread seals on, where somebody looked. */
const seat = ref<Thread['seat'] | null>(null)
const SEAT_WORDS = [
  { value: null, words: 'seat not looked at' },
  { value: 'flat', words: 'flat seat' },
  { value: 'cone', words: 'cone seat' },
] as const
const end = (size: string): End => ({
  thread: {
    form: form.value,
    size,
    gender: gender.value,
    material: material.value,
    ...(form.value === 'bspp' && seat.value !== null ? { seat: seat.value } : {}),
  },
})
const sizes = computed(() => SIZES.filter((size) => hasThread(form.value, size)))
</script>

<template>
  <div class="space-y-2">
    <div class="answers" role="group" aria-label="Thread">
      <button
        v-for="one in FORMS"
        :key="one.value"
        type="button"
        class="answer"
        :aria-pressed="form === one.value"
        :data-thread="one.value"
        @click="form = one.value">
        {{ one.words }}
      </button>
    </div>
    <div class="answers" role="group" aria-label="Side">
      <button
        v-for="one in ['male', 'female'] as const"
        :key="one"
        type="button"
        class="answer"
        :aria-pressed="gender === one"
        :data-gender="one"
        @click="gender = one">
        {{ one }}
      </button>
    </div>
    <div class="answers" role="group" aria-label="Material">
      <button
        v-for="one in THREAD_MATERIALS"
        :key="one"
        type="button"
        class="answer"
        :aria-pressed="material === one"
        :data-material="one"
        @click="material = one">
        {{ one }}
      </button>
    </div>
    <div v-if="form === 'bspp'" class="answers" role="group" aria-label="Seat">
      <button
        v-for="one in SEAT_WORDS"
        :key="one.words"
        type="button"
        class="answer"
        :aria-pressed="seat === one.value"
        :data-seat="one.value ?? 'unknown'"
        @click="seat = one.value">
        {{ one.words }}
      </button>
    </div>
    <div class="answers" role="group" aria-label="Size">
      <button
        v-for="size in sizes"
        :key="size"
        type="button"
        class="answer"
        :data-thread-size="size"
        @click="emit('pick', end(size))">
        take {{ size }}
      </button>
    </div>
  </div>
</template>
