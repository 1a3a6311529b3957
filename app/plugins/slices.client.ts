import { nextTask } from '~/reading/next-task'

/**
 * The app begins in tasks of its own, so that a tap is answered between them: its script is read, then each file of the
 * page, then its plugins run, then its store opens, then its first page is drawn.
 */
export default defineNuxtPlugin({
  name: 'slices',
  // Before the router's, which asks for the page: that is -20.
  order: -30,
  async setup(nuxt) {
    nuxt.hook('app:beforeMount', async () => {
      await nextTask()
      useJobStore()
      await nextTask()
    })
    await nextTask()
    // Named by the server, those first that others build on (server/services/first-frame.ts).
    for (const { href } of document.querySelectorAll<HTMLLinkElement>('link[data-of-page]')) {
      // One that cannot be had is asked for again by the page itself, which says so.
      await import(/* @vite-ignore */ href).catch(() => undefined)
      await nextTask()
    }
  },
})
