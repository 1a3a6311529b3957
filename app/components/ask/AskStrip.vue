<script setup lang="ts">
import { onClickOutside } from '@vueuse/core'
import type { JobRecord } from '#core/record'
import { unitSystemOf } from '#core/units'

/** Ask: one line of trade shorthand at the top of every screen. What answers it is brought when it is first opened. */
const props = defineProps<{ job?: JobRecord }>()
const usual = useUsualRegion()
const region = computed(() => props.job?.region ?? usual.value)
const text = ref('')
const isOpen = ref(false)
const root = useTemplateRef<HTMLElement>('root')
const field = useTemplateRef<HTMLInputElement>('field')
const panel = useTemplateRef<{ goOn: () => boolean; take: () => Promise<void> }>('panel')
onClickOutside(root, () => {
  isOpen.value = false
})

async function open() {
  isOpen.value = true
  await nextTick()
  field.value?.focus()
}
function close() {
  isOpen.value = false
  field.value?.blur()
}
/** Focus gone elsewhere by Tab shuts the panel, which lies over the screen. */
function onLeave({ relatedTarget }: FocusEvent) {
  if (relatedTarget instanceof Node && !root.value?.contains(relatedTarget)) isOpen.value = false
}
useKeys({ '/': open })
function onTab(event: KeyboardEvent) {
  if (!event.shiftKey && panel.value?.goOn()) event.preventDefault()
}
</script>

<template>
  <div ref="root" class="ask" :class="{ open: isOpen }" @focusout="onLeave">
    <button type="button" class="only-narrow key" aria-label="Ask" @click="open"><kbd class="slash">/</kbd></button>
    <div class="line">
      <kbd class="only-wide">/</kbd>
      <input
        ref="field"
        v-model="text"
        aria-label="Ask"
        :placeholder="unitSystemOf(region) === 'inch' ? '3/4 copper to 1/2 pex' : '22 copper to 15 copper'"
        maxlength="200"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        role="combobox"
        :aria-expanded="isOpen"
        aria-controls="ask-panel"
        data-test="ask"
        @click="isOpen = true"
        @input="isOpen = true"
        @keydown.tab="onTab"
        @keydown.enter.prevent="panel?.take()"
        @keydown.esc.stop="close" />
      <button type="button" class="only-narrow key" aria-label="Close" @click="close">close</button>
    </div>
    <LazyAskPanel v-if="isOpen" id="ask-panel" ref="panel" v-model="text" :job="job" @typed="open" @taken="close" />
  </div>
</template>

<style scoped>
.ask {
  position: relative;
  flex: 0 0 300px;
}
.line {
  display: flex;
  align-items: center;
  gap: 8px;
  border-bottom: 2px solid var(--ink);
  height: 34px;
}
input {
  flex: 1;
  min-width: 0;
  background: transparent;
  border: 0;
  font: inherit;
  color: var(--ink);
}
.key {
  min-width: 44px;
  min-height: 44px;
}
@media (max-width: 1100px) {
  .ask {
    flex-basis: 200px;
  }
}
@media (max-width: 899px) {
  .ask {
    flex: 0 0 auto;
  }
  .line {
    display: none;
  }
  .slash {
    display: inline-block;
  }
  .ask.open .line {
    display: flex;
    position: fixed;
    top: 0;
    left: 0;
    right: 0;
    height: 48px;
    padding: 0 12px;
    background: var(--paper);
    z-index: 31;
  }
}
</style>
