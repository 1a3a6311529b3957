import { bringSummariesUpToDate } from '../records/summaries'

/** How long after a failure it is tried again, ms. */
const AGAIN_MS = 5000

/** Jobs of an earlier version get their row in the list; the server answers meanwhile. */
export default defineNitroPlugin(() => {
  const run = () => {
    bringSummariesUpToDate().catch((error: unknown) => {
      console.error('the list of jobs is not up to date yet:', error instanceof Error ? error.name : 'unknown')
      setTimeout(run, AGAIN_MS).unref()
    })
  }
  if (process.env.DATABASE_URL) run()
})
