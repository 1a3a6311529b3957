import type { Ask } from '#core/joints'
import { formatDecimal, judgeReading, parseLength, type UnitSystem } from '#core/units'

export interface AskReading {
  value: number | null
  problem: string | null
}

/** A figure read off the work as it was typed; empty is nothing measured. */
export function readAsk(ask: Ask, typed: string, system: UnitSystem): AskReading {
  const text = typed.trim()
  if (text === '') return { value: null, problem: null }
  if (ask.unit === 'mm') {
    if (/^0+([.,]0*)?$/.test(text)) return { value: 0, problem: null }
    const length = parseLength(text, system, ask.words)
    return length.ok ? { value: length.value.mm, problem: null } : { value: null, problem: length.error.message }
  }
  const number = Number(text.replace(',', '.'))
  return /^\d{1,3}([.,]\d{1,3})?$/.test(text)
    ? { value: number, problem: null }
    : { value: null, problem: `${ask.words}: a number, such as ${formatDecimal(ask.lo, 2)}.` }
}

/** What a figure means for its step: a firm limit passed by is a check that fails. */
export function askVerdict(ask: Ask, value: number): 'holds' | 'fails' | 'care' {
  if (judgeReading(ask, value) === 'within') return 'holds'
  return ask.isFirm ? 'fails' : 'care'
}
