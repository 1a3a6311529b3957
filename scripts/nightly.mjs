// A backup each night, while Jolvet runs.
/** The hour of the night, by this machine's clock. */
const HOUR = 2
const HOUR_MS = 3_600_000
/** How long after a start, and how often, it is looked whether one is due, ms. */
const FIRST_MS = Number(process.env.JOLVET_NIGHTLY_AFTER_S ?? 300) * 1000
const EVERY_MS = 10 * 60_000

/** Whether a backup is due: the last is of before the night that was, or there is none. Times in ms. */
export function isDue(now, last) {
  if (last === null) return true
  const night = new Date(now)
  night.setHours(HOUR, 0, 0, 0)
  if (night.getTime() > now) night.setDate(night.getDate() - 1)
  return last < night.getTime()
}

/** An age as it is said, of ms. */
export function ageInWords(ms) {
  const hours = Math.floor(ms / HOUR_MS)
  if (hours < 1) return 'less than an hour ago'
  if (hours < 48) return `${hours} h ago`
  return `${Math.floor(hours / 24)} days ago`
}

/** Looks now and then, and backs up when it is due. `last` gives when the last one was made, ms, or null. */
export function backUpByNight({ last, backUp, say }) {
  let isAtWork = false
  const look = async () => {
    if (isAtWork || !isDue(Date.now(), last())) return
    isAtWork = true
    try {
      say(`nightly backup: ${await backUp()}`)
    } catch (error) {
      say(`the nightly backup failed, and is tried again: ${error.message.split('\n')[0]}`)
    }
    isAtWork = false
  }
  setTimeout(() => {
    void look()
    setInterval(() => void look(), EVERY_MS).unref()
  }, FIRST_MS).unref()
}
