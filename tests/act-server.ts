import { actOf, overtaken, restOn, type AnyRecord, type Fields, type SentAct } from '#core/acts'
import type { Issue } from '#core/base'
import { isMade, SIGNED, type JointRecord } from '#core/record'
import type { Answer, Reply } from '../app/outbox/surroundings'
import { aSignoff } from './records'

const AWAY: Issue = { code: 'impossible', path: '', message: 'the server does not answer.' }

/**
 * A server of records as ours is, for tests of a tablet: what an act rests on is checked, a key worked once, an act behind
 * one that came back not tried; answers can get lost. It knows changes, beginnings and sign-offs; all else is only noted.
 */
export class ActServer {
  records = new Map<string, AnyRecord>()
  receipts = new Set<string>()
  /** Every act that was taken, in order, and every call as it came. */
  worked: SentAct[] = []
  calls: (readonly SentAct[])[] = []
  refuse: ((act: SentAct) => Issue | undefined) | undefined
  /** What happens to the next calls: lost on the way there, or on the way back. */
  faults: ('there' | 'back')[] = []

  constructor(...records: AnyRecord[]) {
    for (const record of records) this.records.set(record.id, record)
  }

  send = async (acts: readonly SentAct[]): Promise<Reply<readonly Answer[]>> => {
    const fault = this.faults.shift()
    if (fault === 'there') return { ok: false, error: AWAY, away: true }
    this.calls.push(acts)
    const value = this.take(acts)
    return fault === 'back' ? { ok: false, error: AWAY, away: true } : { ok: true, value }
  }

  take(acts: readonly SentAct[]): Answer[] {
    const held = new Set<string>()
    return acts.map((act): Answer => {
      if (held.has(act.record)) return { key: act.key, state: 'held' }
      const answer = this.answer(act)
      if (answer.state !== 'taken') held.add(act.record)
      return answer
    })
  }

  private taken(act: SentAct): Answer {
    return {
      key: act.key,
      state: 'taken',
      seq: this.worked.length,
      acts: this.worked.length,
      record: this.records.get(act.record) ?? null,
    }
  }

  private answer(act: SentAct): Answer {
    const { key } = act
    if (this.receipts.has(key)) return this.taken(act)
    const refusal = this.refuse?.(act)
    if (refusal) return { key, state: 'refused', issue: refusal }
    const def = actOf(act.name)
    const saved = this.records.get(act.record)
    let body = act.body as Fields
    if (saved && def.on !== 'jobs') {
      const rest = restOn(def, act, body, saved)
      if (rest.state === 'met') return { key, state: 'met', issue: rest.issue, saved, clashes: rest.clashes }
      if (rest.state === 'refused') return { key, state: 'refused', issue: rest.issue }
      body = rest.body
      if ('signoffs' in saved && isMade(saved) && !body.corrects)
        return { key, state: 'met', issue: SIGNED, saved, clashes: overtaken(def, act, body, saved, SIGNED)! }
    }
    this.receipts.add(key)
    this.worked.push(act)
    this.work(act, saved, body)
    return this.taken(act)
  }

  private work({ name, record: id }: SentAct, saved: AnyRecord | undefined, body: Fields): void {
    const put = (record: object) => this.records.set(id, record as AnyRecord)
    const { does, rests, sees } = actOf(name)
    if (does === 'begins') put({ ...body, id, version: 1 })
    else if (name === 'joint/sign')
      put({ ...saved, signoffs: [...(saved as JointRecord).signoffs, aSignoff({ ...body, id: 'signed' })] })
    else if (rests === 'fields' && sees.length === 0 && saved && Object.keys(body).length > 0)
      put({ ...saved, ...body, version: saved.version + 1 })
  }
}
