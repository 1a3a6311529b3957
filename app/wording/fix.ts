import type { SupportCode } from '#core/catalogue'
import type { FixedLine, Support } from '#core/supports'
import { formatLength, type UnitSystem } from '#core/units'

export const KIND_WORDS: Readonly<Record<Support['kind'], string>> = {
  clip: 'clip',
  guide: 'sliding clip',
  anchor: 'anchor',
}

export const CODE_WORDS: Readonly<Record<SupportCode, string>> = {
  ipc: 'IPC',
  irc: 'IRC',
  upc: 'UPC',
  gb: 'GB',
  en: 'EN',
}

/** A leg by the letters of its row. */
export function legNameOf(fixed: FixedLine, index: number): string {
  const row = fixed.draft.rows.find(({ legs }) => legs && index >= legs[0] && index <= legs[1])
  return row ? `${row.from} to ${row.to}` : `leg ${index + 1}`
}

/** A distance of a table, in the reader's unit without its name: the heading has it. */
export const spacingText = (mm: number | null, system: UnitSystem): string =>
  mm === null ? 'none' : formatLength(mm, system).replace(/ \(.*/, '').replace(/ mm$/, '')
