// npm run bench:identify: how often Find names the right pipe, against an ideal observer, and in how many checks.
// The world here draws pipes, errors and answers by laws of its own that identify does not read.
import { PIPES, type Family, type Pipe } from '#core/catalogue'
import { identifyPipe, type Check } from '#core/identify'
import { randomFrom } from './random'

const CASES = Number(process.env.CASES ?? 1500)
const seed = Number(process.env.SEED ?? 20_261)
const random = randomFrom(seed)
const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
/** Student's t with 4 degrees of freedom: now and then far off. */
const heavy = (): number => gauss() / Math.sqrt((gauss() ** 2 + gauss() ** 2 + gauss() ** 2 + gauss() ** 2) / 4)
const pick = <T>(items: readonly T[], weights: readonly number[]): T => {
  let at = random() * weights.reduce((a, b) => a + b, 0)
  return items.find((_, i) => (at -= weights[i]!) < 0) ?? items.at(-1)!
}

/* The world: what is met, how it is made, painted and measured, what it shows. */
const MET: Readonly<Record<string, number>> = {
  'cu-k': 1,
  'cu-l': 8,
  'cu-m': 6,
  'cu-en-x': 10,
  'cu-en-y': 1,
  'cu-en-10': 2,
  'cu-bs-imp': 3,
  'pex-cts': 8,
  'pert-cts': 1,
  'pb-cts': 1,
  'cpvc-cts': 3,
  'pvc-40': 2,
  'pvc-80': 0.4,
  'pe-cts': 0.6,
  'st-40': 3,
  'ml-astm': 0.6,
  bs7291: 7,
  'pex-en': 2,
  'ml-en': 4,
  'pe-en': 3,
  'st-en': 2,
  'ss-en': 0.6,
  'cs-en': 0.8,
  'ppr-74': 0.4,
  'ppr-6': 0.5,
  lead: 0.6,
}
function SIZE({ od }: Pipe): number {
  if (od > 11 && od < 29) return 10
  return od < 45 ? 3 : 1
}
const METALS: readonly Family[] = ['copper', 'steel', 'stainless', 'lead']
const RIGID: readonly Family[] = [...METALS, 'cpvc', 'pvc', 'pp-r']
const NONE = 0.04
const metIn = (pipe: Pipe, region: string): number =>
  (MET[pipe.series] ?? 0) * SIZE(pipe) * (pipe.regions.includes(region as 'gb') ? 1 : 0.01)
const sampleError = (): number =>
  0.08 * heavy() +
  0.12 * Math.abs(gauss()) * Math.cos(Math.PI * random()) +
  (random() < 0.08 ? 0.1 + 0.3 * random() : 0)
const sampleWallError = (): number => 0.1 * heavy()

type Shares = Readonly<Record<string, number>>
const even = (answers: readonly string[]): Shares =>
  Object.fromEntries(answers.map((answer) => [answer, 1 / answers.length]))
const ANSWERS = {
  colour: ['copper', 'grey', 'white', 'cream', 'red', 'blue', 'black', 'yellow', 'orange', 'green', 'brass', 'silver'],
  flex: ['rigid', 'springy', 'soft'],
  magnet: ['true', 'false'],
  scratch: ['copper', 'bright-silver', 'dull-silver', 'plastic'],
  'held-by': [
    'soldered',
    'pressed',
    'copper-ring',
    'pinch-ring',
    'expansion-ring',
    'metal-sleeve',
    'collar',
    'olive',
    'thread',
    'cement',
    'wiped',
  ],
} as const
type Choice = keyof typeof ANSWERS
/** The commonest answers of each family in this world; a slip of the hand or eye gives any other. */
const SHOWS: Readonly<Record<Choice, (family: Family) => Shares>> = {
  colour: (family) =>
    (
      ({
        copper: { copper: 8, white: 1, green: 0.5 },
        pex: { red: 4, blue: 3, white: 3 },
        pert: { red: 3, white: 4 },
        bs7291: { white: 6, grey: 4 },
        multilayer: { white: 9, grey: 0.5 },
        pb: { grey: 9, blue: 1 },
        cpvc: { cream: 9 },
        pvc: { white: 8, grey: 2 },
        'pp-r': { green: 7, grey: 3 },
        pe: { blue: 8, black: 2 },
        steel: { silver: 5, grey: 3, black: 2 },
        stainless: { silver: 9 },
        lead: { grey: 9, silver: 1 },
        vinyl: { white: 5, blue: 1 },
      }) as Record<Family, Shares>
    )[family],
  flex: (family): Shares =>
    ({ lead: { soft: 8, rigid: 2 }, multilayer: { springy: 4, soft: 3, rigid: 3 }, copper: { rigid: 9, soft: 1 } })[
      family as 'lead'
    ] ?? (RIGID.includes(family) ? { rigid: 1 } : { springy: 9, soft: 1 }),
  magnet: (family): Shares =>
    ({ steel: { true: 1 }, stainless: { false: 8, true: 2 } })[family as 'steel'] ?? { false: 1 },
  scratch: (family): Shares =>
    ({
      copper: { copper: 1 },
      lead: { 'bright-silver': 9, 'dull-silver': 1 },
      stainless: { 'bright-silver': 7, 'dull-silver': 3 },
      steel: { 'dull-silver': 9, 'bright-silver': 1 },
    })[family as 'steel'] ?? { plastic: 1 },
  'held-by': (family) =>
    (
      ({
        copper: { soldered: 6, olive: 2, pressed: 1, collar: 1 },
        pex: { 'copper-ring': 4, 'pinch-ring': 2, 'expansion-ring': 2, collar: 1 },
        pert: { 'copper-ring': 5, 'pinch-ring': 4 },
        bs7291: { collar: 8, olive: 2 },
        multilayer: { pressed: 6, 'metal-sleeve': 2, olive: 2 },
        pb: { 'copper-ring': 8, collar: 2 },
        cpvc: { cement: 9, collar: 1 },
        pvc: { cement: 9, thread: 1 },
        'pp-r': { cement: 8, thread: 2 },
        pe: { collar: 5, olive: 4 },
        steel: { thread: 9, pressed: 1 },
        stainless: { pressed: 9, olive: 1 },
        lead: { wiped: 9, olive: 1 },
        vinyl: { olive: 7, collar: 3 },
      }) as Record<Family, Shares>
    )[family],
}
const SLIP = 0.04
function sharesOf(check: Choice, pipe: Pipe | null): Shares {
  const flat = even(ANSWERS[check])
  if (!pipe) return flat
  const shown = SHOWS[check](pipe.family)
  const total = Object.values(shown).reduce((a, b) => a + b, 0)
  return Object.fromEntries(
    ANSWERS[check].map((answer) => [answer, ((1 - SLIP) * (shown[answer] ?? 0)) / total + SLIP * flat[answer]!]),
  )
}

/** Density of an error, read off many draws: what an observer who knew the world's law would use. */
function densityOf(draw: () => number): (x: number) => number {
  const [step, reach, draws] = [0.02, 4, 400_000]
  const bins = new Float64Array((2 * reach) / step)
  for (let i = 0; i < draws; i++) {
    const bin = Math.floor((draw() + reach) / step)
    if (bin >= 0 && bin < bins.length) bins[bin]! += 1 / draws / step
  }
  return (x) => (Math.abs(x) < reach - step ? Math.max(bins[Math.floor((x + reach) / step)]!, 1e-5) : 1e-7)
}
const [odDensity, wallDensity] = [densityOf(sampleError), densityOf(sampleWallError)]

const NAMES = ['outside-diameter', 'wall', 'colour', 'flex', 'magnet', 'scratch', 'held-by'] as const
type Name = (typeof NAMES)[number]
const METERS = { 'outside-diameter': { lo: 4, hi: 120 }, wall: { lo: 0.3, hi: 12 } } as const

interface Case {
  pipe: Pipe | null
  region: 'gb' | 'us' | 'eu'
  checks: Map<Name, Check>
}
function draw(): Case {
  const region = pick(['gb', 'us', 'eu'] as const, [1, 1, 1])
  const pipe =
    random() < NONE
      ? null
      : pick(
          PIPES,
          PIPES.map((one) => metIn(one, region)),
        )
  const checks = new Map<Name, Check>()
  const sample = () =>
    pipe
      ? { od: pipe.od + sampleError(), wall: pipe.wall === null ? 1 : pipe.wall + sampleWallError() }
      : { od: 4 + 116 * random(), wall: 0.3 + 11.7 * random() }
  // No pipe has a wall that does not go into it, nor does a hand write one down.
  let { od, wall } = sample()
  while (2 * wall >= od) ({ od, wall } = sample())
  checks.set('outside-diameter', {
    check: 'outside-diameter',
    by: 'calliper',
    value: Math.round(Math.min(120, Math.max(4, od)) * 100) / 100,
  })
  checks.set('wall', { check: 'wall', value: Math.max(0.1, Math.round(wall * 100) / 100) })
  for (const check of Object.keys(ANSWERS) as Choice[]) {
    const shares = sharesOf(check, pipe)
    const value = pick(
      ANSWERS[check],
      ANSWERS[check].map((answer) => shares[answer]!),
    )
    checks.set(check, { check, value: check === 'magnet' ? value === 'true' : value } as Check)
  }
  return { pipe, region, checks }
}

/** The best that can be done by anyone who knows this world's laws: its posterior over all pipes and none of them. */
function ideal(region: Case['region'], checks: readonly Check[]): { pipe: Pipe | null; weight: number }[] {
  const total = PIPES.reduce((sum, pipe) => sum + metIn(pipe, region), 0)
  const rows = [
    ...PIPES.map((pipe) => ({ pipe: pipe as Pipe | null, weight: ((1 - NONE) * metIn(pipe, region)) / total })),
    { pipe: null, weight: NONE },
  ]
  for (const row of rows) {
    for (const check of checks) {
      if (check.check === 'outside-diameter' || check.check === 'wall') {
        const { lo, hi } = METERS[check.check]
        const size = row.pipe && { wall: row.pipe.wall ?? 1, 'outside-diameter': row.pipe.od }
        const known = size && size[check.check]
        row.weight *=
          known === null ? 1 / (hi - lo) : (check.check === 'wall' ? wallDensity : odDensity)(check.value - known)
      } else if ('value' in check) row.weight *= sharesOf(check.check as Choice, row.pipe)[String(check.value)] ?? 0
    }
  }
  const sum = rows.reduce((a, { weight }) => a + weight, 0)
  return rows.map(({ pipe, weight }) => ({ pipe, weight: weight / sum })).sort((a, b) => b.weight - a.weight)
}

const byId = new Map(PIPES.map((pipe) => [pipe.id, pipe]))
let asked = 0
let spent = 0
let slowest = 0
function ours(region: Case['region'], checks: readonly Check[]) {
  const from = performance.now()
  const answer = identifyPipe({
    region,
    checks,
    can: NAMES.flatMap((name) => (name === 'outside-diameter' ? ['outside-diameter:calliper'] : [name])),
  })
  const took = performance.now() - from
  asked++
  spent += took
  slowest = Math.max(slowest, took)
  if (!answer.ok) throw new Error(answer.error.message)
  const [first] = answer.value.candidates
  const isKnown = first !== undefined && first.probability > answer.value.unknown
  return {
    pipe: isKnown ? byId.get(first.pipe)! : null,
    weight: isKnown ? first.probability : answer.value.unknown,
    next: answer.value.next.map(({ check }) => check as Name),
  }
}

const sameOd = (a: Pipe | null, b: Pipe | null): boolean =>
  a === null || b === null ? a === b : Math.abs(a.od - b.od) < 0.06
const percent = (n: number, of: number): string => `${((100 * n) / of).toFixed(1).padStart(5)} %`
for (let i = 0; i < 50; i++) ours('gb', [...draw().checks.values()].slice(0, 3))
asked = 0
spent = 0
slowest = 0

const cases = Array.from({ length: CASES }, draw)
console.log(`SEED=${seed}, ${CASES} pipes, ${(100 * NONE).toFixed(0)} % of them none of the catalogue's`)
console.log('checks  order      pipe   outside  family |  ideal: pipe  outside  family')
const calibration = Array.from({ length: 10 }, () => ({ said: 0, right: 0, n: 0 }))
for (const order of ['proposed', 'random'] as const) {
  for (const count of [1, 2, 3]) {
    const right = { pipe: 0, od: 0, family: 0, idealPipe: 0, idealOd: 0, idealFamily: 0 }
    for (const { pipe, region, checks } of cases) {
      const made: Check[] = []
      const left = new Set<Name>(NAMES)
      while (made.length < count) {
        const next =
          order === 'proposed'
            ? (ours(region, made).next.find((name) => left.has(name)) ?? [...left][0]!)
            : [...left][Math.floor(random() * left.size)]!
        left.delete(next)
        made.push(checks.get(next)!)
      }
      const answer = ours(region, made)
      const best = ideal(region, made)[0]!
      right.pipe += Number(answer.pipe === pipe)
      right.od += Number(sameOd(answer.pipe, pipe))
      right.family += Number(answer.pipe?.family === pipe?.family)
      right.idealPipe += Number(best.pipe === pipe)
      right.idealOd += Number(sameOd(best.pipe, pipe))
      right.idealFamily += Number(best.pipe?.family === pipe?.family)
      const bin = calibration[Math.min(9, Math.floor(answer.weight * 10))]!
      bin.n++
      bin.said += answer.weight
      bin.right += Number(answer.pipe === pipe)
    }
    console.log(
      `${count}       ${order.padEnd(9)} ${percent(right.pipe, CASES)} ${percent(right.od, CASES)} ${percent(right.family, CASES)} | ${percent(right.idealPipe, CASES)}     ${percent(right.idealOd, CASES)} ${percent(right.idealFamily, CASES)}`,
    )
  }
}

console.log('said, in 100   was so   of how many')
for (const { said, right, n } of calibration)
  if (n > 0)
    console.log(
      `${((100 * said) / n).toFixed(0).padStart(8)} ${((100 * right) / n).toFixed(0).padStart(12)} ${String(n).padStart(12)}`,
    )

const SURE = 0.95
const needed = { proposed: 0, random: 0 }
let reached = 0
for (const { region, checks } of cases) {
  const count = (order: 'proposed' | 'random'): number => {
    const made: Check[] = []
    const left = new Set<Name>(NAMES)
    for (;;) {
      const answer = ours(region, made)
      if (answer.weight >= SURE) return made.length
      if (left.size === 0) return Infinity
      const next =
        order === 'proposed'
          ? (answer.next.find((name) => left.has(name)) ?? [...left][0]!)
          : [...left][Math.floor(random() * left.size)]!
      left.delete(next)
      made.push(checks.get(next)!)
    }
  }
  const [proposed, chance] = [count('proposed'), count('random')]
  if (!Number.isFinite(proposed) || !Number.isFinite(chance)) continue
  reached++
  needed.proposed += proposed
  needed.random += chance
}
console.log(
  `to reach 95 in 100 (${percent(reached, CASES)} of pipes do by these checks): ${(needed.proposed / reached).toFixed(2)} checks as proposed, ${(needed.random / reached).toFixed(2)} in random order, ratio ${(needed.proposed / needed.random).toFixed(2)}`,
)
console.log(`one answer: ${(spent / asked).toFixed(2)} ms on average, ${slowest.toFixed(1)} ms at most, over ${asked}`)
