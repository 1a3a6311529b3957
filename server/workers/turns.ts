import type { Call, Reply } from './call'

/** How long one caller is worked for before the next has a turn, ms. */
const SLICE_MS = 40

interface Waiting {
  call: Call
  done: (reply: Reply) => void
}

/** Calls of several callers worked in turn: each caller's own one after another, one slice a turn. */
export class Turns {
  private readonly callers = new Map<string, Waiting[]>()

  add(caller: string, call: Call, done: (reply: Reply) => void) {
    const own = this.callers.get(caller)
    if (own) own.push({ call, done })
    else this.callers.set(caller, [{ call, done }])
  }

  /** Works one slice of the caller whose turn it is. False where nobody waits. */
  next(): boolean {
    const turn = this.callers.entries().next().value
    if (!turn) return false
    const [caller, own] = turn
    // To the end of the row: a Map keeps the order in which keys came.
    this.callers.delete(caller)
    const { call, done } = own[0]!
    const reply = call.work(SLICE_MS)
    if (reply) own.shift()
    if (own.length > 0) this.callers.set(caller, own)
    if (reply) done(reply)
    return true
  }
}
