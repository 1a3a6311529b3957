/** So long without a tap the page counts as at rest, ms. */
const AT_REST_MS = 15_000

/**
 * Keeps the shell for visits without a server: from the first tap on, or once the page is at rest, so that what is kept
 * for later never comes before what is asked for now.
 */
export default defineNuxtPlugin((nuxt) => {
  if (!('serviceWorker' in navigator) || import.meta.dev) return
  const events = ['pointerdown', 'keydown'] as const
  let timer: ReturnType<typeof setTimeout> | undefined
  const register = () => {
    clearTimeout(timer)
    for (const event of events) removeEventListener(event, register)
    void navigator.serviceWorker.register('/sw.js', { scope: '/' }).catch(() => undefined)
  }
  nuxt.hooks.hookOnce('app:suspense:resolve', () => {
    // One that is there already looks for a newer one at once.
    if (navigator.serviceWorker.controller) return register()
    timer = setTimeout(register, AT_REST_MS)
    for (const event of events) addEventListener(event, register, { once: true })
  })
})
