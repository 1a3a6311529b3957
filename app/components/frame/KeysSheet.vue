<script setup lang="ts">
import { keyLabel } from '~/wording/keys'

/** Every key that does something on this screen; each has a visible control too. */
const open = useState('keys-open', () => false)
const rows = useBoundKeys()
</script>

<template>
  <FrameModal v-model:open="open" title="Keys of this screen" description="Off while a field has focus.">
    <template #body>
      <dl class="grid grid-cols-[110px_1fr] gap-y-2">
        <template v-for="{ key, what } in rows" :key="key"
          ><dt>
            <kbd>{{ keyLabel(key) }}</kbd>
          </dt>
          <dd>{{ what }}</dd></template
        >
      </dl>
    </template>
  </FrameModal>
</template>
