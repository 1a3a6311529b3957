<script setup lang="ts">
import { readPrint } from '#core/identify'

/** The print along the pipe, typed as it is found: each piece that is understood stands with what it means. */
const props = defineProps<{ text: string; bits: number; most: number; isBest: boolean; isBarred: boolean }>()
const emit = defineEmits<{ change: [text: string | undefined]; bar: [isBarred: boolean] }>()
const reading = computed(() => readPrint(props.text))
</script>

<template>
  <TypedCheck
    name="print"
    label="Print along it"
    field-label="Print along the pipe"
    :text="text"
    :answer="text ? `${reading.tokens.length} read` : null"
    hint="P"
    :bits="bits"
    :most="most"
    :is-best="isBest"
    :longest="300"
    placeholder="EN 10?7 R250 22 x 0,9"
    capitals
    :is-barred="isBarred"
    @change="(typed) => emit('change', typed)"
    @bar="(isSo) => emit('bar', isSo)">
    <p id="print-note" class="note t13">
      {{ text ? '' : 'As it is found, in any order. ? for a letter that is worn away.' }}
    </p>
    <ul v-if="reading.tokens.length" class="t14" data-test="print-tokens">
      <li v-for="token in reading.tokens" :key="token.at">
        <b>{{ token.text.trim() }}</b><span>{{ token.meaning }}</span>
      </li>
    </ul>
    <p v-if="text && reading.unread.length" class="note t14">Not understood: {{ reading.unread.join(', ') }}</p>
  </TypedCheck>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(70px, auto) 1fr;
  gap: 10px;
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
