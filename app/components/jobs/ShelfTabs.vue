<script setup lang="ts">
import { SHELVES, type Shelf } from '#core/record'
import { SHELF_WORDS } from '~/wording/jobs'

/** The shelves with how many lie on each, and the order of the rows. */
const emit = defineEmits<{ open: [shelf: Shelf]; mine: [] }>()
const list = useListStore()
</script>

<template>
  <div class="shelves" role="group" aria-label="Shelf">
    <button
      v-for="(shelf, i) in SHELVES"
      :key="shelf"
      type="button"
      class="tab t17"
      :aria-pressed="list.query.q.trim() === '' && list.query.shelf === shelf"
      :data-shelf="shelf"
      @click="emit('open', shelf)">
      {{ SHELF_WORDS[shelf] }} <span class="note">{{ list.totals.counts[shelf] }}</span>
      <kbd class="only-wide">{{ i + 1 }}</kbd>
    </button>
    <span class="orders only-wide">
      <NuxtLink to="/order" class="tab t15" data-test="day-order">order for the day</NuxtLink>
      <button
        type="button"
        class="tab t15"
        :aria-pressed="list.query.order === 'newest'"
        @click="list.ask({ order: 'newest' })">
        newest work first
      </button>
      <button
        type="button"
        class="tab t15"
        :aria-pressed="list.query.order === 'name'"
        data-test="by-name"
        @click="list.ask({ order: 'name' })">
        by name
      </button>
      <button type="button" class="tab t15" :aria-pressed="list.query.isMine" data-test="mine" @click="emit('mine')">
        mine <kbd>M</kbd>
      </button>
    </span>
  </div>
</template>

<style scoped>
.shelves {
  display: flex;
  align-items: center;
  gap: 24px;
  height: 44px;
  padding: 0 18px;
  border-bottom: 1px solid var(--rule);
}
.tab {
  min-height: 44px;
  flex: none;
  display: inline-flex;
  align-items: center;
  gap: 6px;
  box-shadow: none;
}
.tab[aria-pressed='true'] {
  font-weight: 700;
  box-shadow: inset 0 -2px var(--copper);
}
.orders {
  margin-left: auto;
  display: flex;
  gap: 20px;
}
@media (max-width: 899px) {
  .shelves {
    padding: 0 12px;
    gap: 18px;
    overflow-x: auto;
  }
}
</style>
