<script setup lang="ts">
import { pulledAt } from '#core/line'
import { statusOf, type BentPiece, type JointRecord } from '#core/record'
import { STATUS_WORDS } from '~/wording/en'
import { endsLabel } from '~/wording/way'
import { bringIntoSight } from '~/reading/in-sight'

/** The job's joints in one line; the one on the table is underlined. */
const props = defineProps<{
  slug: string
  joints: readonly JointRecord[]
  current: string | undefined
  canAdd?: boolean
  bent?: readonly BentPiece[]
  bend?: string
}>()
const standing = (one: BentPiece) => {
  const left = one.card.steps.filter((_, step) => pulledAt(one, step) === undefined).length
  if (left === 0) return 'made'
  return left < one.card.steps.length ? 'dry-fitted' : 'planned'
}
/** The one on the table is brought into sight along the row. */
const row = useTemplateRef<HTMLElement>('row')
watch(
  [() => props.current, () => props.bend],
  () => bringIntoSight(() => row.value?.querySelector('[aria-current="true"]')),
  { immediate: true },
)
const emit = defineEmits<{ add: [] }>()
const router = useRouter()
/** A joint is gone to within the page; with a key held, the browser opens it as it would. */
function follow(event: MouseEvent) {
  const href = (event.target as Element).closest('a[data-joint]')?.getAttribute('href')
  if (!href || event.defaultPrevented || event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return
  event.preventDefault()
  void router.push(href)
}
</script>

<template>
  <nav ref="row" class="tabs" aria-label="Joints of this job" @click="follow">
    <!-- A hundred of them: drawn again only where their own joint has changed, and no link of the router each. -->
    <a
      v-for="joint in joints"
      :key="joint.id"
      v-memo="[joint, joint.id === current]"
      :href="`?joint=${joint.id}`"
      class="choice"
      :aria-current="joint.id === current ? 'true' : undefined"
      :data-joint="joint.number"
      :title="endsLabel(joint)"
      ><StatusShape :status="statusOf(joint)" :size="14" :label="STATUS_WORDS[statusOf(joint)]" class="inline" /> J{{
        joint.number
      }}
      <span v-if="joint.id === current" class="only-wide font-normal">{{ joint.place }}</span></a
    >
    <NuxtLink
      v-for="one in bent ?? []"
      :key="one.key"
      :to="{ query: { bend: one.key } }"
      class="choice"
      :aria-current="one.key === bend ? 'true' : undefined"
      :data-bend="one.key"
      ><StatusShape :status="standing(one)" :size="14" :label="STATUS_WORDS[standing(one)]" class="inline" /> bends L{{
        one.line.number
      }}
      {{ one.piece.id }}</NuxtLink
    >
    <button v-if="canAdd" type="button" class="choice" data-test="new-joint" @click="emit('add')">
      + another joint <kbd>N</kbd>
    </button>
    <NuxtLink v-if="canAdd" :to="`/jobs/${slug}/look`" class="choice ml-auto" data-test="look"
      >look at one that is there</NuxtLink
    >
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 20px;
  padding: 4px 18px;
  border-bottom: 1px solid var(--hair);
  overflow-x: auto;
  white-space: nowrap;
  align-items: center;
  min-height: 36px;
}
@media (max-width: 899px) {
  .tabs {
    padding: 0 12px;
    gap: 16px;
  }
}
</style>
