import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '#core/contract'
import { Call, WORKED_MS } from './call'
import { Turns } from './turns'

const LINE = { text: '22 copper to 15 copper hot wood', region: 'gb' }
/** A clock that each question takes so many ms of. */
const clock = (step: number) => {
  let at = 0
  return () => (at += step)
}
/** Works a call to its end. */
function whole(call: Call, sliceMs = 40) {
  for (let slices = 1; ; slices++) {
    const reply = call.work(sliceMs)
    if (reply) return { ...reply, slices, answers: JSON.parse(reply.body) as unknown }
  }
}
const tooMany = (answers: unknown): number =>
  (answers as { error?: { code: string } }[]).filter(({ error }) => error?.code === 'too-many').length

describe('a call', () => {
  it('says what core says, whatever slices it is worked in', () => {
    const questions = [LINE, { text: '' }, 7, null, { ...LINE, region: 'us' }]
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.array(fc.constantFrom(...questions), { maxLength: 8 }),
        (slice, all) => {
          const whatCoreSays = answer('ask', all)
          expect(whole(new Call('ask', JSON.stringify(all), clock(0.1)), slice).answers).toEqual(
            whatCoreSays.ok && whatCoreSays.value,
          )
        },
      ),
      { numRuns: 30 },
    )
  })

  it('has a second: each question past it has its own error in its place', () => {
    const { status, answers, slices } = whole(new Call('ask', JSON.stringify(Array(1000).fill(LINE)), clock(10)))
    expect(status).toBe(200)
    expect(answers).toHaveLength(1000)
    const worked = 1000 - tooMany(answers)
    expect(worked).toBeGreaterThan(10)
    expect(worked * 10).toBeLessThanOrEqual(WORKED_MS)
    expect(slices).toBeGreaterThan(5)
    expect((answers as { error?: unknown }[])[0]).not.toHaveProperty('error')
    expect((answers as { error?: { message: string } }[]).at(-1)!.error!.message).toMatch(/1 s is given to one call/)
  })

  it('of one question, of what is no JSON and of too many is answered at once', () => {
    expect(whole(new Call('ask', JSON.stringify(LINE)))).toMatchObject({ status: 200, slices: 1 })
    expect(whole(new Call('ask', '{'))).toMatchObject({ status: 400, answers: { error: { code: 'json' } } })
    expect(whole(new Call('ask', '{}'))).toMatchObject({ status: 422, answers: { error: { code: 'missing' } } })
    expect(whole(new Call('ask', JSON.stringify(Array(1001).fill(0))))).toMatchObject({
      status: 422,
      answers: { error: { code: 'too-many' } },
    })
    expect(whole(new Call('ask', '[]'))).toMatchObject({ status: 200, answers: [] })
  })
})

describe('callers', () => {
  it('have turns: who asks one thing does not wait for who asks thousands', () => {
    const turns = new Turns()
    const ends: string[] = []
    for (let i = 0; i < 5; i++)
      turns.add('many', new Call('ask', JSON.stringify(Array(1000).fill(LINE)), clock(10)), () => ends.push('many'))
    turns.add('one', new Call('ask', JSON.stringify(LINE)), () => ends.push('one'))
    while (turns.next());
    expect(ends).toEqual(['one', ...Array<string>(5).fill('many')])
    expect(turns.next()).toBe(false)
  })
})
