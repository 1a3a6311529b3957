// One start at a time on one data folder, and what a killed one left behind.
import { closeSync, mkdirSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs'
import path from 'node:path'
import { dataFolder, lives, writeWhole } from './db.mjs'
import { aboutPlace, Halt } from './halt.mjs'

const file = path.join(dataFolder, 'run.json')
const START = 'scripts/start.mjs'
const APP = '.output/server/index.mjs'

const read = () => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

/** The start that runs on this data folder now, if any: its process and address. */
export function runningStart() {
  const kept = read()
  return kept && kept.pid !== process.pid && lives(kept.pid, START) ? kept : null
}

/** Halts where something else is at work on the data. */
export function refuseWhileRunning(why) {
  const other = runningStart()
  if (other)
    throw new Halt(`Jolvet runs at ${other.address} (process ${other.pid}). Stop it with Ctrl-C there, then ${why}.`)
}

const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** A server whose start was killed still holds its port: it is stopped, in order if it can be. */
async function stopLeftOver(pid) {
  if (!pid || !lives(pid, APP)) return
  console.log(`A server was left over from a start that was killed (process ${pid}); it is stopped.`)
  process.kill(pid, 'SIGTERM')
  for (let i = 0; i < 50 && lives(pid, APP); i++) await sleep(100)
  if (lives(pid, APP)) process.kill(pid, 'SIGKILL')
  for (let i = 0; i < 50 && lives(pid, APP); i++) await sleep(100)
}

/** Takes the data folder for this start. Halts in words where another start has it. */
export async function takeLock(address) {
  try {
    mkdirSync(dataFolder, { recursive: true, mode: 0o700 })
    for (let tries = 0; ; tries++) {
      try {
        const fd = openSync(file, 'wx', 0o600)
        writeSync(fd, JSON.stringify({ pid: process.pid, address }))
        closeSync(fd)
        return
      } catch (error) {
        if (error.code !== 'EEXIST' || tries > 3) throw error
        const other = runningStart()
        if (other)
          throw new Halt(
            `Jolvet runs already, at ${other.address} (process ${other.pid}). Open that, or stop it with Ctrl-C there. For a second one, set JOLVET_DATA to a folder of its own.`,
          )
        await stopLeftOver(read()?.app)
        rmSync(file, { force: true })
      }
    }
  } catch (error) {
    throw aboutPlace(error, dataFolder)
  }
}

/** Notes the server's process, so that the next start finds it if this one is killed. */
export const noteApp = (address, app) => writeWhole(file, JSON.stringify({ pid: process.pid, address, app }))

export function releaseLock() {
  if (read()?.pid === process.pid) rmSync(file, { force: true })
}
