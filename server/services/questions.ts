import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import source from '#question-thread'
import { issue } from '#core/base'
import { Problem } from '../http/problem'
import type { Asked, Said, Worked } from '../workers/questions'

/** One core is left to the thread that answers everybody. */
const MOST_THREADS = Math.max(1, availableParallelism() - 1)
/** Calls of one caller that may wait; each is given a second. */
const MOST_OF_A_CALLER = 64
const MOST_WAITING = 256
/** A thread that says nothing so long is at a question that does not end, ms. */
const SILENT_MS = 20_000

interface Pending {
  caller: string
  resolve: (worked: Worked) => void
  reject: (problem: Problem) => void
}

const busy = () =>
  new Problem(503, issue('too-many', '', 'Too many calls wait already. Ask again shortly, with fewer at once.'))
const stopped = () =>
  new Problem(503, issue('impossible', '', 'The questions took too long to work. Ask fewer at once.'))

/** One thread and what it is asked. Ends by itself when a question does not. */
class Thread {
  readonly pending = new Map<number, Pending>()
  isGone = false
  private readonly worker = new Worker(source, { eval: true })
  private heard = Date.now()
  private readonly watch = setInterval(() => {
    if (this.pending.size > 0 && Date.now() - this.heard > SILENT_MS) void this.worker.terminate()
  }, 1000)

  constructor() {
    this.watch.unref()
    this.worker.unref()
    this.worker.on('message', (said: Said) => {
      this.heard = Date.now()
      if (said === 'alive') return
      const { id, worked } = said
      this.pending.get(id)?.resolve(worked)
      this.pending.delete(id)
    })
    this.worker.on('error', (error) => console.error('a thread of questions failed:', error.name))
    this.worker.once('exit', () => {
      this.isGone = true
      clearInterval(this.watch)
      for (const { reject } of this.pending.values()) reject(stopped())
    })
  }

  ask(asked: Asked): Promise<Worked> {
    if (this.pending.size === 0) this.heard = Date.now()
    return new Promise((resolve, reject) => {
      this.pending.set(asked.id, { caller: asked.caller, resolve, reject })
      this.worker.postMessage(asked)
    })
  }

  countOf = (caller: string): number => [...this.pending.values()].filter((one) => one.caller === caller).length
}

let threads: Thread[] = []
let lastId = 0

/** The thread a caller holds, or else the one with least to do. */
function threadFor(caller: string): Thread {
  threads = threads.filter(({ isGone }) => !isGone)
  const held = threads.find((thread) => thread.countOf(caller) > 0)
  if (held) return held
  const idle = threads.find(({ pending }) => pending.size === 0)
  if (idle) return idle
  if (threads.length < MOST_THREADS) {
    const fresh = new Thread()
    threads.push(fresh)
    return fresh
  }
  return threads.reduce((least, one) => (one.pending.size < least.pending.size ? one : least))
}

/**
 * A call of a verb worked in a thread: see `Call` for what comes back. One caller's calls are all in one thread, one
 * after another. Problem 503 where too many wait, or a question does not end.
 */
export async function workQuestions(caller: string, verb: string, text: string): Promise<Worked> {
  const thread = threadFor(caller)
  const waiting = threads.reduce((sum, { pending }) => sum + pending.size, 0)
  if (waiting >= MOST_WAITING || thread.countOf(caller) >= MOST_OF_A_CALLER) throw busy()
  return thread.ask({ id: ++lastId, caller, verb, text })
}
