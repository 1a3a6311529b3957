// The thread that works the questions of core's verbs, beside the one that answers everybody else.
import { parentPort } from 'node:worker_threads'
import { Call } from './call'
import { Turns } from './turns'

/** What is asked of the thread. */
export interface Asked {
  id: number
  caller: string
  verb: string
  text: string
}
/** A reply as it goes out: the status, and the JSON as bytes, which are handed over and not copied. */
export interface Worked {
  status: number
  body: Uint8Array
}
/** What it says: after each slice that it lives, and each reply once it is there. */
export type Said = { id: number; worked: Worked } | 'alive'

const turns = new Turns()
const say = (said: Said, handedOver: ArrayBuffer[] = []) => parentPort!.postMessage(said, handedOver)
let isWorking = false

function work() {
  isWorking = turns.next()
  if (!isWorking) return
  say('alive')
  // What has come meanwhile is taken in between.
  setImmediate(work)
}

parentPort!.on('message', ({ id, caller, verb, text }: Asked) => {
  turns.add(caller, new Call(verb, text), (reply) => {
    const body = new TextEncoder().encode(reply.body)
    say({ id, worked: { status: reply.status, body } }, [body.buffer])
  })
  if (!isWorking) {
    isWorking = true
    setImmediate(work)
  }
})
