import { describe, expect, it } from 'vitest'
import {
  bendOf,
  findSlipLength,
  findSocket,
  findTakeOut,
  fusionOf,
  getPipe,
  pipeRating,
  socketDepth,
  spacingOf,
} from '#core/catalogue'
import { speak } from '#core/speech'

/* Rows of the second pair of checked lists, typed again by another hand than the tables: list, row, figures. */

describe('pipes', () => {
  // Outside diameter, wall and bore, mm.
  it.each([
    ['pe-cts-11', 'pe-cts-11-3_4', 22.225, 2.032, 18.161],
    ['pe-cts-135', 'pe-cts-135-1', 28.575, 2.108, 24.359],
    ['pe-ips-9', 'pe-ips-9-1', 33.401, 3.708, 25.984],
    ['pe-ips-11', 'pe-ips-11-3_4', 26.67, 2.413, 21.844],
    ['pe-ips-135', 'pe-ips-135-2', 60.325, 4.47, 51.384],
    ['pe-ips-17', 'pe-ips-17-1_2', 21.336, 1.575, 18.186],
    ['pe-id-7', 'pe-id-7-1', 34.265, 3.81, 26.645],
    ['pe-id-9', 'pe-id-9-1_2', 19.304, 1.753, 15.799],
    ['pe-id-115', 'pe-id-115-2', 61.646, 4.572, 52.502],
    ['pe-id-15', 'pe-id-15-3_4', 23.978, 1.524, 20.93],
    ['pe-id-19', 'pe-id-19-1-1_4', 38.76, 1.854, 35.052],
    ['ml-astm', 'ml-astm-1-1_2', 50, 4.5, 41],
    ['ppr-6', 'ppr-6-16', 16, 2.7, 10.6],
    ['ppr-74', 'ppr-74-63', 63, 8.6, 45.8],
    ['ppr-11', 'ppr-11-32', 32, 2.9, 26.2],
    ['pex-en', 'pex-en-17', 17, 2, 13],
    ['ml-en', 'ml-en-17', 17, 2, 13],
    ['cu-en-10', 'cu-en-10-14', 14, 1, 12],
  ])('of %s: %s is %d, %d, %d', (_, id, od, wall, bore) => {
    expect(getPipe(id)).toMatchObject({ od, wall, bore })
  })
})

describe('ends', () => {
  // Depth and range, mm.
  it.each([
    ['eurocone-spigot', 'cone', 'ml-en-16', 12, 9, 16],
    ['eurocone-spigot', 'cone', 'pex-en-20', 12.5, 10, 18],
    ['eurocone-metal', 'cone', 'cu-en-x-15', 19, 13, 28],
    ['pe-pack-joint', 'pe-compression', 'pe-cts-3_4', 44, 34, 57],
    ['pe-pack-joint', 'pe-compression', 'pe-cts-11-1', 51, 38, 66],
    ['pe-insert-clamp', 'insert-clamp', 'pe-id-7-1', 32.5, 25, 42],
    ['ml-ring-astm', 'ml-press', 'ml-astm-3_4', 21.5, 17, 27],
    ['ml-compression-astm', 'ml-compression', 'ml-astm-1_2', 22, 17, 30],
    ['flare', 'flare', 'cu-l-1_2', 0, -1, 2],
    ['socket-fusion', 'socket-fusion', 'ppr-6-20', 14, 11, 14.5],
    ['socket-fusion', 'socket-fusion', 'ppr-74-63', 26, 23.9, 27.4],
  ] as const)('%s: %s of %s is %d, from %d to %d', (_, method, pipe, value, lo, hi) => {
    expect(socketDepth(findSocket(method, getPipe(pipe))!)).toMatchObject({ value, lo, hi })
  })
  it('socket-fusion: seconds on the tool, to join, held and left', () => {
    expect(['20', '32', '63'].map((size) => fusionOf(size))).toMatchObject([
      { heat: 5, change: 4, hold: 6, cool: 120 },
      { heat: 8, change: 6, hold: 10, cool: 240 },
      { heat: 24, change: 8, hold: 30, cool: 360 },
    ])
  })
})

describe('take-outs', () => {
  it.each([
    ['solder EN 1254-1', 'solder', 'cu-en-x-10', 'coupling'],
    ['solder EN 1254-1', 'solder', 'cu-en-x-54', 'elbow-90'],
    ['solder ASME B16.22', 'solder', 'cu-l-2', 'tee-branch'],
    ['press EN 1254-7', 'press', 'cu-en-x-42', 'elbow-45'],
    ['press ASME B16.51', 'press', 'cu-l-1-1_4', 'tee-run'],
    ['push-fit BS 7291', 'push-fit', 'bs7291-22', 'elbow-45'],
    ['push-fit ASSE 1061', 'push-fit', 'pex-cts-1', 'elbow-90'],
    ['compression EN 1254-2', 'compression', 'cu-en-x-28', 'elbow-90'],
    ['crimp ASTM F1807', 'crimp', 'pex-cts-1', 'coupling'],
    ['expansion ASTM F1960', 'expansion', 'pex-cts-3_4', 'elbow-90'],
    ['sliding-sleeve ASTM F2080', 'sliding-sleeve', 'pex-cts-1', 'tee-run'],
    ['sliding-sleeve EN ISO 15875-3', 'sliding-sleeve', 'pex-en-16', 'coupling'],
    ['ml-press EN ISO 21003-3', 'ml-press', 'ml-en-20', 'elbow-90'],
    ['pe-compression ISO 17885', 'pe-compression', 'pe-en-32', 'elbow-90'],
    ['solvent-cement ASTM D2846', 'solvent-cement', 'cpvc-cts-3_4', 'tee-branch'],
    ['solvent-cement ASTM D2466', 'solvent-cement', 'pvc-40-1', 'elbow-45'],
    ['socket-fusion EN ISO 15874-3', 'socket-fusion', 'ppr-6-25', 'elbow-90'],
    ['thread ASME B16.3', 'thread', 'st-40-3_4', 'elbow-90'],
    ['thread EN 10242', 'thread', 'st-en-1', 'coupling'],
  ] as const)('%s: %s on %s has a typical %s with its range', (_, method, pipe, fitting) => {
    const found = findTakeOut(method, getPipe(pipe), fitting)!
    expect(found.source).toMatch(/^typical/)
    expect(found.lo! <= found.value! && found.value! <= found.hi!).toBe(true)
  })
  it.each([
    ['solder EN 1254-1 elbow-90 8', 'solder', 'cu-en-x-8', 'elbow-90', 6.5, 4.8, 10.4],
    ['press EN 1254-7 coupling 15, corrected', 'press', 'cu-en-x-15', 'coupling', 1.8, 0.5, 4],
    ['press EN 1254-7 coupling 28, corrected', 'press', 'cu-en-x-28', 'coupling', 1.8, 0.5, 4],
    ['thread EN 10242 elbow 1/2, corrected', 'thread', 'st-en-1_2', 'elbow-90', 15, 14.5, 18],
    ['press stainless, coupling 2 longer than copper', 'press', 'ss-en-22', 'coupling', 3.8, 0.5, 8.8],
  ] as const)('%s', (_, method, pipe, fitting, value, lo, hi) => {
    const found = findTakeOut(method, getPipe(pipe), fitting)!
    expect([found.value, found.lo, found.hi]).toEqual([value, lo, hi].map((mm) => expect.closeTo(mm, 9)))
  })
  it.each([
    ['solder EN 1254-1', 'solder', 'cu-en-x-22', 33, 30.8, 80],
    ['solder ASME B16.22', 'solder', 'cu-l-3_4', 40.2, 38.1, 44.1],
    ['press EN 1254-7', 'press', 'cu-en-x-15', 76, 48, 117],
    ['press ASME B16.51', 'press', 'cu-l-1', 65.5, 47, 120],
    ['push-fit BS 7291', 'push-fit', 'bs7291-22', 101, 66, 165],
  ] as const)('slip couplings, %s: %s on %s is %d long', (_, method, pipe, value, lo, hi) => {
    expect(findSlipLength(method, getPipe(pipe))).toMatchObject({ value, lo, hi })
  })
})

describe('ratings', () => {
  // bar at degC.
  it.each([
    ['ratings-2 PE2406 SDR 9', 'pe-cts-3_4', 23, 10.86],
    ['ratings-2 PE2406 SDR 11 = SIDR 9', 'pe-id-9-1', 23, 8.69],
    ['ratings-2 PE2406 SDR 17 = SIDR 15', 'pe-ips-17-1', 23, 5.43],
    ['ratings-2 ml-astm, the lesser of F1281 and F1282', 'ml-astm-1_2', 60, 11],
    ['ratings-2 ml-astm, the lesser of F1281 and F1282', 'ml-astm-1_2', 82, 6.9],
    ['ratings-2 ppr-6 PN class', 'ppr-6-25', 20, 20],
    ['ratings-2 ppr-6 class 1', 'ppr-6-25', 60, 10],
    ['ratings-2 ppr-74 class 2', 'ppr-74-25', 70, 6],
    ['ratings ml-en, the lesser of 6 and 10 bar', 'ml-en-20', 80, 6],
  ])('%s: %s at %d is %d', (_, pipe, temperature, bar) => {
    const found = pipeRating(getPipe(pipe), temperature, 'hard')
    expect(found.kind === 'rated' ? found.bar : null).toBeCloseTo(bar, 1)
  })
})

describe('supports', () => {
  it.each([
    ['GB practice, copper 6', 'gb', 'cu-en-x-6', 20, 475, 650],
    ['GB practice, copper 8', 'gb', 'cu-en-x-8', 20, 600, 900],
    ['GB practice, copper 10', 'gb', 'cu-en-x-10', 20, 800, 1200],
    ['GB practice, copper 12', 'gb', 'cu-en-x-12', 20, 1000, 1450],
    ['GB practice, pe 40', 'gb', 'pe-en-40', 20, 800, 1200],
    ['PP-R practice, 20 cold', 'en', 'ppr-6-20', 20, 800, 1050],
    ['PP-R practice, 20 hot', 'en', 'ppr-6-20', 60, 600, 1050],
    ['PP-R practice, 32 hot', 'gb', 'ppr-74-32', 70, 800, 1350],
  ] as const)('%s', (_, codeOf, pipe, temperature, horizontal, vertical) => {
    expect(spacingOf(codeOf, getPipe(pipe), temperature)).toMatchObject({ horizontal, vertical })
  })
})

describe('bends', () => {
  it.each([
    ['copper R220/R250, 8', 'cu-en-x-8', 32.5, 25, 36],
    ['copper R220/R250, 28', 'cu-en-x-28', 114, 100, 125],
    ['copper us annealed, 1-1/4', 'cu-l-1-1_4', 229, 200, 260],
    ['copper us annealed, large, 2', 'cu-l-2', 459, 270, 756],
  ] as const)('%s', (_, pipe, value, lo, hi) => {
    expect(bendOf(getPipe(pipe))!.radius).toMatchObject({ value, lo, hi })
  })
  it('hard tube over 22 mm is not bent by hand, and that is said of all of it', () => {
    for (const pipe of ['cu-en-x-28', 'cu-l-1', 'cu-l-1-1_4', 'cu-bs-imp-1'])
      expect(speak(bendOf(getPipe(pipe))!.how, 'gb'), pipe).toContain('hard tube over 22 mm is not bent by hand')
    for (const pipe of ['cu-en-x-22', 'cu-l-3_4', 'cu-en-x-15'])
      expect(speak(bendOf(getPipe(pipe))!.how, 'gb'), pipe).not.toContain('over 22 mm')
  })
})

describe('push-fit on metric copper', () => {
  it('names EN 1254-6; British plastic its own standard', () => {
    expect(socketDepth(findSocket('push-fit', getPipe('cu-en-x-22'))!).source).toContain('EN 1254-6')
    expect(socketDepth(findSocket('push-fit', getPipe('bs7291-22'))!).source).toContain('EN ISO 15876-3')
  })
})
