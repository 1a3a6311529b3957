/** A mark for end-to-end tests: from here on the page answers to events. */
export default defineNuxtPlugin((nuxt) => {
  nuxt.hooks.hookOnce('app:suspense:resolve', () => {
    document.documentElement.dataset.ready = 'true'
  })
})
