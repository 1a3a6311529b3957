import { ok, type Result } from '#core/base'
import { findSlipLength, PIPES, type LineFitting, type Pipe, type SocketMethod } from '#core/catalogue'
import { isByThread, JOINT_METHODS } from '#core/joints'
import { fittingMouth, type Mouth } from '#core/line'
import { formatTape, unitSystemOf } from '#core/units'
import { length, w } from '#core/speech'
import { planRepair } from '../repair-plan'
import { DROP_SPARE_MM, planTee, type TeePlan } from '../tee-plan'
import { DROP_IN_MM } from './allowances'
import { legLength, sum, type Guide, type GuideAnswer, type GuideContext, type GuideFigure } from './types'

/* Work on a line that is there already: a tee let in, a bad piece taken out. */

const mouthOf = (fitting: LineFitting, { method, pipe, kit }: GuideContext): Mouth =>
  fittingMouth({ fitting, given: {}, method, pipe, kit, sizes: pipe.nominal, isReducing: false })

const BOND = {
  code: 'earth-path',
  text: `A metal line may be the ${w.earth} path: bridge the cut before you make it, and keep the bridge until it is metal again.`,
}
const HELD = { code: 'clip-first', text: 'Clip both sides before the cut, so that the line neither drops nor springs.' }
const measure = (what: string) => ({
  code: 'measure',
  text: `No figure is held for this ${what}: measure yours from ${w.centre} to stop, and its depth, in the kit.`,
})
const always = ({ pipe }: GuideContext) => [HELD, ...(pipe.family === 'copper' ? [BOND] : [])]

/** Couplings without a stop that the method has, as the user's own tape or the table has them, mm. */
const typicalSlip = ({ method, pipe }: GuideContext): number | null =>
  !isByThread(method) && method in JOINT_METHODS && JOINT_METHODS[method as SocketMethod].slips
    ? (findSlipLength(method as SocketMethod, pipe)?.value ?? null)
    : null
const bareOf = ({ method }: GuideContext): number =>
  method in JOINT_METHODS ? JOINT_METHODS[method as SocketMethod].bareBetweenMm : 0
const slipField = {
  name: 'slip',
  words: 'The slip coupling, end to end',
  kind: 'length' as const,
  mayBeBlank: true as const,
  usual: (context: GuideContext) => {
    const mm = typicalSlip(context)
    if (mm === null) return ''
    return unitSystemOf(context.region) === 'inch' ? formatTape(mm) : String(mm)
  },
  why: 'Without a stop inside. Measure yours: makers differ.',
}

/** Sizes a branch is made in: those of the same kind of pipe up to the line's own, the largest first. */
function branches({ pipe }: GuideContext): Pipe[] {
  return PIPES.filter(({ series, od }) => series === pipe.series && od <= pipe.od + 1e-9).sort((x, y) => y.od - x.od)
}

const figure = (words: string, value: number, source: string, lines: Parameters<typeof sum>[0] = []): GuideFigure => ({
  words,
  value,
  unit: 'mm',
  source,
  working: sum(lines, words, value),
})

/** Working of what is cut out, the stub and the marks. */
function teeFigures(plan: TeePlan, { takeOut, insertion }: Mouth, bare: number, slip: number): GuideFigure[] {
  const half = ['half of the tee, middle to stop', '+', plan.left, takeOut.source] as const
  if (!plan.stub)
    return [
      figure('cut out', plan.out, takeOut.source, [[...half], [...half]]),
      figure('depth mark on each end', insertion.value!, insertion.source),
    ]
  const { stub } = plan
  const tee = 2 * takeOut.value!
  const stubs = plan.how === 'two-slips' ? 2 : 1
  const times = (one: number) => one * stubs
  return [
    figure('cut out', plan.out, takeOut.source, [
      ['tee, stop to stop', '+', tee, takeOut.source],
      [stubs === 2 ? 'both stubs, cut' : 'stub, cut', '+', times(stub.length)],
      [stubs === 2 ? 'gap under both slip couplings' : 'gap under the slip coupling', '+', times(stub.gap)],
    ]),
    figure('cut 1, left of the middle of the branch', plan.left, takeOut.source),
    figure('cut 2, right of it', plan.right, 'cut out, less cut 1'),
    figure(
      stubs === 2 ? 'each of two stubs' : 'stub piece between tee and slip coupling',
      stub.length,
      insertion.source,
      [
        ['depth into the tee', '+', insertion.value!, insertion.source],
        ['bare, room for the tool', '+', stub.length - insertion.value! - stub.mark, bare > 0 ? 'ours' : undefined],
        ['under the slip coupling', '+', stub.mark, 'half of it, less the gap'],
      ],
    ),
    figure(
      stubs === 2 ? 'gap at each end' : 'gap under the slip coupling',
      stub.gap,
      'the least, and what is to spare',
      [
        ['least: the tee goes home by it', '+', stub.least, 'the depth, less what draws apart'],
        ['to spare, to drop it in', '+', stub.gap - stub.least, 'ours'],
      ],
    ),
    figure('mark on stub and old pipe', stub.mark, 'half of the coupling, less the gap', [
      ['slip coupling', '+', slip],
      ['gap', '-', stub.gap],
      ['half', '/', 2],
    ]),
    figure('depth mark into the tee', insertion.value!, insertion.source),
  ]
}

/** The couplings of a tee with stubs, and the stubs. */
function keepOfTee({ stub, how }: TeePlan, slip: number): Pick<GuideAnswer, 'keep'> {
  if (!stub) return {}
  const count = how === 'two-slips' ? 2 : 1
  return {
    keep: {
      slips: { length: slip, gap: stub.gap, count },
      pieces: { name: 'stub of the tee', length: stub.length, count },
    },
  }
}

const depthMarked = (how: TeePlan['how']): string => {
  if (how === 'plain') return 'both ends'
  return how === 'two-slips'
    ? 'both stubs where they enter the tee'
    : 'the left end, and on the stub where it enters the tee'
}

function teeSteps({ how, out, stub, assembly }: TeePlan, depth: number, slip: number): string[] {
  return [
    'Shut off, drain, bridge a metal line.',
    `Cut out ${length(out)}; ream both ends.`,
    `Mark ${length(depth)} on ${depthMarked(how)}.`,
    ...(stub
      ? [
          how === 'two-slips'
            ? `Clean ${length(slip)} of both pipes, round and free of paint: a slip coupling parks on each.`
            : `Clean ${length(slip)} of the right pipe, round and free of paint: the slip coupling parks there.`,
          how === 'two-slips'
            ? `Mark ${length(stub.mark)} on all four ends. Close both stubs into the tee on the bench.`
            : `Mark ${length(stub.mark)} on the stub and on the right pipe. Close the stub into the tee on the bench.`,
        ]
      : []),
    ...assembly.moves.map(({ words }) => `${words}.`),
  ]
}

export const TEE_IN: Guide = {
  id: 'tee-in',
  name: 'A tee into a fixed line',
  about: 'What to cut out, and every move in its order: the tee alone, or with a stub and a slip coupling.',
  fields: [
    {
      name: 'along',
      words: 'The ends draw apart by',
      kind: 'length',
      usual: () => '0',
      why: 'Along the pipe, by hand; 0 or free.',
    },
    {
      name: 'aside',
      words: 'An end springs aside by',
      kind: 'length',
      usual: () => '0',
      why: 'Beside the line; 0 or free.',
    },
    slipField,
    {
      name: 'branch',
      words: 'Branch',
      kind: 'size',
      usual: ({ pipe }) => pipe.nominal,
      options: (context) => branches(context).map(({ nominal }) => nominal),
    },
  ],
  work({ along, aside, slip, branch }, context): Result<GuideAnswer> {
    const { pipe } = context
    const mouth = mouthOf('tee-run', context)
    const [half, depth] = [mouth.takeOut.value, mouth.insertion.value]
    const own = branches(context)[branch ?? 0] ?? pipe
    const isReducing = own.id !== pipe.id
    const line: GuideAnswer['line'] = {
      start: isReducing ? 'free' : 'branch',
      corners: 'fittings',
      name: 'branch from the new tee',
      legs: [`d ${legLength(500, context)}`],
      ...(isReducing ? { pipe: own.id } : {}),
    }
    const reducing = isReducing
      ? [
          {
            code: 'reducing',
            text: `Ask for the tee as ${pipe.nominal} x ${pipe.nominal} x ${own.nominal}. Its run may be shorter than the equal tee's, which is counted here: measure yours in the kit.`,
          },
        ]
      : []
    if (half === null || depth === null) return ok({ figures: [], steps: [], cautions: [measure('tee'), HELD], line })
    const [between, bare, long] = [2 * half, bareOf(context), Number.isNaN(slip) ? null : slip!]
    const answer = planTee({
      od: pipe.od,
      bore: pipe.bore ?? pipe.od * 0.85,
      depth,
      between,
      slip: typicalSlip(context) === null && long === null ? null : long,
      bare,
      along: along!,
      aside: aside!,
    })
    if (!answer.ok) {
      const text =
        answer.why === 'slip-short'
          ? `A longer slip coupling, of ${length(answer.needs!)} or more, or free an end: this one holds too little over the least gap.`
          : `No coupling without a stop: free an end by ${length(depth)} along and ${length(pipe.od)} aside, or use a push-fit slip coupling or a bend of the pipe itself.`
      return ok({ figures: [], steps: [], cautions: [{ code: answer.why, text }, ...always(context)], line: null })
    }
    const { plan } = answer
    return ok({
      figures: teeFigures(plan, mouth, bare, long ?? 0),
      steps: teeSteps(plan, depth, long ?? 0),
      cautions: [
        ...(plan.how === 'two-slips'
          ? [
              {
                code: 'slip-short',
                text: `One slip coupling would have to be ${length(3 * depth + DROP_SPARE_MM)} long. These are shorter: it takes two, or an end freed by ${length(depth)}.`,
              },
            ]
          : []),
        ...(plan.stub
          ? [
              {
                code: 'slip',
                text: `Less than ${length(depth)} of play with an end aside: the tee alone cannot go in.`,
              },
            ]
          : []),
        ...(plan.stub
          ? [
              {
                code: 'gap',
                text: `The gap may be ${length(plan.stub.least)} to ${length(plan.stub.most)}: another gap moves both marks by half the difference.`,
              },
            ]
          : []),
        ...reducing,
        ...always(context),
      ],
      line,
      ...keepOfTee(plan, long ?? 0),
      assembly: { ...plan.assembly, places: plan.places },
    })
  },
}

export const REPAIR: Guide = {
  id: 'repair',
  name: 'A bad piece out, with no play',
  about: 'Two slip couplings: the length of the new piece and the marks that keep them in the middle.',
  fields: [
    {
      name: 'bad',
      words: 'Bad pipe, to be cut out',
      kind: 'length',
      usual: ({ region }) => (region === 'us' ? '4' : '100'),
      why: 'Back to sound pipe on both sides.',
    },
    slipField,
  ],
  work({ bad, slip }, context): Result<GuideAnswer> {
    const { insertion } = mouthOf('coupling', context)
    if (insertion.value === null || Number.isNaN(slip))
      return ok({ figures: [], steps: [], cautions: [measure('coupling')], line: null })
    const { pipe } = context
    const answer = planRepair({
      od: pipe.od,
      bore: pipe.bore ?? pipe.od * 0.85,
      bad: bad!,
      depth: insertion.value,
      slip: slip!,
      bare: bareOf(context),
      gap: DROP_IN_MM,
    })
    if (!answer.ok)
      return ok({
        figures: [],
        steps: [],
        cautions: [
          {
            code: 'slip-short',
            text: `A longer slip coupling, of ${length(answer.needs)} or more: this one holds too little of each pipe.`,
          },
        ],
        line: null,
      })
    const { out, piece, mark, assembly, places } = answer.plan
    const isAsMeasured = Math.abs(out - bad!) < 1e-9
    return ok({
      figures: [
        figure('cut out', out, isAsMeasured ? 'as you measured' : 'so that two couplings find room', [
          ['new piece', '+', piece],
          ['to drop it in, at both ends', '+', 2 * DROP_IN_MM, 'ours'],
        ]),
        figure('new piece', piece, 'cut out, less what lets it drop in', [
          ['cut out', '+', out],
          ['to drop it in, at both ends', '-', 2 * DROP_IN_MM, 'ours'],
        ]),
        figure('mark on all four ends', mark, 'half of the coupling, less the gap', [
          ['slip coupling', '+', slip!],
          ['gap', '-', DROP_IN_MM, 'ours'],
          ['half', '/', 2],
        ]),
        figure('clean old pipe each side', slip!, 'the whole coupling'),
      ],
      steps: [
        `Cut out ${length(out)}, back to sound pipe.`,
        `Clean ${length(slip!)} each side: round, no paint, no print under a seal.`,
        `Cut the piece ${length(piece)}; mark ${length(mark)} on all four ends.`,
        ...assembly.moves.map(({ words }) => `${words}.`),
      ],
      cautions: always(context),
      line: {
        start: 'free',
        corners: 'fittings',
        name: 'repair piece',
        legs: [`e ${legLength(piece, context, 'bad')} free`],
      },
      keep: {
        slips: { length: slip!, gap: DROP_IN_MM, count: 2 },
        pieces: { name: 'repair piece', length: piece, count: 1 },
      },
      assembly: { ...assembly, places },
    })
  },
}
