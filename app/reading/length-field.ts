import { parseLength, type UnitSystem } from '#core/units'

/** A length as it is typed where nought is one too, mm; null where it is none. */
export function readLengthField(text: string, system: UnitSystem): number | null {
  if (/^\s*0\s*$/.test(text)) return 0
  const read = parseLength(text, system, 'length')
  return read.ok ? read.value.mm : null
}
