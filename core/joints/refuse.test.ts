import { describe, expect, it } from 'vitest'
import { PIPES, type SocketMethod } from '#core/catalogue'
import { fillSituation, JOINT_METHODS, METHODS, refuse, toTube, type Conditions, type Policy } from '#core/joints'
import { ANSWERED_BY, refusalsOn } from './refuse'
import { REFUSAL_CODES, type Offer } from './types'

const on = (
  method: SocketMethod,
  pipe: string,
  conditions: Partial<Conditions> = {},
  policy: Partial<Policy> = {},
  region: 'us' | 'gb' | 'eu' = 'gb',
  temper: 'hard' | 'soft' = 'hard',
) => refuse(method, toTube({ pipe, pexType: 'a', temper }), fillSituation({ region, conditions, policy }))?.code ?? null

const tube = (pipe: string): Offer => ({ kind: 'tube', tube: toTube({ pipe }), on: 'a' })

// One row a rule: what is asked, the code it ends with, and why the rule is there.
const RULES: [SocketMethod, string, Partial<Conditions>, string | null, string][] = [
  ['solder', 'pex-cts-1_2', {}, 'family', 'plastic melts'],
  ['solder', 'cu-bs-imp-1', {}, 'size', '28.24 does not enter a 28 cup'],
  ['solder', 'cu-en-x-22', { wet: true }, 'wet', 'water boils off and keeps the joint cold'],
  ['solder', 'cu-en-x-22', { noFlame: true }, 'flame', 'no hot work here'],
  ['solder', 'cu-en-x-22', { hidden: true }, null, 'a soldered joint may be hidden'],
  ['solder', 'cu-en-x-22', { mustUndo: true }, 'undo', 'it comes apart only by flame'],
  ['solder', 'cu-en-x-22', { play: 15 }, 'play', 'the cup is 15.4 deep'],
  ['solder', 'cu-en-x-22', { play: 15.4 }, null, 'the cup is 15.4 deep'],
  ['solder', 'cu-en-x-22', { temperature: 120 }, 'rating', 'the table ends at 110'],
  ['solder', 'cu-en-x-42', { pressure: 17, temperature: 60 }, 'rating', '35 to 54 mm take 16 bar at 65'],
  ['press', 'cu-en-x-22', { wet: true }, null, 'a little water does not matter'],
  ['press', 'cu-en-x-8', {}, 'size', 'no press fitting is made that small'],
  ['press', 'cu-bs-imp-1_2', {}, 'size', 'seal and grip are made for 15.00'],
  ['press', 'cu-en-x-22', { room: 'tight' }, 'room', 'the jaw does not get round'],
  ['press', 'cu-en-x-22', { hidden: true }, null, 'a pressed joint may be hidden'],
  ['push-fit', 'cu-en-x-22', { room: 'tight' }, null, 'fingers are enough'],
  ['push-fit', 'cu-en-x-22', { mustUndo: true }, null, 'the collar lets go'],
  ['push-fit', 'cu-en-x-22', { hidden: true }, 'hidden', 'the job keeps it in reach'],
  ['push-fit', 'cu-en-x-35', {}, 'size', 'made up to 28'],
  ['push-fit', 'ml-en-20', {}, 'family', 'multilayer has its own system'],
  ['push-fit', 'cu-en-x-15', { temperature: 90 }, 'rating', 'the plastic system ends at 82'],
  ['push-fit', 'cu-l-1_2', { temperature: 90 }, null, 'the metal body takes 93'],
  ['push-fit', 'pex-cts-1_2', { service: 'buried' }, 'service', 'it cannot be reached'],
  ['compression', 'cu-en-x-15', { play: 14 }, null, 'nut and olive go on the pipe: only the body socket needs play'],
  ['compression', 'cu-en-x-15', { play: 13 }, 'play', 'the body socket of a 15 is 14 deep'],
  ['compression', 'cu-en-x-22', { service: 'buried' }, 'service', 'type A is not for the ground'],
  ['compression', 'cu-en-x-22', { hidden: true, temporary: true }, null, 'a booked temporary repair'],
  ['compression', 'cu-en-x-22', { pressure: 12, temperature: 60 }, 'rating', '10 bar at 65'],
  ['compression', 'cu-en-x-18', {}, 'no-figure', 'made, but nobody has a figure'],
  ['compression', 'ml-en-16', {}, 'family', 'multilayer never goes in a plain compression joint'],
  ['crimp', 'pex-cts-1-1_4', {}, 'size', 'rings are made to 1'],
  ['crimp', 'pex-cts-1_2', { service: 'heating', temperature: 95 }, 'rating', 'PEX ends at 93'],
  ['crimp', 'ml-astm-1_2', {}, 'family', 'no PEX ring on multilayer'],
  ['press', 'ss-en-22', {}, null, 'stainless has press fittings of its own'],
  ['press', 'cs-en-22', {}, 'service', 'carbon steel rusts in fresh water'],
  ['press', 'cs-en-22', { service: 'heating' }, null, 'its own place'],
  ['press', 'ss-en-22', { service: 'buried' }, 'service', 'chlorides in the soil'],
  ['solder', 'ss-en-22', {}, 'family', 'solder does not wet stainless'],
  ['push-fit', 'ss-en-22', {}, 'family', 'the teeth do not grip'],
  ['compression', 'ss-en-22', {}, null, 'a light stainless tube takes an olive'],
  ['clamp', 'pex-cts-3_4', {}, null, 'over the same barbs as a crimp ring'],
  ['clamp', 'pex-cts-3_4', { room: 'tight' }, 'room', "the nose needs the ear's side"],
  ['clamp', 'pex-en-20', {}, 'size', 'barbs are made for copper tube sizes'],
  ['expansion', 'pex-cts-3_4', {}, null, 'PEX a shrinks back'],
  ['expansion', 'pert-cts-3_4', {}, 'family', 'PE-RT does not shrink back unless listed'],
  ['expansion', 'pex-cts-3_4', { room: 'tight' }, 'room', 'the expander stands in line'],
  ['expansion', 'pex-cts-3_4', { temperature: 95 }, 'rating', 'PEX ends at 93'],
  ['sliding-sleeve', 'ml-en-20', {}, null, 'some multilayer systems take a sleeve'],
  ['sliding-sleeve', 'pex-cts-2', {}, 'size', 'sleeves are made to 1'],
  ['ml-compression', 'ml-en-20', { hidden: true }, 'hidden', 'its nut stays in reach'],
  ['ml-compression', 'ml-en-20', { mustUndo: true }, null, 'it unscrews'],
  ['ml-compression', 'ml-en-32', {}, 'size', 'cones are made to 26'],
  ['solvent-cement', 'pvc-40-3_4', { service: 'hot' }, 'service', 'PVC softens'],
  ['solvent-cement', 'pvc-40-3_4', { temperature: 65 }, 'rating', 'PVC ends at 60'],
  ['solvent-cement', 'pvc-40-2', { pressure: 5, temperature: 60 }, 'rating', '19.3 bar times 0.22 is 4.2'],
  ['solvent-cement', 'cpvc-cts-3_4', { service: 'hot' }, null, 'CPVC takes 82'],
  ['solvent-cement', 'cpvc-cts-3_4', { service: 'heating' }, 'service', 'glycol and inhibitors crack it'],
  ['solvent-cement', 'cpvc-cts-3_4', { wet: true }, 'wet', 'cement takes on dry plastic only'],
  ['solvent-cement', 'pex-cts-3_4', {}, 'family', 'nothing dissolves PEX'],
  ['ml-press', 'ml-en-20', { service: 'heating' }, null, 'class 5 takes 80'],
  ['ml-press', 'ml-en-20', { temperature: 85 }, 'rating', 'class 5 ends at 80'],
  ['ml-press', 'ml-astm-1_2', {}, null, 'its own rings'],
  ['ml-press', 'ml-astm-2', {}, 'size', 'rings are made to 1 in'],
  ['crimp', 'ml-astm-1_2', {}, 'family', 'no PEX ring on multilayer'],
  ['pe-compression', 'pe-en-25', { service: 'buried' }, null, 'its own place'],
  ['pe-compression', 'pe-en-25', { hidden: true }, 'hidden', 'indoors its nuts stay in reach'],
  ['pe-compression', 'pe-en-40', {}, 'no-figure', 'made, but nobody has a figure'],
  ['pe-compression', 'pe-cts-3_4', {}, null, 'service fittings of its own sizes'],
  ['pe-compression', 'pe-id-7-3_4', {}, 'size', 'held to its bore: barbs only'],
  ['insert-clamp', 'pe-id-7-3_4', {}, null, 'barbs go by the bore'],
  ['insert-clamp', 'pe-ips-9-3_4', {}, 'size', 'sized outside: no barb is made for it'],
  ['insert-clamp', 'pex-cts-3_4', {}, 'family', 'a barb of PE'],
  ['socket-fusion', 'ppr-6-25', {}, null, 'its own way'],
  ['socket-fusion', 'ppr-6-25', { wet: true }, 'wet', 'a wet end cannot be fused'],
  ['socket-fusion', 'ppr-11-25', { service: 'hot' }, 'rating', 'SDR 11 is for cold water'],
  ['flare', 'cu-en-x-15', {}, 'temper', 'hard tube splits'],
  ['flare', 'cu-m-1_2', {}, 'temper', 'sold hard only'],
  ['cone', 'ml-en-16', { hidden: true }, 'hidden', 'its nut stays in reach'],
  ['cone', 'ml-en-16', { service: 'buried' }, 'service', 'not for the ground'],
  ['cone', 'ml-en-26', {}, 'size', 'G 3/4 takes to 20'],
  ['cone', 'bs7291-15', {}, 'family', 'no cone for its wall'],
  ['pe-compression', 'pe-en-25', { pressure: 13 }, 'rating', 'PE80 takes 12.5'],
]

describe('refuse', () => {
  it.each(RULES)('%s on %s with %j: %s, since %s', (method, pipe, conditions, code) =>
    expect(on(method, pipe, conditions)).toBe(code),
  )

  it('answers the first code that applies', () => {
    expect(on('solder', 'pex-cts-1_2', { wet: true, noFlame: true })).toBe('family')
    expect(on('solder', 'cu-en-x-22', { wet: true, noFlame: true })).toBe('flame')
    expect(on('push-fit', 'cu-en-x-22', { hidden: true, temperature: 90 })).toBe('rating')
  })

  it('keeps solder from under an American slab only', () => {
    expect(on('solder', 'cu-l-1_2', { service: 'buried' }, {}, 'us')).toBe('service')
    expect(on('solder', 'cu-en-x-22', { service: 'buried' }, {}, 'gb')).toBeNull()
  })

  it("follows the job's policies", () => {
    expect(on('push-fit', 'cu-en-x-22', { hidden: true }, { pushFitHidden: 'allowed' })).toBeNull()
    expect(on('compression', 'cu-en-x-22', { hidden: true }, { compressionHidden: 'allowed' })).toBeNull()
    expect(on('compression', 'cu-en-x-22', { hidden: true, temporary: true }, { compressionHidden: 'never' })).toBe(
      'hidden',
    )
    expect(on('press', 'cu-m-3_4')).toBe('drinking')
    expect(on('press', 'cu-m-3_4', {}, { typeMDrinking: 'allowed' })).toBeNull()
    expect(on('press', 'cu-m-3_4', { service: 'buried' }, { typeMDrinking: 'allowed' })).toBe('service')
  })

  it('gives every refusal one plain sentence', () => {
    const situation = fillSituation({ region: 'gb', conditions: { wet: true, room: 'tight', hidden: true } })
    for (const { id } of PIPES) {
      for (const { code, reason } of refusalsOn(tube(id), tube('cu-en-x-22'), 'a', situation)) {
        expect(REFUSAL_CODES).toContain(code)
        expect(reason, id).toMatch(/^[A-Z0-9].*[.]$/)
        expect(reason.length, reason).toBeLessThan(150)
      }
    }
  })

  it('says for each method either why not, or nothing', () => {
    const refused = refusalsOn(tube('pe-en-25'), tube('cu-en-x-22'), 'b', fillSituation({ region: 'gb' }))
    expect(new Set(refused.map(({ method }) => method)).size).toBe(refused.length)
    expect(METHODS.filter((method) => !refused.some((one) => one.method === method))).toEqual(['pe-compression'])
  })

  it('lets a fitting made for the old size answer the size, one without a stop the play, and nothing else', () => {
    const old = toTube({ pipe: 'cu-bs-imp-3_4' })
    expect(refuse('solder', old, fillSituation({ region: 'gb' }), ANSWERED_BY.converter)).toBeNull()
    expect(
      refuse('solder', old, fillSituation({ region: 'gb', conditions: { wet: true } }), ANSWERED_BY.converter),
    ).toMatchObject({ code: 'wet' })
    const fixed = fillSituation({ region: 'gb', conditions: { play: 0 } })
    expect(refuse('press', toTube({ pipe: 'cu-en-x-22' }), fixed)).toMatchObject({ code: 'play' })
    expect(refuse('press', toTube({ pipe: 'cu-en-x-22' }), fixed, ANSWERED_BY.slip)).toBeNull()
    expect(refuse('press', old, fixed, ANSWERED_BY.slip)).toMatchObject({ code: 'size' })
  })
})

describe('methods', () => {
  it('each name what takes them apart', () => {
    for (const { id, undo, comesApart } of Object.values(JOINT_METHODS)) {
      expect(undo.length, id).toBeGreaterThan(3)
      expect(comesApart, id).toBe(
        on(
          id,
          {
            solder: 'cu-en-x-22',
            press: 'cu-en-x-22',
            'push-fit': 'bs7291-22',
            compression: 'cu-en-x-22',
            crimp: 'pex-cts-1_2',
            clamp: 'pex-cts-1_2',
            expansion: 'pex-cts-1_2',
            'sliding-sleeve': 'pex-en-20',
            'ml-press': 'ml-en-20',
            'ml-compression': 'ml-en-20',
            'solvent-cement': 'cpvc-cts-1_2',
            'pe-compression': 'pe-en-25',
            flare: 'cu-l-1_2',
            'socket-fusion': 'ppr-6-20',
            'insert-clamp': 'pe-id-7-3_4',
            cone: 'ml-en-16',
          }[id],
          { mustUndo: true },
          {},
          'gb',
          'soft',
        ) === null,
      )
    }
  })
})
