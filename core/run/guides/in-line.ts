import { ok } from '#core/base'
import { fittingMouth, type Mouth } from '#core/line'
import type { LineFitting } from '#core/catalogue'
import { unitSystemOf } from '#core/units'
import { length, w } from '#core/speech'
import { typeLength } from '../write'
import { BARE_MM, DROP_IN_MM } from './allowances'
import { sum, type Guide, type GuideAnswer, type GuideContext } from './types'

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

export const TEE_IN: Guide = {
  id: 'tee-in',
  name: 'A tee into a fixed line',
  about: 'How much to cut out, how far to draw back, or a slip coupling beside it where nothing moves.',
  fields: [
    {
      name: 'play',
      words: 'The ends draw apart by',
      kind: 'length',
      usual: () => '0',
      why: 'Along the pipe, by hand, after the cut.',
    },
  ],
  work({ play }, context) {
    const { pipe } = context
    const { takeOut, insertion } = mouthOf('tee-run', context)
    const [t, depth] = [takeOut.value, insertion.value]
    const line = {
      start: 'branch',
      corners: 'fittings' as const,
      name: 'branch from the new tee',
      legs: [`d ${typeLength(500, unitSystemOf(context.region))}`],
    }
    if (t === null || depth === null) return ok({ figures: [], steps: [], cautions: [measure('tee'), HELD], line })
    const gap = 2 * t
    const gapFigure = {
      words: 'between the stops of the tee',
      value: gap,
      unit: 'mm' as const,
      source: takeOut.source,
      working: sum(
        [
          ['take-out of the tee', '+', t, takeOut.source],
          ['the same at its other end', '+', t, takeOut.source],
        ],
        'gap',
        gap,
      ),
    }
    const depthFigure = {
      words: 'depth mark on each end',
      value: depth,
      unit: 'mm' as const,
      source: insertion.source,
      working: sum([], 'depth into the tee', depth),
    }
    if (play! >= depth) {
      return ok<GuideAnswer>({
        figures: [{ ...gapFigure, words: 'cut out' }, depthFigure],
        steps: [
          'Shut off, drain, bridge a metal line.',
          `Mark and cut out ${length(gap)}; ream both ends.`,
          `Mark ${length(depth)} on both ends.`,
          'Tee fully on to one end, draw the other back, and let it in to its mark.',
        ],
        cautions: [HELD, ...(pipe.family === 'copper' ? [BOND] : [])],
        line,
      })
    }
    const slip = 2 * depth
    const stub = depth + BARE_MM + slip / 2
    const out = gap + stub + DROP_IN_MM
    return ok<GuideAnswer>({
      figures: [
        {
          words: 'cut out',
          value: out,
          unit: 'mm',
          source: takeOut.source,
          working: sum(
            [
              ['between the stops of the tee', '+', gap, takeOut.source],
              ['stub piece', '+', stub],
              ['to drop it in', '+', DROP_IN_MM, 'ours'],
            ],
            'cut out',
            out,
          ),
        },
        {
          words: 'stub piece between tee and slip coupling',
          value: stub,
          unit: 'mm',
          source: insertion.source,
          working: sum(
            [
              ['depth into the tee', '+', depth, insertion.source],
              ['bare between them', '+', BARE_MM, 'ours'],
              ['half of the slip coupling', '+', slip / 2, 'by the coupling with a stop'],
            ],
            'stub',
            stub,
          ),
        },
        {
          words: 'half mark on stub and old pipe',
          value: slip / 2,
          unit: 'mm',
          source: 'half of the slip coupling',
          working: sum(
            [
              ['slip coupling, two depths', '+', slip, insertion.source],
              ['half', '/', 2],
            ],
            'half mark',
            slip / 2,
          ),
        },
        { ...depthFigure, words: 'depth mark into the tee' },
      ],
      steps: [
        'Shut off, drain, bridge a metal line.',
        `Cut out ${length(out)}; ream both ends.`,
        `Clean ${length(slip)} of the old pipe, round and free of paint: the slip coupling parks there.`,
        'Park the slip coupling, let the tee with its stub on to the other end.',
        `Slide the coupling back until both half marks, ${length(slip / 2)}, stand at its edges.`,
      ],
      cautions: [
        { code: 'slip', text: `Less than ${length(depth)} of play: an ordinary coupling cannot go in.` },
        HELD,
        ...(pipe.family === 'copper' ? [BOND] : []),
      ],
      line,
    })
  },
}

export const REPAIR: Guide = {
  id: 'repair',
  name: 'A bad piece out, with no play',
  about: 'Two slip couplings: the length of the new piece and the half marks that keep them central.',
  fields: [
    {
      name: 'bad',
      words: 'Bad pipe, to be cut out',
      kind: 'length',
      usual: ({ region }) => (region === 'us' ? '4' : '100'),
      why: 'Back to sound pipe on both sides.',
    },
  ],
  work({ bad }, context) {
    const { insertion } = mouthOf('coupling', context)
    if (insertion.value === null) return ok({ figures: [], steps: [], cautions: [measure('coupling')], line: null })
    const slip = 2 * insertion.value
    const out = Math.max(bad!, slip + BARE_MM)
    const piece = out - 2 * DROP_IN_MM
    return ok<GuideAnswer>({
      figures: [
        {
          words: 'cut out',
          value: out,
          unit: 'mm',
          source: out > bad! ? 'so that two couplings find room' : 'as you measured',
          working:
            out > bad!
              ? sum(
                  [
                    ['one slip coupling: half of it at each end', '+', slip, insertion.source],
                    ['bare between them', '+', BARE_MM, 'ours'],
                  ],
                  'cut out',
                  out,
                )
              : sum([], 'bad pipe', out),
        },
        {
          words: 'new piece',
          value: piece,
          unit: 'mm',
          source: 'cut out, less what lets it drop in',
          working: sum(
            [
              ['cut out', '+', out],
              ['to drop it in, at both ends', '-', 2 * DROP_IN_MM, 'ours'],
            ],
            'new piece',
            piece,
          ),
        },
        {
          words: 'half marks, on both pieces at each joint',
          value: slip / 2,
          unit: 'mm',
          source: insertion.source,
          working: sum(
            [
              ['slip coupling, two depths', '+', slip, insertion.source],
              ['half', '/', 2],
            ],
            'half mark',
            slip / 2,
          ),
        },
        {
          words: 'clean old pipe each side',
          value: slip,
          unit: 'mm',
          source: insertion.source,
          working: sum([['two depths', '+', slip, insertion.source]], 'whole coupling', slip),
        },
      ],
      steps: [
        `Cut out ${length(out)}, back to sound pipe.`,
        `Clean ${length(slip)} each side: round, no paint, no print under a seal.`,
        `Cut the piece ${length(piece)}; mark half, ${length(slip / 2)}, on all four ends.`,
        'Park a slip coupling on each old end, set the piece in, slide both back to their half marks.',
      ],
      cautions: [
        HELD,
        ...(context.pipe.family === 'copper' ? [BOND] : []),
        {
          code: 'slip-length',
          text: `Slip couplings are taken as two depths long, ${length(slip)}: measure yours, and halve that.`,
        },
      ],
      line: {
        start: 'free',
        corners: 'fittings',
        name: 'repair piece',
        legs: [`e ${typeLength(piece, unitSystemOf(context.region))} free`],
      },
    })
  },
}
