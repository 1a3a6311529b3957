<script setup lang="ts">
import type { JobRecord, PriceRecord } from '#core/record'
import { CURRENCY } from '~/wording/en'
import { csvLink } from '~/reading/csv'
import { priceRows, readPriceList } from '~/reading/price-list'

/** The supplier's prices: out as a list to be filled, in again; a part without one is a guess. */
const props = defineProps<{ job: JobRecord }>()
const emit = defineEmits<{ change: [prices: PriceRecord[]] }>()
const file = ref<HTMLInputElement>()
const said = ref<{ text: string; isWrong: boolean } | null>(null)
const rows = computed(() => priceRows(props.job))
const missing = computed(() => rows.value.length - props.job.prices.length)
const link = computed(() => csvLink(rows.value, ['name', 'size', 'price']))

/** Prices brought in: a part named again gets its new price, the others stay. */
async function bringIn() {
  const chosen = file.value?.files?.[0]
  if (!chosen) return
  const list = readPriceList(await chosen.text())
  file.value!.value = ''
  if (!list.ok) {
    said.value = { text: `${list.error.message} Nothing was changed.`, isWrong: true }
    return
  }
  const { prices, empty } = list.value
  const isNew = (old: PriceRecord) => !prices.some(({ name, size }) => name === old.name && size === old.size)
  emit('change', [...props.job.prices.filter(isNew), ...prices])
  const left = empty ? `, ${empty} row${empty === 1 ? '' : 's'} without a price left out` : ''
  said.value = { text: `${prices.length} price${prices.length === 1 ? '' : 's'} taken in${left}.`, isWrong: false }
}
</script>

<template>
  <section aria-label="My prices" data-test="my-prices">
    <h2 class="zone-heading">My prices</h2>
    <p class="note t14 mt-1">
      {{ job.prices.length ? `${job.prices.length} held` : 'None held: what parts cost is a guess of ours'
      }}{{ missing ? `; ${missing} part${missing === 1 ? '' : 's'} of this job have none` : '' }}.
    </p>
    <ul v-if="job.prices.length" class="t15 list">
      <li v-for="one in job.prices" :key="one.name + one.size" data-test="price-row">
        <span>{{ one.name }} {{ one.size }}</span
        ><b>{{ CURRENCY[job.region] }}{{ one.price.toFixed(2) }}</b>
      </li>
    </ul>
    <p class="t15 flex gap-4 flex-wrap mt-1">
      <a :href="link" download="prices.csv" class="underline min-h-9 inline-flex items-center" data-test="prices-out"
        >List to fill (CSV)</a
      ><button type="button" class="underline min-h-9" @click="file?.click()">Bring a list in</button
      ><button v-if="job.prices.length" type="button" class="underline note min-h-9" @click="emit('change', [])">
        Forget them
      </button>
      <input
        ref="file"
        type="file"
        accept=".csv,text/csv"
        class="visually-hidden"
        tabindex="-1"
        aria-label="Price list, CSV"
        data-test="prices-in"
        @change="bringIn" />
    </p>
    <p v-if="said" class="t14" :class="said.isWrong ? 'brick' : 'note'" role="status" data-test="prices-said">
      {{ said.text }}
    </p>
  </section>
</template>

<style scoped>
.list {
  max-height: 220px;
  overflow-y: auto;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  border-bottom: 1px solid var(--hair);
  min-height: 36px;
  align-items: center;
}
</style>
