<script setup lang="ts">
import { agoWords } from '~/wording/times'

/** How old the server's last backup is; nothing where it does not answer. */
const { get } = useApi()
const last = ref<{ at: string | null }>()
onMounted(async () => {
  const reply = await get<{ at: string | null }>('/api/backup')
  if (reply.ok) last.value = reply.value
})
</script>

<template>
  <p v-if="last" class="note t14" data-test="backup-age">
    {{
      last.at === null
        ? 'The server has no backup yet.'
        : `The server's last backup: ${agoWords(Date.now() - Date.parse(last.at))}.`
    }}
  </p>
</template>
