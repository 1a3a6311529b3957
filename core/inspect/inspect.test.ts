import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { getPipe, ringPosition } from '#core/catalogue'
import { inspectJoint, looksFor, type InspectAnswer, type InspectQuestion, type Seen } from '#core/inspect'
import { METHODS } from '#core/joints'

const look = (question: Partial<InspectQuestion> & Pick<InspectQuestion, 'method'>): InspectAnswer => {
  const result = inspectJoint({ region: 'gb', seen: {}, ...question })
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const finding = (question: Parameters<typeof look>[0], code: string) =>
  look(question).findings.find((one) => one.code === code)

// One row a rule: method, pipe, what is seen, which finding, its verdict, and why the rule is there.
const RULES: [InspectQuestion['method'], string | undefined, Seen, string, 'sound' | 'care' | 'wrong', string][] = [
  ['push-fit', 'bs7291-15', { mark: 'away' }, 'mark', 'wrong', 'it never went home'],
  ['push-fit', 'bs7291-15', { mark: 'none' }, 'mark', 'care', 'nobody can see that it did'],
  ['push-fit', 'bs7291-15', { mark: 'at-edge' }, 'mark', 'sound', 'the mark tells'],
  ['push-fit', 'bs7291-15', { liner: 'missing' }, 'liner', 'wrong', 'soft pipe gives way under the grip'],
  ['push-fit', 'cu-bs-imp-3_4', {}, 'size', 'wrong', 'the seal is made for another diameter'],
  ['push-fit', 'cu-en-x-15', { inLine: false }, 'inLine', 'wrong', 'side load on the grip ring'],
  ['press', 'cu-en-x-22', { pressed: false }, 'pressed', 'wrong', 'an unpressed one may hold for months'],
  ['crimp', 'pex-cts-1_2', { ringDistance: 2 }, 'ringDistance', 'wrong', 'F1807: 1/8 to 1/4 in'],
  ['crimp', 'pex-cts-1_2', { ringDistance: 3.175 }, 'ringDistance', 'sound', 'F1807: 1/8 to 1/4 in'],
  ['crimp', 'pex-cts-1_2', { gauge: 'fails' }, 'gauge', 'wrong', 'a ring is never squeezed twice'],
  ['compression', 'cu-en-x-15', { olive: 'pinched' }, 'olive', 'wrong', 'over-tightened'],
  ['compression', 'cu-en-x-15', { leak: 'weeps' }, 'leak', 'wrong', 'it can be nipped once'],
  ['compression', 'cu-en-x-15', { reach: 'hidden' }, 'reach', 'wrong', 'its nuts stay in reach'],
  ['solder', 'cu-en-x-15', { reach: 'hidden' }, 'reach', 'care', 'it may be hidden, and is noted'],
  ['solder', 'cu-en-x-15', { solderRing: 'gap' }, 'solderRing', 'wrong', 'not filled there'],
  ['solder', 'cu-en-x-15', { flux: 'green' }, 'flux', 'care', 'it eats the copper'],
  ['thread', 'st-en-1_2', { metals: 'bare' }, 'metals', 'wrong', 'the zinc goes'],
  ['thread', 'st-en-1_2', { threads: 6 }, 'threads', 'care', 'not made up'],
  ['thread', 'st-en-1_2', { threads: 2 }, 'threads', 'sound', 'one to three are left'],
  ['ml-press', 'ml-en-20', { system: 'mixed' }, 'system', 'wrong', 'nobody lists them together'],
  ['push-fit', 'pex-cts-1_2', { daylight: true }, 'daylight', 'wrong', 'sunlight ages PEX'],
  ['push-fit', 'pex-cts-1_2', { support: 200 }, 'support', 'care', 'plastic is clipped nearer'],
  ['push-fit', 'cu-en-x-22', { pull: 'turns' }, 'pull', 'sound', 'a grip ring lets the pipe turn'],
  ['press', 'cu-en-x-22', { pull: 'turns' }, 'pull', 'care', 'nothing else does'],
  ['push-fit', 'cu-en-x-22', { pull: 'slides' }, 'pull', 'wrong', 'what slides is not held'],
  ['crimp', 'pex-cts-1_2', { pull: 'slides' }, 'pull', 'wrong', 'what slides is not held'],
  ['solder', 'cu-en-x-22', { pull: 'firm' }, 'pull', 'sound', 'it is held'],
  ['thread', 'st-en-1_2', { plastic: 'outside' }, 'plastic', 'wrong', 'metal wedges plastic open'],
  ['thread', 'st-en-1_2', { plastic: 'inside' }, 'plastic', 'sound', 'metal holds plastic round'],
  ['compression', 'cu-en-x-15', { cover: 'closed' }, 'cover', 'wrong', 'its nuts stay in reach'],
  ['compression', 'cu-en-x-15', { cover: 'opens' }, 'cover', 'sound', 'a panel opens'],
  ['solder', 'cu-en-x-15', { cover: 'closed' }, 'cover', 'care', 'it may be hidden, and is noted'],
  ['solder', 'cu-en-x-22', { support: 200 }, 'support', 'sound', 'metal carries further'],
]

describe('inspectJoint', () => {
  it.each(RULES)('%s on %s, seen %j: %s is %s, since %s', (method, pipe, seen, code, verdict) => {
    expect(finding({ method, ...(pipe ? { pipe } : {}), seen }, code)).toMatchObject({ verdict })
  })

  it('lets a closed heating circuit have zinc on copper', () =>
    expect(
      finding({ method: 'thread', pipe: 'st-en-1_2', service: 'heating', seen: { metals: 'bare' } }, 'metals'),
    ).toMatchObject({ verdict: 'care' }))

  it('goes by the worst, says what to do of all that is not sound, and asks for what was not looked at', () => {
    const answer = look({ method: 'crimp', pipe: 'pex-cts-1_2', seen: { leak: 'dry', gauge: 'fails', mark: 'none' } })
    expect(answer.verdict).toBe('wrong')
    expect(answer.findings.map(({ verdict }) => verdict)).toEqual(['wrong', 'care', 'sound'])
    for (const { verdict, remedy } of answer.findings) expect(remedy !== undefined).toBe(verdict !== 'sound')
    expect(answer.unseen.map(({ code }) => code)).toEqual(expect.arrayContaining(['ringDistance', 'support']))
    expect(answer.unseen.map(({ code }) => code)).not.toContain('gauge')
  })

  it('one band of the ring holds for every size and both kinds, so it is judged without the pipe', () => {
    for (const method of ['crimp', 'clamp'] as const)
      for (const size of ['3/8', '1/2', '5/8', '3/4', '1'])
        expect(ringPosition(method, getPipe(`pex-cts-${size.replace('/', '_')}`))).toMatchObject({
          lo: 3.175,
          hi: 6.35,
        })
    for (const [ringDistance, verdict] of [
      [3.1, 'wrong'],
      [3.1749, 'wrong'],
      [3.175, 'sound'],
      [25.4 / 8, 'sound'],
      [25.4 / 4, 'sound'],
      [6.3501, 'wrong'],
      [6.4, 'wrong'],
    ] as const)
      expect(finding({ region: 'us', method: 'clamp', seen: { ringDistance } }, 'ringDistance')!.verdict).toBe(verdict)
  })
  it('calls nothing sound that was not looked at, and leaves out what such a joint has not', () => {
    expect(look({ method: 'solder' })).toMatchObject({ verdict: 'care', findings: [] })
    expect(look({ method: 'solder', seen: { liner: 'missing', gauge: 'fails' } }).findings).toEqual([])
    expect(looksFor('solder', undefined)).not.toContain('ringDistance')
  })

  it('never gets better by one more fault', () => {
    const worse = { sound: 0, care: 1, wrong: 2 }
    const seen = fc.record(
      {
        leak: fc.constantFrom('dry' as const, 'stain' as const, 'weeps' as const),
        mark: fc.constantFrom('at-edge' as const, 'away' as const),
        inLine: fc.boolean(),
        support: fc.double({ min: 0, max: 2000, noNaN: true }),
      },
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(fc.constantFrom(...METHODS), seen, (method, given) => {
        const { leak: _, ...without } = given
        const rest = look({ method, seen: without })
        if (rest.findings.length > 0)
          expect(worse[look({ method, seen: given }).verdict]).toBeGreaterThanOrEqual(worse[rest.verdict])
      }),
      { seed: 20261126 },
    )
  })

  it('names a pipe that is not in the catalogue', () =>
    expect(inspectJoint({ region: 'gb', method: 'press', pipe: 'x', seen: {} })).toMatchObject({
      ok: false,
      error: { code: 'unknown-id', path: 'pipe' },
    }))
})

describe('a valve or a closed end', () => {
  const look = (part: 'cap' | 'valve' | undefined, seen: Seen) => {
    const answer = inspectJoint({ region: 'gb', method: 'press', pipe: 'cu-en-x-22', ...(part ? { part } : {}), seen })
    if (!answer.ok) throw new Error(answer.error.message)
    return answer.value
  }
  it.each([
    ['turns', 'free', 'sound'],
    ['turns', 'stiff', 'care'],
    ['turns', 'stuck', 'wrong'],
    ['turns', 'lets-by', 'wrong'],
    ['arrow', 'with', 'sound'],
    ['arrow', 'none', 'sound'],
    ['arrow', 'against', 'wrong'],
    ['gland', 'dry', 'sound'],
    ['gland', 'weeps', 'care'],
  ] as const)('a valve: %s %s is %s', (name, value, verdict) => {
    const { findings } = look('valve', { [name]: value })
    expect(findings.find(({ code }) => code === name)).toMatchObject({ verdict })
  })
  it.each([
    ['stays', 'sound'],
    ['booked', 'sound'],
    ['not-booked', 'care'],
  ] as const)('an end that is closed, %s: %s', (closed, verdict) => {
    expect(look('cap', { closed }).findings.find(({ code }) => code === 'closed')).toMatchObject({ verdict })
  })
  it('is asked of such a part only, and what is said of another is left out', () => {
    const asked = (part: 'cap' | 'valve' | undefined) => look(part, {}).unseen.map(({ code }) => code)
    for (const name of ['turns', 'arrow', 'gland'] as const) {
      expect(asked('valve')).toContain(name)
      expect(asked('cap')).not.toContain(name)
      expect(asked(undefined)).not.toContain(name)
    }
    expect(asked('cap')).toContain('closed')
    expect(asked('valve')).not.toContain('closed')
    expect(look(undefined, { turns: 'stuck' }).findings.some(({ code }) => code === 'turns')).toBe(false)
  })
})
