<script setup lang="ts">
import { getPipe, ringGaugeSource } from '#core/catalogue'
import type { UnitSystem } from '#core/units'
import { formatReading, unitOf } from '~/reading/format'

/** The go and no-go of a finished ring on a tube, mm. */
const props = defineProps<{ gauge: { go: number; noGo: number }; pipe: string | null; system: UnitSystem }>()
const source = computed(() => (props.pipe ? ringGaugeSource(getPipe(props.pipe)) : undefined))
</script>

<template>
  <div>
    <div class="flex gap-4 items-center">
      <svg width="96" height="46" viewBox="0 0 96 46" aria-hidden="true">
        <path
          d="M2 2H26V14H18V32H26V44H2ZM94 2H70V12H80V34H70V44H94Z"
          fill="var(--paper2)"
          stroke="var(--ink)"
          stroke-width="1.5" />
        <circle cx="48" cy="23" r="14" class="l-edge" />
        <circle cx="48" cy="23" r="10" class="l-thin" />
      </svg>
      <p class="t15">
        <b>Gauge, finished ring.</b> Go {{ formatReading(gauge.go, system) }} {{ unitOf(system) }} slips over all round.
        No-go {{ formatReading(gauge.noGo, system) }} {{ unitOf(system) }} stops.
      </p>
    </div>
    <p v-if="source?.startsWith('typical')" class="note t13">{{ source }}</p>
    <SourceNotes :of="[source]" />
  </div>
</template>
