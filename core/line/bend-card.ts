import { getPipe } from '#core/catalogue'
import { formatDecimal, type Region } from '#core/units'
import { length, speakAll, w } from '#core/speech'
import { arcOfBend } from './bend'
import { orderBends } from './order'
import type { Piece, PieceMark } from './types'

/*
 * How the bends of one piece are pulled by hand, step by step. Every mark is made on the straight tube before the first
 * pull, as the distances along it are those of the developed length.
 */

export type BendStepCode = 'cut' | 'line' | 'mark' | 'set' | 'pull' | 're-entry' | 'square' | 'wobble' | 'trim'

export interface BendStep {
  code: BendStepCode
  do: string
  why?: string
  check?: string
  caution?: string
  bend?: number
  /** What the hand needs at it: mm along the tube, or degrees. */
  figure?: { value: number; unit: 'mm' | 'degrees' }
}
export interface BendRemedy {
  do: string
  again: 'step' | 'end'
  reuses: false
}

export interface BendCard {
  steps: BendStep[]
  /** The figures it was drawn up by: steps done to other figures do not count for it. */
  marks: string
}

/** Left over for the hands at the end of a piece that is bent before it is trimmed, mm. Ours. */
export const BEND_SPARE = 100

type BendMark = Extract<PieceMark, { what: 'bend' }>
const bendsOf = ({ marks }: Piece): BendMark[] => marks.filter((mark) => mark.what === 'bend')
const degrees = (angle: number): string => `${formatDecimal(angle, 1)}°`

/** How a bend lies to the one pulled before it, seen along the tube from the end that was pulled first. */
function turnWords(turn: number, from: 'left' | 'right'): string {
  if (turn < 0.5 || turn > 359.5) return 'the same way as the bend before'
  if (Math.abs(turn - 180) < 0.5) return 'opposite to the bend before'
  return turn < 180
    ? `${degrees(turn)} clockwise from the bend before, seen from the ${from} end`
    : `${degrees(360 - turn)} ${w.anticlockwise} from the bend before, seen from the ${from} end`
}

/** Whether all its bends lie in one plane, so that it can be laid flat. */
const isFlat = (bends: readonly BendMark[]): boolean =>
  bends.slice(1).every(({ turn }) => [0, 180, 360].some((plane) => Math.abs(turn - plane) < 0.5))

/**
 * The card of a piece with bends; null where it has none, or its length is not known. `school` is where the mark goes: at
 * the former's hook edge, or the corner sighted with an offcut laid in the former. Lengths mm from the left end.
 */
export function bendCard(piece: Piece, school: 'hook' | 'corner', region: Region): BendCard | null {
  const bends = bendsOf(piece)
  if (piece.cut === null || bends.length === 0) return null
  const { cut } = piece
  const pulls = orderBends(piece, getPipe(piece.pipe).od)
  const pullOf = (i: number) => pulls.find(({ bend }) => bend === i + 1)!
  const from = pulls[0]!.bend === 1 ? ('left' as const) : ('right' as const)
  const markOf = (i: number) => (school === 'corner' ? bends[i]!.corner : pullOf(i).hook)
  const name = (i: number) => (bends.length === 1 ? 'the bend' : `bend ${i + 1}`)
  const steps: BendStep[] = [
    {
      code: 'cut',
      figure: { value: cut + BEND_SPARE, unit: 'mm' },
      do: `Cut it long: ${length(cut + BEND_SPARE)}`,
      why: `The piece is ${length(cut)}; the rest is for your hands, and is trimmed last. It cannot be put back.`,
      caution: `${w.Swarf} and the cut end are sharp.`,
    },
    ...(bends.length > 1
      ? [{ code: 'line', do: 'Draw a line along the whole tube', why: 'It keeps the bends in their planes.' } as const]
      : []),
    ...bends.map((_, i): BendStep => ({
      code: 'mark',
      bend: i,
      figure: { value: markOf(i), unit: 'mm' },
      do: `Mark ${length(markOf(i))} from the left end, right round, for ${name(i)}`,
      why:
        school === 'hook'
          ? 'This mark goes to the hook edge of the former. Some mark the corner and sight it with an offcut.'
          : 'This is the corner: the axis of an offcut laid in the former hits it. Some measure back and use the hook edge.',
    })),
    ...pulls.flatMap((pull, order): BendStep[] => {
      const i = pull.bend - 1
      const bend = bends[i]!
      // The turn stands with the later of two neighbours along the tube.
      const turn = order === 0 ? 0 : bends[from === 'left' ? i : i + 1]!.turn
      const mark = school === 'hook' ? 'mark at the hook edge' : 'sight the corner mark with the offcut'
      const turns = order === 0 ? '' : `; it turns ${turnWords(turn, from)}`
      const usualWhy =
        order === 0
          ? 'The shorter leg is in the hook, the long one swings free.'
          : 'Look which way it turns before you pull: the bend before must clear the former.'
      return [
        {
          code: 'set',
          bend: i,
          do: `Lay ${bends.length === 1 ? 'it' : name(i)} in the former, ${pull.holds} end in the hook: ${mark}${turns}`,
          why:
            pull.straight < pull.needs
              ? `Only ${length(Math.max(0, pull.straight))} straight to hold: leave that end long and trim it after.`
              : usualWhy,
          check: 'Held up to the drawing, it turns the same way.',
        },
        {
          code: 'pull',
          bend: i,
          figure: { value: bend.pull ?? bend.angle, unit: 'degrees' },
          do:
            bend.pull === undefined
              ? `Pull to ${degrees(bend.angle)} and a touch past`
              : `Pull to ${degrees(bend.pull)}`,
          why:
            bend.pull === undefined
              ? 'It springs back 1 to 5°; a test bend in Kit says how much yours does.'
              : `It springs back to ${degrees(bend.angle)}, by your test bend.`,
          caution: 'Fingers clear of former and guide.',
        },
        {
          code: 're-entry',
          bend: i,
          do: 'Mark where it leaves the former, then take it out',
          why: 'By that mark it goes back in the same place.',
        },
        {
          code: 'square',
          bend: i,
          do:
            Math.abs(bend.angle - 90) < 0.5 ? 'Lay a square in it' : `Lay a gauge set to ${degrees(bend.angle)} in it`,
          check: 'Touches both legs all along.',
        },
      ]
    }),
    ...(bends.length > 1
      ? [
          isFlat(bends)
            ? ({
                code: 'wobble',
                do: 'Lay it on a flat floor',
                why: 'All its bends lie in one plane.',
                check: 'It does not rock.',
              } as const)
            : ({
                code: 'wobble',
                do: 'Sight along it from the left end',
                why: `The turns are ${bends
                  .slice(1)
                  .map(({ turn }) => degrees(turn))
                  .join(', ')}, clockwise.`,
                check: 'Each leg points where the drawing has it.',
              } as const),
        ]
      : []),
    {
      code: 'trim',
      figure: { value: lastLeg(piece, bends), unit: 'mm' },
      do: `Trim to ${length(lastLeg(piece, bends))} past the last corner, ream and deburr`,
      why: 'Measured from the corner, so that what the bends took is not lost.',
      check: `Along the tube it was ${length(cut)}.`,
    },
  ]
  const round = (mm: number) => Math.round(mm * 10) / 10
  return {
    steps: speakAll(steps, region),
    marks: [
      school,
      round(cut),
      ...bends.map((bend, i) => `${round(markOf(i))}/${round(bend.angle)}/${round(bend.turn)}`),
    ].join(' '),
  }
}

/**
 * From the last corner to the right end, measured straight along the leg, mm: its straight and the tangent of the bend.
 */
function lastLeg({ cut }: Piece, bends: readonly BendMark[]): number {
  const last = bends.at(-1)!
  return cut! - last.at - arcOfBend(last) + (last.corner - last.at)
}

const REMEDIES: Readonly<Partial<Record<BendStepCode, BendRemedy>>> = {
  set: { do: 'Take it out and turn it: pulled the wrong way it is scrap', again: 'step', reuses: false },
  square: {
    do: 'Back in the former at the re-entry mark: pull a touch more, or press it open on the floor. Never opened by more than a few degrees',
    again: 'step',
    reuses: false,
  },
  wobble: {
    do: 'Clamp one bend in the former and twist the other leg back into the plane. A twist of over 10 degrees wrinkles it: begin again',
    again: 'step',
    reuses: false,
  },
}

/** What to do where the check of a bend's step fails. */
export const bendRemedy = (code: BendStepCode): BendRemedy =>
  REMEDIES[code] ?? { do: 'Put it right and do this step again', again: 'step', reuses: false }
