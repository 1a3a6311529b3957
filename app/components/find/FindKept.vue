<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { MOST_PHOTOS, type FindRecord, type JobRecord, type JointRecord } from '#core/record'
import { inHundred } from '~/reading/format'
import { dayTime } from '~/wording/times'

/** What is kept with a find beside its checks: notes, photos, what it was kept as and by whom, and what rests on it. */
const props = defineProps<{
  job: JobRecord
  find: FindRecord
  resting: readonly JointRecord[]
  photoProblem: string | null
}>()
const emit = defineEmits<{ notes: [text: string]; photo: [file: File]; drop: [photo: string] }>()

const input = useTemplateRef<HTMLInputElement>('input')
const looked = ref<string | null>(null)
const dropping = ref<string | null>(null)
const photo = computed(() => props.find.photos.find(({ id }) => id === looked.value))
const addressOf = (one: FindRecord['photos'][number]) =>
  one.data ?? `/api/jobs/${props.job.slug}/finds/${props.find.id}/photos/${one.id}`
function onFiles(event: Event) {
  const field = event.target as HTMLInputElement
  for (const file of field.files ?? []) emit('photo', file)
  field.value = ''
}
function drop(id: string) {
  emit('drop', id)
  looked.value = dropping.value = null
}
const isOff = (joint: JointRecord) =>
  [
    [joint.findA, joint.a],
    [joint.findB, joint.b],
  ].some(
    ([id, end]) =>
      id === props.find.id && end !== null && typeof end === 'object' && 'pipe' in end && end.pipe !== props.find.pipe,
  )
useKeys({ i: () => input.value?.click() })
</script>

<template>
  <section class="kept" aria-label="Kept with this find">
    <h2 class="zone-heading">Kept with this find</h2>
    <label class="block mt-1"
      ><span class="note t13">notes</span
      ><textarea
        class="plain-input t15 notes"
        rows="2"
        :value="find.notes"
        maxlength="2000"
        placeholder="painted twice; old solder at the tee"
        data-test="notes"
        @input="emit('notes', ($event.target as HTMLTextAreaElement).value)" />
    </label>
    <div class="photos">
      <button
        v-for="one in find.photos"
        :key="one.id"
        type="button"
        class="photo"
        :data-photo="one.id"
        @click="looked = one.id">
        <img :src="addressOf(one)" :alt="one.name" loading="lazy" />
      </button>
      <button
        v-if="find.photos.length < MOST_PHOTOS"
        type="button"
        class="photo add"
        data-test="add-photo"
        @click="input?.click()">
        photo <kbd>I</kbd>
      </button>
      <input
        ref="input"
        type="file"
        accept="image/jpeg,image/png,image/webp,.jpg,.jpeg,.png,.webp"
        multiple
        class="visually-hidden"
        tabindex="-1"
        aria-label="Photo of this pipe"
        data-test="photo-file"
        @change="onFiles" />
    </div>
    <p v-if="photoProblem" class="brick w6 t14" role="alert" data-test="photo-problem">
      <StatusShape status="refused" :size="14" class="inline" /> {{ photoProblem }}
    </p>
    <p class="note t13">JPEG, PNG or WebP to 8 MB. Where it was taken is not kept.</p>
    <ul v-if="find.verdicts.length" class="log t14" data-test="verdicts">
      <li v-for="(one, i) in find.verdicts" :key="one.at + i" :class="{ past: i < find.verdicts.length - 1 }">
        <span class="note">{{ dayTime(one.at, job.region) }}</span><span
          ><component :is="i < find.verdicts.length - 1 ? 's' : 'b'">{{
            one.pipe === null ? 'opened again' : getPipe(one.pipe).label
          }}</component
          ><template v-if="one.probability !== null"
            >, {{ inHundred(one.probability) }} in 100 by the checks then</template
          ></span
        ><span class="note">{{ one.by }}</span>
      </li>
    </ul>
    <ul v-if="resting.length" class="log t14" data-test="resting">
      <li v-for="joint in resting" :key="joint.id" :class="{ off: isOff(joint) }">
        <NuxtLink :to="{ path: `/jobs/${job.slug}/joint`, query: { joint: joint.id } }" class="w7 underline"
          >J{{ joint.number }}</NuxtLink
        ><span v-if="isOff(joint)" class="ochre w6"
          ><StatusShape status="held" :size="14" class="inline" /> was chosen for another pipe: look at it again</span
        ><span v-else>rests on this find, {{ joint.place }}</span>
      </li>
    </ul>
    <p class="t14 mt-2">
      <a :href="`/api/jobs/${job.slug}/diameter-cards.pdf`" target="_blank" class="underline" data-test="cards"
        >Print diameter cards</a
      >
      {{ ' ' }}
      <span class="note">of this job's pipes, at true size</span>
    </p>
    <FrameModal
      :open="photo !== undefined"
      :title="photo?.name ?? ''"
      :description="photo ? [dayTime(photo.at, job.region), photo.by].filter(Boolean).join(', ') : ''"
      :ui="{ content: 'max-w-[900px]' }"
      @update:open="
        (isOpen) => {
          if (!isOpen) looked = dropping = null
        }
      ">
      <template #body>
        <img v-if="photo" :src="addressOf(photo)" :alt="photo.name" class="large" />
        <div v-if="photo" class="flex gap-3 mt-3">
          <RuledButton
            v-if="dropping !== photo.id"
            variant="outline"
            data-test="drop-photo"
            @click="dropping = photo.id"
            >Take it off</RuledButton
          >
          <template v-else
            ><RuledButton data-test="drop-photo-sure" @click="drop(photo.id)">Take it off for good</RuledButton
            ><RuledButton variant="outline" @click="dropping = null">Keep it</RuledButton></template
          >
        </div>
      </template>
    </FrameModal>
    <DropRecord :job="job" act="find/drop" :record="find.id" words="take this find out" />
  </section>
</template>

<style scoped>
.kept {
  padding: 12px 18px 18px;
  border-top: 1px solid var(--rule);
}
.notes {
  resize: vertical;
  border-bottom-width: 1px;
  border-color: var(--rule);
}
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 8px 0 4px;
}
.photo {
  width: 104px;
  height: 78px;
  border: 1px solid var(--rule);
  overflow: hidden;
}
.photo img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.photo.add {
  display: grid;
  place-items: center;
  border-style: dashed;
  color: var(--ink2);
  font-size: 14px;
}
.large {
  max-width: 100%;
  max-height: 64vh;
}
.log {
  margin-top: 8px;
}
.log li {
  display: grid;
  grid-template-columns: 108px 1fr auto;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.past {
  color: var(--ink2);
}
@media (max-width: 899px) {
  .kept {
    padding: 12px;
  }
}
</style>
