// The thread that works the questions of core's verbs, beside the one that answers everybody else.
import { parentPort } from 'node:worker_threads'
import { Call, type Reply } from './call'
import { Turns } from './turns'

/** What is asked of the thread. */
export interface Asked {
  id: number
  caller: string
  verb: string
  text: string
}
/** What it says: after each slice that it lives, and each reply once it is there. */
export type Said = { id: number; reply: Reply } | 'alive'

const turns = new Turns()
const say = (said: Said) => parentPort!.postMessage(said)
let isWorking = false

function work() {
  isWorking = turns.next()
  if (!isWorking) return
  say('alive')
  // What has come meanwhile is taken in between.
  setImmediate(work)
}

parentPort!.on('message', ({ id, caller, verb, text }: Asked) => {
  turns.add(caller, new Call(verb, text), (reply) => say({ id, reply }))
  if (!isWorking) {
    isWorking = true
    setImmediate(work)
  }
})
