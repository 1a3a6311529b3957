<script setup lang="ts">
import { orderFor, uncutPieces, type JobRecord, type OrderRow, type OrderScope } from '#core/record'

/** One order for the counter: the whole job, or one joint or line of it, less what the van holds. */
const props = defineProps<{ job: JobRecord }>()
const route = useRoute()
const store = useJobStore()

const idIn = (name: 'joint' | 'line') => (typeof route.query[name] === 'string' ? route.query[name] : undefined)
const scope = computed<OrderScope>(() => ({ joint: idIn('joint'), line: idIn('line') }))
const rows = computed(() => orderFor([props.job], scope.value))
const open = computed(() => props.job.joints.filter(({ way }) => way !== null))
const pdf = computed(() => {
  const named = Object.entries({ job: props.job.slug, ...scope.value }).filter(([, value]) => value !== undefined)
  return `/api/order.pdf?${new URLSearchParams(named as [string, string][]).toString()}`
})
function hold({ name, size }: OrderRow, quantity: number) {
  const others = props.job.van.filter((one) => one.name !== name || one.size !== size)
  const van = quantity > 0 ? [...others, { name, size, quantity }] : others
  store.do(props.job.slug, 'kit/change', props.job.id, { van })
}
const uncut = computed(() => uncutPieces(props.job, scope.value))
const waiting = computed(() => props.job.joints.filter(({ way }) => way === null).length)
</script>

<template>
  <div class="bench">
    <div class="scope" role="group" aria-label="What is ordered for">
      <NuxtLink class="choice" :aria-current="!scope.joint && !scope.line" :to="{ query: {} }" data-scope="job" replace
        >the whole job</NuxtLink
      ><NuxtLink
        v-for="line in job.lines"
        :key="line.id"
        class="choice"
        :aria-current="scope.line === line.id"
        :to="{ query: { line: line.id } }"
        replace
        >{{ line.name || `line ${line.number}` }}</NuxtLink
      ><NuxtLink
        v-for="joint in open"
        :key="joint.id"
        class="choice"
        :aria-current="scope.joint === joint.id"
        :to="{ query: { joint: joint.id } }"
        replace
        >J{{ joint.number }}</NuxtLink
      ><NuxtLink class="choice day" to="/order" data-scope="day">a day's jobs together</NuxtLink>
    </div>
    <h1 class="t26 w7">For the counter</h1>
    <p v-if="waiting && !scope.joint && !scope.line" class="ochre t15 flex gap-2 items-center" data-test="no-way-yet">
      <StatusShape status="held" :size="14" />
      {{ waiting === 1 ? '1 joint has no way yet' : `${waiting} joints have no way yet` }}: not in this list.
    </p>
    <p v-if="uncut" class="ochre t15 flex gap-2 items-center" data-test="uncut">
      <StatusShape status="held" :size="14" />
      {{ uncut === 1 ? '1 piece has no cut yet' : `${uncut} pieces have no cut yet` }}: a fitting is to be measured on
      Line. Its pipe is not in this list.
    </p>
    <p v-if="rows.length === 0" class="t17" data-test="nothing-to-order">
      Nothing to order: no joint has a way that is still to be made, and no line has legs.
    </p>
    <template v-else
      ><p class="note t14">The last column is what the van holds: typed once, and less is asked for.</p>
      <OrderTable :rows="rows" :region="job.region" can-count @hold="hold" />
      <OrderVerbs :rows="rows" :region="job.region" :pdf="pdf" class="mt-4"
    /></template>
    <p class="note t13 mt-4">
      Whole lengths are typical for the country. Tees are run x run x branch. What comes with its fitting, such as the
      nut and ring of a compression body, is not listed.
    </p>
  </div>
</template>

<style scoped>
.bench {
  padding: 10px 24px 40px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.scope {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 6px;
}
.day {
  margin-left: auto;
}
@media (max-width: 899px) {
  .bench {
    padding: 8px 12px 96px;
  }
  .scope .choice {
    min-height: 44px;
  }
}
</style>
