import { fail, ok, type Note, type Result, type WorkingLine } from '#core/base'
import type { Pipe } from '#core/catalogue'
import type { Kit, Method } from '#core/joints'
import type { Bender } from '#core/line'
import type { Assembly, Places } from '../assembly'
import { parseLength, type Region, unitSystemOf } from '#core/units'
import { typeLength } from '../write'

/** What a guide is asked beside its own fields. */
export interface GuideContext {
  region: Region
  pipe: Pipe
  method: Method
  kit?: Kit
  bender?: Bender
  /** Whether a field holds what somebody typed, not what usually stands there; every field does where it is not said. */
  isTyped?: (field: string) => boolean
}

/**
 * A length of a guide's line, mm, as it is typed in a leg: not measured yet (`~`) unless every field that it hangs on was
 * typed. One that hangs on none is ours.
 */
export function legLength(mm: number, { region, isTyped = () => true }: GuideContext, ...fields: string[]): string {
  const isMeasured = fields.length > 0 && fields.every(isTyped)
  return `${isMeasured ? '' : '~'}${typeLength(mm, unitSystemOf(region))}`
}

/** One thing asked: a length as typed, or a plain number of degrees or pieces. */
interface GuideField {
  name: string
  words: string
  kind: 'length' | 'number' | 'size'
  usual: (context: GuideContext) => string
  why?: string
  /** Nothing typed is not known yet: NaN. */
  mayBeBlank?: true
  /** What a size is picked from; its value is its place among them. */
  options?: (context: GuideContext) => readonly string[]
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
  line: { start: string; corners: 'fittings' | 'bends'; legs: string[]; name: string; pipe?: string } | null
  /** What of it is made and cut elsewhere: couplings without a stop, pieces of the line's own pipe. Lengths mm. */
  keep?: {
    slips: { length: number; gap: number; count: number }
    pieces: { name: string; length: number; count: number }
  }
  /** Its parts with every move, swept: where each stands before the first and after each. */
  assembly?: Assembly & { places: readonly Places[] }
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
  context: GuideContext,
): Result<Record<string, number>> {
  const { region } = context
  const values: Record<string, number> = {}
  for (const { name, words, kind, mayBeBlank, options } of fields) {
    const text = (typed[name] ?? '').trim()
    if (kind === 'size') {
      const at = options!(context).indexOf(text)
      if (at < 0) return fail('unknown-id', name, `${words}: ${options!(context).join(', ')} are accepted.`)
      values[name] = at
      continue
    }
    // Free is enough, whatever is asked of it.
    if (kind === 'length' && /^(?:free|enough)$/i.test(text)) {
      values[name] = Infinity
      continue
    }
    if (mayBeBlank && text === '') {
      values[name] = NaN
      continue
    }
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
