import { fail, ok, type Note, type Result, type WorkingLine } from '#core/base'
import type { Pipe } from '#core/catalogue'
import type { Kit, Method } from '#core/joints'
import type { Bender } from '#core/line'
import { parseLength, type Region, unitSystemOf } from '#core/units'

/** What a guide is asked beside its own fields. */
export interface GuideContext {
  region: Region
  pipe: Pipe
  method: Method
  kit?: Kit
  bender?: Bender
}

/** One thing asked: a length as typed, or a plain number of degrees or pieces. */
interface GuideField {
  name: string
  words: string
  kind: 'length' | 'number'
  usual: (context: GuideContext) => string
  why?: string
}

/** A figure a guide comes to; null has to be measured first. */
export interface GuideFigure {
  words: string
  value: number | null
  unit: 'mm' | 'deg'
  working: WorkingLine[]
  source: string
}

export interface GuideAnswer {
  figures: GuideFigure[]
  /** What is done, in order. */
  steps: string[]
  cautions: Note[]
  /** A line that begins from it; null where it is marks only. */
  line: { start: string; corners: 'fittings' | 'bends'; legs: string[]; name: string } | null
}

export interface Guide {
  id: string
  name: string
  about: string
  fields: readonly GuideField[]
  work: (values: Readonly<Record<string, number>>, context: GuideContext) => Result<GuideAnswer>
}

/** Values of a guide's fields as typed: lengths in mm. Issue at the field's name where one cannot be read. */
export function readFields(
  { fields }: Guide,
  typed: Readonly<Record<string, string>>,
  { region }: GuideContext,
): Result<Record<string, number>> {
  const values: Record<string, number> = {}
  for (const { name, words, kind } of fields) {
    const text = (typed[name] ?? '').trim()
    if (kind === 'number') {
      const value = Number(text.replace(',', '.'))
      if (text === '' || !Number.isFinite(value) || value <= 0)
        return fail('range', name, `${words}: a number over 0 is accepted.`)
      values[name] = value
      continue
    }
    // Nought is a length here: no play, flush with the wall.
    if (/^0+(?:[.,]0+)?(?: ?(?:mm|in|"))?$/.test(text)) {
      values[name] = 0
      continue
    }
    const length = parseLength(text, unitSystemOf(region), name)
    if (!length.ok) return fail(length.error.code, name, `${words}: ${length.error.message}`)
    values[name] = length.value.mm
  }
  return ok(values)
}

export const sum = (
  lines: readonly [string, WorkingLine['op'], number, string?][],
  result: string,
  value: number,
  unit = 'mm',
): WorkingLine[] => [
  ...lines.map(([text, op, one, source]): WorkingLine => ({
    text,
    op,
    value: one,
    unit: op === 'x' || op === '/' ? '' : unit,
    ...(source === undefined ? {} : { source }),
  })),
  { text: result, op: '=', value, unit },
]
