<script setup lang="ts">
/** Every key of the app; each has a visible control too. */
const open = useState('keys-open', () => false)
const KEYS = [
  ['1 2 3 4 7 9', 'Find, Line, Joint, Cut, Make, Hand over'],
  ['/', 'ask: one line, its answer below'],
  ['J K', 'next, previous row'],
  ['Enter', 'open or take'],
  ['Space', 'tick the step, or the cut'],
  ['N', 'new'],
  ['C', 'the checks; on Cut, plan again'],
  ['P', 'the print along the pipe; on Line and Cut, print'],
  ['S', 'the conditions'],
  ['W', 'working; on Cut, a wrong cut'],
  ['Q', 'parts counted out and back'],
  ['O', 'one step at a time, or all; arrows turn'],
  ['H', 'heat along the tube, on a soldered joint'],
  ['I', 'photo of the pipe'],
  ['Y', 'it is water'],
  ['X', 'compare the two likeliest'],
  ['V', 'the van: tools, fittings, policies'],
  ['Z', 'sizes of pipe'],
  ['L', 'the legs of a line'],
  ['U', 'undo; with Shift redo'],
  ['R', 'the strip from its other end'],
  ['G', 'the other school of marks'],
  ['+ - F', 'larger, smaller, fit the drawing'],
  ['\\', 'light or cellar'],
  ['?', 'this list'],
  ['Esc', 'close'],
] as const
</script>

<template>
  <UModal v-model:open="open" :transition="false" title="Keys" description="Off while a field has focus.">
    <template #body>
      <dl class="grid grid-cols-[110px_1fr] gap-y-2">
        <template v-for="[key, what] in KEYS" :key="key"
          ><dt>
            <kbd v-for="one in key.split(' ')" :key="one" class="mr-1">{{ one }}</kbd>
          </dt>
          <dd>{{ what }}</dd></template
        >
      </dl>
    </template>
  </UModal>
</template>
