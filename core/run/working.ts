import type { WorkingLine } from '#core/base'
import type { Piece } from '#core/line'
import { formatDecimal, type Region } from '#core/units'
import { length, speakAll, w } from '#core/speech'
import { rowsAlong } from './rows'
import type { RunDraft, RunRow } from './types'

const line = (text: string, op: WorkingLine['op'], value: number, source: string): WorkingLine => ({
  text,
  op,
  value,
  unit: 'mm',
  source,
})

/** What a row adds to a piece: its length as measured, less what it stands off walls. */
function lengthLines({ leg, from, to }: RunRow): WorkingLine[] {
  const { length: own, measured, wall } = leg!
  const words = { centre: w.centre, stop: 'stop', face: 'face' } as const
  return [
    line(
      `${from} to ${to}, ${wall.begin === null ? words[measured.begin] : 'wall'} to ${wall.end === null ? words[measured.end] : 'wall'}`,
      '+',
      own.mm,
      'measured',
    ),
    ...[wall.begin, wall.end].flatMap((off) =>
      off === null ? [] : [line(`${w.centre} line stands off the wall`, '-', off, 'measured')],
    ),
  ]
}

/** What a step aside or a crossover adds: the slant, less the run it covers. */
function stepLines({ leg }: RunRow): WorkingLine[] {
  if (leg?.offset) {
    const { angle, set, roll } = leg.offset
    const trueSet = Math.hypot(set.mm, roll?.mm ?? 0)
    const radians = (angle * Math.PI) / 180
    const covers = angle === 90 ? 0 : trueSet / Math.tan(radians)
    return [
      line(
        `travel, ${length(trueSet)} ÷ sin ${formatDecimal(angle, 1)}°`,
        '+',
        trueSet / Math.sin(radians),
        'the step aside',
      ),
      ...(covers > 0 ? [line('the run it covers', '-', covers, 'in the length above')] : []),
    ]
  }
  if (!leg?.over) return []
  const { angle, height } = leg.over
  const radians = (angle * Math.PI) / 180
  return [
    line(
      `two slopes, 2 × ${length(height.mm)} ÷ sin ${formatDecimal(angle, 1)}°`,
      '+',
      (2 * height.mm) / Math.sin(radians),
      'the crossover',
    ),
    line('the run they cover', '-', (2 * height.mm) / Math.tan(radians), 'in the length above'),
  ]
}

/**
 * The sum of a piece in the order a hand does it: lengths as measured, take-outs, the slant of a step aside less what it
 * covers, gains of the bends, cut. Adds up to the piece's own cut. A row of more than one piece keeps the piece's own sum.
 */
export const workPiece = (draft: RunDraft, piece: Piece, region: Region): WorkingLine[] =>
  speakAll(sumOf(draft, piece), region)

function sumOf({ rows }: RunDraft, piece: Piece): WorkingLine[] {
  const own = rowsAlong(rows, piece.legs).map((i) => rows[i]!)
  const isWhole = own.every(({ legs }) => piece.legs.includes(legs![0]) && piece.legs.includes(legs![1]))
  if (!isWhole || own.some(({ leg }) => leg === null)) return piece.working
  const [ends, rest] = [
    piece.working.slice(piece.legs.length).filter(({ op, text }) => op !== '=' && !text.startsWith('gain')),
    piece.working.filter(({ op, text }) => op === '=' || text.startsWith('gain')),
  ]
  const gains = rest.filter(({ op }) => op === '-')
  // Bends alike are one line of the sum.
  const grouped = gains.reduce<{ of: WorkingLine; count: number }[]>((groups, one) => {
    const same = groups.find(({ of }) => of.text === one.text)
    if (same) same.count += 1
    else groups.push({ of: one, count: 1 })
    return groups
  }, [])
  return [
    ...own.flatMap(lengthLines),
    ...ends,
    ...own.flatMap(stepLines),
    ...grouped.map(({ of, count }) => ({
      ...of,
      text: of.text
        .replace('gain of the bend', count === 1 ? 'bend gain' : `bend gain, ${count} × ${length(of.value)}`)
        .replace(/ at radius .*$/, ''),
      value: of.value * count,
      source: `${/at (radius .*)$/.exec(of.text)?.[1] ?? ''}: ${of.source?.replace('measured: the bender', 'your test bend') ?? ''}`,
    })),
    ...rest.filter(({ op }) => op === '='),
  ]
}
