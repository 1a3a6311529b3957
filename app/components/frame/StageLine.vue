<script setup lang="ts">
import type { StationView } from '~/composables/useStations'

/** The way through the work; replaces tabs. Any station opens by its cell or its digit. */
const props = defineProps<{ stations: readonly StationView[] }>()
const router = useRouter()
useKeys(
  Object.fromEntries(
    props.stations.map((station) => [
      String(station.key),
      () => {
        void router.push(station.to)
      },
    ]),
  ),
  { words: Object.fromEntries(props.stations.map(({ key, name }) => [String(key), name])) },
)
</script>

<template>
  <nav class="stage" aria-label="Stations">
    <StagePipe :stations="stations">
      <template #default="{ station }">
        <span class="here"
          ><span class="only-wide">{{ station.name }}</span
          ><span class="only-narrow">{{ station.key }}</span></span
        >
      </template>
    </StagePipe>
    <ol>
      <li v-for="station in stations" :key="station.id">
        <NuxtLink
          :to="station.to"
          :aria-current="station.state === 'here' ? 'step' : undefined"
          :data-station="station.id">
          <span class="label"
            ><span v-if="station.state !== 'here'" class="note">{{ station.key }}</span
            ><b v-if="station.state !== 'here'">{{ station.name }}</b
            ><span v-else class="visually-hidden">{{ station.name }}</span
            ><span :class="station.state === 'here' ? 'w6' : 'note'">{{ station.count }}</span></span
          >
          <span class="only-narrow">{{ station.name }}</span>
        </NuxtLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.stage {
  position: relative;
  height: 56px;
  border-bottom: 1px solid var(--rule);
  overflow: hidden;
}
.stage :deep(.pipe) {
  position: absolute;
  top: 6px;
}
.here {
  font-size: 20px;
  font-weight: 700;
  color: var(--copper);
  letter-spacing: -0.01em;
  white-space: nowrap;
}
ol {
  position: absolute;
  inset: 0;
  display: flex;
}
li {
  flex: 1;
  min-width: 0;
}
a {
  height: 100%;
  display: flex;
  align-items: flex-end;
  justify-content: center;
  padding-bottom: 4px;
  font-size: 13px;
  white-space: nowrap;
}
a:hover {
  text-decoration: underline;
}
.label {
  display: flex;
  gap: 5px;
}
a:focus-visible {
  outline-offset: -3px;
}
@media (max-width: 899px) {
  .stage {
    height: 58px;
  }
  /* A name of two words stands in two lines, so that every one is read whole on the narrowest phone. */
  .only-narrow {
    line-height: 1;
    min-height: 26px;
    text-align: center;
    white-space: normal;
  }
  .stage :deep(.pipe) {
    top: 2px;
  }
  a {
    padding-bottom: 1px;
    font-size: 12.5px;
  }
  .label {
    display: none;
  }
}
</style>
