<script setup lang="ts">
import type { Working } from '~/composables/useWorking'
import { lineValue } from '~/reading/format'

/** Working of any figure: the sum line by line, where each input comes from, and the range where makers differ. */
const { open, working, close } = useWorking()
const narrow = useNarrow()

const SIGNS: Record<string, string> = { '+': '+', '-': '\u2212', x: '\u00d7', '/': '\u00f7', '=': '=' }
const region = useRegion()
const value = (line: Working['lines'][number]) => lineValue(line, region.value)
</script>

<template>
  <FrameSheet
    :open="open"
    :side="narrow ? 'bottom' : 'right'"
    :title="working?.title ?? 'Working'"
    :description="working?.source ? `Source: ${working.source}` : 'How the figure came about'"
    @update:open="
      (value) => {
        if (!value) close()
      }
    ">
    <template #body>
      <div v-if="working" class="space-y-4" tabindex="0">
        <table v-if="working.lines.length" class="w-full">
          <tbody>
            <tr v-for="(line, i) in working.lines" :key="i" :class="{ total: line.op === '=' }">
              <td class="w-6 note">{{ line.op === '+' && i === 0 ? '' : SIGNS[line.op] }}</td>
              <td>
                {{ line.text }}
                <div v-if="line.source" class="t13 note">{{ line.source }}</div>
              </td>
              <td class="text-right whitespace-nowrap w7 t17">{{ value(line) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-for="text in working.notes" :key="text">{{ text }}</p>
        <SourceNotes :of="[working.source, ...working.lines.map(({ source }) => source)]" />
      </div>
    </template>
  </FrameSheet>
</template>

<style scoped>
td {
  padding: 5px 0;
  vertical-align: baseline;
}
.total td {
  border-top: 1px solid var(--ink);
  padding-top: 7px;
  font-weight: 700;
}
</style>
