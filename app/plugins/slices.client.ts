import { nextTask } from '~/reading/next-task'

/** The app begins in tasks of its own: its script is read, its plugins run, its first page is drawn; a tap goes between. */
export default defineNuxtPlugin({
  name: 'slices',
  enforce: 'pre',
  async setup(nuxt) {
    nuxt.hook('app:beforeMount', nextTask)
    await nextTask()
  },
})
