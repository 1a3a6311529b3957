<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { orderBends, type Piece } from '#core/line'
import { formatDecimal, formatLength, type UnitSystem } from '#core/units'
import { bendsOf, turnWords } from '~/wording/line'

/** Bends of a piece by both schools, and the order they are pulled in. */
const props = defineProps<{
  piece: Piece
  school: 'hook' | 'corner'
  system: UnitSystem
  hasBender: boolean
  slug: string
}>()
const { say } = useSpeech()
const emit = defineEmits<{ flipSchool: [] }>()
const bends = computed(() => bendsOf(props.piece))
const pulls = computed(() => orderBends(props.piece, getPipe(props.piece.pipe).od))
</script>

<template>
  <h3 class="zone-heading mt-3">
    Bends, from the left end
    <button type="button" class="right underline" data-test="flip-school" @click="emit('flipSchool')">
      other school <kbd>G</kbd>
    </button>
  </h3>
  <table class="sum bends">
    <thead>
      <tr>
        <th />
        <th :class="{ used: school === 'hook' }">hook edge</th>
        <th :class="{ used: school === 'corner' }">corner</th>
        <th>angle</th>
        <th class="l">seen along it</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(bend, i) in bends" :key="i">
        <td class="w7">{{ i + 1 }}</td>
        <td class="v" :class="{ copper: school === 'hook' }"><TapeFigure :mm="bend.hook" :system="system" /></td>
        <td class="v" :class="{ copper: school === 'corner' }">
          <TapeFigure :mm="bend.corner" :system="system" />
        </td>
        <td class="v">
          {{ formatDecimal(bend.angle, 1) }}°<span v-if="bend.pull" class="note t13">
            pull {{ formatDecimal(bend.pull, 1) }}°</span
          >
        </td>
        <td class="l t14">
          <span class="turn"
            ><TurnDial :turn="bend.turn" :is-first="i === 0" />{{ say(turnWords(bend, i === 0)) }}</span
          >
        </td>
      </tr>
    </tbody>
  </table>
  <p class="t14 mt-1">
    <b>Hook edge</b> on its mark, set back from the corner. <b v-if="school === 'hook'" class="copper">In use.</b> Or
    the <b>corner</b> sighted across the former with an offcut. <b v-if="school === 'corner'" class="copper">In use.</b>
  </p>
  <ol class="pulls t14" data-test="pulls">
    <li v-for="pull in pulls" :key="pull.bend">
      Bend <b>{{ pull.bend }}</b>: {{ pull.holds }} end in the hook, its edge at
      <b><TapeFigure :mm="pull.hook" :system="system" /></b
      ><template v-if="pull.straight < pull.needs"
        >; only {{ formatLength(pull.straight, system) }} to hold: leave that end long, trim after</template
      >.
    </li>
  </ol>
  <p v-if="!hasBender" class="t14 mt-1 ochre">
    <NuxtLink :to="`/jobs/${slug}/kit`" class="underline">Calibrate your bender with one test bend</NuxtLink>: until
    then hook edge and start of the bend are one.
  </p>
</template>

<style scoped src="./sum-table.css"></style>

<style scoped>
.bends td {
  vertical-align: middle;
  padding-top: 0;
  padding-bottom: 0;
}
.bends th {
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
  text-align: right;
  padding-right: 10px;
}
.bends th.used {
  color: var(--ink);
  font-weight: 700;
  text-decoration: 2px underline var(--copper);
  text-underline-offset: 4px;
}
.bends .l {
  text-align: left;
  padding-left: 4px;
}
.pulls {
  list-style: decimal;
  padding-left: 20px;
  margin-top: 6px;
}
.turn {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  line-height: 1.1;
}
</style>
