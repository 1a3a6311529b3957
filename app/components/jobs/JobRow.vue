<script setup lang="ts">
import type { ListedJob } from '#core/acts'
import { isNow } from '~/stores/list'
import { tapeWords } from '~/reading/format'
import { gapLink } from '~/reading/gap-link'
import { progressWords, SHELF_WORDS, workedWords } from '~/wording/jobs'
import { unitSystemOf } from '#core/units'

/** A job in the list: name and place, its run with the next figure in its own gap, the same in words, and whose hands. */
const props = defineProps<{ job: ListedJob; now: number; isSelected: boolean; withShelf: boolean }>()
const system = computed(() => unitSystemOf(props.job.region))
const next = computed(() => props.job.next)
const isHere = computed(() => isNow(props.job, props.now))
</script>

<template>
  <NuxtLink :to="gapLink(job)" class="job" :class="{ 'row-selected': isSelected }" :data-job="job.slug">
    <span class="who">
      <b class="t17 name">{{ job.name }}</b>
      <span class="note t14 place">{{ job.place || 'no place noted' }}</span>
    </span>
    <JobRun :job="job" class="run">
      <StatusShape v-if="next.held" status="held" :size="20" />
      <span v-if="next.mm !== undefined" class="figure copper"><TapeFigure :mm="next.mm" :system="system" /></span>
      <span v-else-if="next.known !== undefined" class="figure known">{{ next.known }}</span>
      <span v-if="next.mm !== undefined && system === 'inch'" class="t14">in</span>
    </JobRun>
    <span class="next">
      <span class="t17"
        ><b>{{ next.words }}</b
        ><template v-if="next.mm !== undefined">{{ ' ' }}{{ tapeWords(next.mm, system) }}</template></span
      >
      <span class="note t14 below">{{ job.waitsFor ? `waits for ${job.waitsFor}` : next.below }}</span>
    </span>
    <span class="hands">
      <span class="t15 hand" :class="{ w7: isHere }"
        ><StatusShape v-if="isHere" status="dry-fitted" :size="14" /><span
          >{{ job.by || 'nobody named' }}<span v-if="isHere" class="only-wide">, now</span></span
        ></span
      >
      <span class="note t14 when"
        >{{ workedWords(job.at, now, job.region)
        }}<span class="only-wide">, {{ withShelf ? SHELF_WORDS[job.shelf] : progressWords(job) }}</span></span
      >
    </span>
  </NuxtLink>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: minmax(150px, 256px) minmax(240px, 530px) minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 18px;
  height: 56px;
  padding: 0 18px;
  border-bottom: 1px solid var(--hair);
}
.job:hover {
  background: var(--paper2);
}
.who,
.next,
.hands {
  display: flex;
  flex-direction: column;
  gap: 1px;
  min-width: 0;
}
.who > *,
.next > *,
.when {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.hands {
  align-items: flex-end;
  white-space: nowrap;
}
.hand {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.figure {
  font-size: 22px;
  font-weight: 700;
  line-height: 1;
  letter-spacing: -0.01em;
}
.row-selected .figure {
  font-size: 40px;
  letter-spacing: -0.03em;
}
.row-selected .figure.known {
  font-size: 24px;
}
.row-selected .figure :deep(.fraction) {
  font-size: 0.5em;
}
@media (max-width: 899px) {
  .job {
    grid-template: 'name hand' 22px 'place when' 18px 'run run' 44px 'next next' 18px / 1fr auto;
    gap: 0 10px;
    height: 104px;
    padding: 2px 12px 0;
    align-items: center;
  }
  .job.row-selected {
    height: 112px;
  }
  .who,
  .hands {
    display: contents;
  }
  .name {
    grid-area: name;
  }
  .place {
    grid-area: place;
  }
  .hand {
    grid-area: hand;
    justify-self: end;
  }
  .when {
    grid-area: when;
    justify-self: end;
  }
  .run {
    grid-area: run;
    margin: 0 -12px;
  }
  .next {
    grid-area: next;
    flex-direction: row;
    gap: 6px;
    white-space: nowrap;
  }
  .next .t17 {
    font-size: 14px;
    flex: none;
    max-width: 100%;
  }
  .row-selected .figure {
    font-size: 34px;
  }
}
</style>
