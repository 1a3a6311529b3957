<script setup lang="ts">
import { STATION_IDS, STATIONS, type Station } from '#core/record'

/** The stations as one pipe still to be run: each opens a loose sheet there. */
const emit = defineEmits<{ at: [station: Station] }>()
const WORK: Readonly<Record<Station, string>> = {
  find: 'what is this pipe',
  line: 'legs, bends, lengths',
  joint: 'what joins it',
  cut: 'least waste',
  fix: 'clips and movement',
  make: 'marks, steps, waits',
  handover: 'who made which',
}
</script>

<template>
  <nav class="way" aria-label="The work, left to right">
    <p class="zone-heading">The work, left to right. Start anywhere.</p>
    <span class="pipe" aria-hidden="true" />
    <ol>
      <li v-for="station in STATION_IDS" :key="station">
        <button type="button" class="station" :data-first-station="station" @click="emit('at', station)">
          <span class="collar" /><b class="t17">{{ STATIONS[station].name }}</b
          ><span class="note t14">{{ WORK[station] }}</span>
        </button>
      </li>
    </ol>
    <p class="note t13 foot">
      <span>Local code, the fitting's own paper and a licensed person come first.</span
      ><span>Runs here without a signal.</span>
    </p>
  </nav>
</template>

<style scoped>
.way {
  position: relative;
  border-top: 1px solid var(--rule);
  padding: 14px 0 10px;
}
.zone-heading,
.foot {
  padding: 0 18px;
}
.foot {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  margin-top: 10px;
}
ol {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  margin-top: 12px;
}
.pipe {
  position: absolute;
  left: 0;
  right: 0;
  top: 53px;
  height: 17px;
  border: 1.5px dashed var(--rule);
  border-width: 1.5px 0;
}
.station {
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  gap: 2px;
}
.station:hover b {
  text-decoration: underline;
}
.collar {
  width: 20px;
  height: 25px;
  margin: 4px 0 8px;
  background: var(--paper);
  border: 1.5px solid var(--rule);
  z-index: 1;
}
@media (max-width: 899px) {
  .pipe {
    display: none;
  }
  ol {
    grid-template-columns: 1fr 1fr;
    gap: 10px 12px;
    padding: 0 12px;
  }
  .station {
    align-items: flex-start;
    text-align: left;
    min-height: 52px;
    border-bottom: 1px solid var(--hair);
  }
  .collar {
    display: none;
  }
  .foot {
    flex-direction: column;
    gap: 2px;
  }
}
</style>
