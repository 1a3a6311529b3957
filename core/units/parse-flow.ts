import { fail, ok, type Result } from '#core/base'
import type { UnitSystem } from './system'

/** l/s in one unit of each, by the letters it is written with. US gallons. */
const PER: readonly (readonly [RegExp, number])[] = [
  [/^l\/?s$/, 1],
  [/^l\/?min$|^lpm$/, 1 / 60],
  [/^gpm$|^gal\/?min$/, 3.785411784 / 60],
  [/^m3\/?h$/, 1000 / 3600],
]
/** Flows as each reader types them, for a field or a sentence that asks for one. */
export const FLOW_EXAMPLES: Readonly<Record<UnitSystem, string>> = { metric: '0.2 l/s or 12 l/min', inch: '3 gpm' }
/** Most that is met in a house, l/s. */
const MOST = 1000

/**
 * A flow as the trade writes it, in l/s: `0.2`, `12 l/min`, `3 gpm`. A bare number is l/s, in inch countries gallons a
 * minute.
 */
export function parseFlow(text: string, system: UnitSystem, path = 'flow'): Result<number> {
  const found = /^(\d{1,6}(?:[.,]\d{1,6})?)\s*([a-z0-9/]*)$/i.exec(text.trim())
  const bare = system === 'inch' ? 'gpm' : 'l/s'
  const unit = found?.[2] === '' ? bare : found?.[2]?.toLowerCase()
  const per = unit === undefined ? undefined : PER.find(([letters]) => letters.test(unit))?.[1]
  const value = found && per !== undefined ? Number(found[1]!.replace(',', '.')) * per : null
  if (value === null)
    return fail(
      'not-understood',
      path,
      `${path}: "${text.trim().slice(0, 20)}" is no flow. Accepted: 0.2 l/s, 12 l/min, 3 gpm.`,
    )
  return value <= MOST ? ok(value) : fail('range', path, `${path}: up to ${MOST} l/s is accepted.`)
}
