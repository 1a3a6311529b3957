import { describe, expect, it } from 'vitest'
import { HAZARDS, PIPES, type EndFacts } from '#core/catalogue'
import { inspectJoint, type InspectAnswer, type InspectQuestion } from '#core/inspect'
import { METHODS } from '#core/joints'
import { speak } from '#core/speech'

const look = (question: Partial<InspectQuestion> & Pick<InspectQuestion, 'method'>): InspectAnswer => {
  const answer = inspectJoint({ region: 'gb', seen: {}, ...question })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const finding = (question: Parameters<typeof look>[0], code: string) =>
  look(question).findings.find((one) => one.code === code)

describe('lead and failed polybutylene are left alone', () => {
  const LEFT = PIPES.filter((pipe) => pipe.family === 'lead' || pipe.series === 'pb-cts')
  it('by every method, whatever is seen of the joint: nothing says to cut, loosen or tighten it', () => {
    for (const { id, family } of LEFT) {
      const code = family === 'lead' ? 'lead' : 'polybutylene'
      for (const method of METHODS) {
        const answer = look({
          method,
          pipe: id,
          seen: { leak: 'weeps', olive: 'pinched', mark: 'away', pressed: false, threads: 9, reach: 'hidden' },
        })
        expect([id, method, answer.verdict, answer.cautions.map((one) => one.code)]).toEqual([
          id,
          method,
          'wrong',
          [code],
        ])
        for (const { verdict, remedy } of answer.findings)
          if (verdict !== 'sound') expect(remedy).toBe(speak(HAZARDS[code].remedy, 'gb'))
      }
    }
  })
})

describe('pipe that may be gas', () => {
  it('is never called sound, and no remedy loosens it', () => {
    const answer = look({
      method: 'compression',
      pipe: 'cu-en-x-15',
      temper: 'hard',
      traced: 'unknown',
      seen: { leak: 'weeps', olive: 'even' },
    })
    expect(answer.cautions.map(({ code }) => code)).toEqual(['gas'])
    expect(answer.findings.find(({ code }) => code === 'leak')!.remedy).toBe(HAZARDS.gas.remedy)
    expect(
      look({ method: 'compression', pipe: 'cu-en-x-15', temper: 'hard', traced: 'unknown', seen: { leak: 'dry' } })
        .verdict,
    ).toBe('care')
    expect(
      look({ method: 'compression', pipe: 'cu-en-x-15', temper: 'hard', traced: 'water', seen: { leak: 'dry' } }),
    ).toMatchObject({ verdict: 'sound', cautions: [] })
  })
})

describe('what the rules say of a joint that is there', () => {
  it.each<[string, Parameters<typeof look>[0], string]>([
    ['push-fit on soft copper', { method: 'push-fit', pipe: 'cu-en-x-15', temper: 'soft' }, 'temper'],
    ['expansion on PEX b', { method: 'expansion', pipe: 'pex-cts-3_4', pexType: 'b' }, 'pex-type'],
    ['a ring its print does not list', { method: 'crimp', pipe: 'pex-cts-3_4', listing: ['F1960'] }, 'pex-type'],
    ['carbon steel on fresh water', { method: 'press', pipe: 'cs-en-22' }, 'service'],
    ['PVC on hot', { method: 'solvent-cement', pipe: 'pvc-40-3_4', service: 'hot' }, 'service'],
    [
      'soft solder below ground in the US',
      { method: 'solder', pipe: 'cu-l-1_2', region: 'us', service: 'buried' },
      'service',
    ],
    ['an olive below ground', { method: 'compression', pipe: 'cu-en-x-15', service: 'buried' }, 'service'],
    ['thin wall where it is refused', { method: 'press', pipe: 'cu-m-3_4', region: 'us' }, 'drinking'],
    ['no barrier on heating', { method: 'push-fit', pipe: 'bs7291-15', service: 'heating', barrier: false }, 'service'],
    ['push-fit hidden against the policy', { method: 'push-fit', pipe: 'cu-en-x-15', hidden: true }, 'hidden'],
    ['a union hidden', { method: 'union', hidden: true }, 'hidden'],
    ['a thread on thin tube', { method: 'thread', pipe: 'cu-en-x-22' }, 'family'],
    ['a seal on a scored end', { method: 'press', pipe: 'cu-en-x-22', surface: 'scored' }, 'surface'],
  ])("%s is wrong, under the refusal's code", (_, question, code) => {
    expect(finding(question, code)).toMatchObject({ verdict: 'wrong', remedy: expect.any(String) })
    expect(look(question).verdict).toBe('wrong')
  })
  it('what may be hidden for a time, or by the policy, is not condemned', () => {
    expect(
      finding({ method: 'compression', pipe: 'cu-en-x-15', hidden: true, temporary: true }, 'hidden'),
    ).toBeUndefined()
    expect(
      finding({ method: 'push-fit', pipe: 'cu-en-x-15', hidden: true, policy: { pushFitHidden: 'allowed' } }, 'hidden'),
    ).toBeUndefined()
    expect(
      finding({ method: 'pe-compression', pipe: 'pe-en-25', service: 'buried', seen: { reach: 'hidden' } }, 'reach'),
    ).toMatchObject({ verdict: 'care' })
    expect(finding({ method: 'union', seen: { reach: 'hidden' } }, 'reach')).toMatchObject({ verdict: 'wrong' })
  })
  it('how it was made is past: a wet pipe, a flame and a missing tool are not asked', () =>
    expect(look({ method: 'solder', pipe: 'cu-en-x-15', temper: 'hard', seen: { leak: 'dry' } }).verdict).toBe('sound'))
})

describe('what nobody said of it', () => {
  it.each<[string, Parameters<typeof look>[0], EndFacts, string, string]>([
    [
      'temper of pushed copper',
      { method: 'push-fit', pipe: 'cu-en-x-15' },
      { temper: 'hard' },
      'temper',
      'unknown-temper',
    ],
    [
      'letter of expanded PEX',
      { method: 'expansion', pipe: 'pex-cts-3_4' },
      { pexType: 'a' },
      'pex-type',
      'unknown-pex-type',
    ],
    [
      'barrier on heating',
      { method: 'push-fit', pipe: 'bs7291-15', service: 'heating' },
      { barrier: true },
      'service',
      'unknown-barrier',
    ],
    [
      'chlorine in a loop',
      { method: 'crimp', pipe: 'pex-cts-3_4', service: 'recirculation' },
      { chlorine: 5 },
      'service',
      'unknown-chlorine',
    ],
  ])('%s counts as unknown: care, never as hard or b; said, it is sound', (_, question, known, code, caution) => {
    const seen = { leak: 'dry' } as const
    expect(finding({ ...question, seen }, code)).toMatchObject({ verdict: 'care' })
    expect(look({ ...question, seen })).toMatchObject({ verdict: 'care', cautions: [{ code: caution }] })
    expect(look({ ...question, ...known, seen })).toMatchObject({ verdict: 'sound', cautions: [] })
  })
})
