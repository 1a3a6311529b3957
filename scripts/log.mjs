// What Jolvet says, also to a file that turns over: .data/logs/jolvet.log and up to five before it.
import path from 'node:path'
import { dataFolder } from './db.mjs'

export const logFolder = path.join(dataFolder, 'logs')
let stream

/** Opens the log; needs the packages. A disk that takes nothing more takes no log either: that is said elsewhere. */
export async function openLog() {
  const { createStream } = await import('rotating-file-stream')
  stream = createStream('jolvet.log', { path: logFolder, size: '5M', maxFiles: 5, mode: 0o600 })
  stream.on('error', () => undefined)
}

/** A line with its time, to the log only. */
export function note(text) {
  stream?.write(`${new Date().toISOString()} ${text}\n`)
}

/** What a program says, line by line: to the log, and to `echo` as it came. */
export function follow(output, echo) {
  let rest = ''
  output.on('data', (chunk) => {
    echo?.write(chunk)
    const lines = (rest + chunk).split('\n')
    rest = lines.pop()
    lines.filter(Boolean).forEach(note)
  })
}

/** Ends the log once all is written; a disk that takes nothing is not waited for. */
export const closeLog = () =>
  new Promise((resolve) => {
    if (!stream) return resolve()
    setTimeout(resolve, 1000).unref()
    stream.end(resolve)
  })
