import { MM_PER_INCH, type Region } from '#core/units'
import { PIPES } from './pipes'
import { seriesOf } from './series'
import { inchesOf } from './sizes'
import * as gb from './tables/bs-8558'
import * as multilayer from './tables/en-multilayer-supports'
import * as ppr from './tables/dvs-2210-1'
import { CLIPS as COILS } from './tables/astm-b280'
import { CLIPS as SMALL } from './tables/small-tube'
import * as ipc from './tables/ipc-308-5'
import * as irc from './tables/irc-p2605'
import * as upc from './tables/upc-313-3'
import type { Family, Pipe, SupportRow } from './types'

export const SUPPORT_CODES = ['ipc', 'irc', 'upc', 'gb', 'en'] as const
/** Whose distances between supports a job goes by. */
export type SupportCode = (typeof SUPPORT_CODES)[number]

/** The code of a country where a job names none. */
export const supportCodeOf = (region: Region): SupportCode => (({ us: 'ipc', gb: 'gb', eu: 'en' }) as const)[region]

/** Greatest distance between supports of a pipe, mm; null where its code holds none, or speaks of storeys. */
export interface Spacing {
  horizontal: number | null
  vertical: number | null
  /** A guide stands half way up each storey besides. */
  midStorey: boolean
  /** The code's row speaks of a storey instead of a vertical length. */
  byStorey: boolean
  source: string
}

interface Table {
  rows: readonly SupportRow[]
  standard: string
  isInch: boolean
}
const INCH: Readonly<Record<'ipc' | 'irc' | 'upc', Table>> = {
  ipc: { rows: ipc.SUPPORTS, standard: ipc.SOURCE.standard, isInch: true },
  irc: { rows: irc.SUPPORTS, standard: irc.SOURCE.standard, isInch: true },
  upc: { rows: upc.SUPPORTS, standard: upc.SOURCE.standard, isInch: true },
}
const GB: Table = {
  rows: [...gb.SUPPORTS, ...multilayer.SUPPORTS, ...ppr.SUPPORTS],
  standard: gb.SOURCE.standard,
  isInch: false,
}
/** Rows that come from a table of their own, whatever the code. */
const OWN_SOURCE: Readonly<Partial<Record<Family, string>>> = {
  multilayer: multilayer.SOURCE.standard,
  'pp-r': ppr.SOURCE.standard,
}
/** Pipe counts as hot from here up, degC: ours, by the gap between cold lines and hot ones. */
const HOT_FROM_C = 30

/** British plastic plumbing pipe goes by the row of PEX, whichever plastic it is. */
const familyOf = ({ family }: Pipe): Family => (family === 'bs7291' ? 'pex' : family)

/** Families whose inch sizes are copper tube sizes: 1/8 in over the nominal, made in that size or not. */
const CTS: ReadonlySet<Family> = new Set<Family>(['copper', 'pex', 'pert', 'cpvc', 'pb', 'stainless'])
const INCH_SERIES: Readonly<Partial<Record<Family, string>>> = { multilayer: 'ml-astm', pvc: 'pvc-40', steel: 'st-40' }

/** Outside diameter that a table's own size stands for, mm; null where none is made in it. */
function odOfSize(table: Table, family: Family, nominal: string): number | null {
  if (table.isInch && CTS.has(family)) return (inchesOf(nominal) + 1 / 8) * MM_PER_INCH
  if (!table.isInch && family !== 'steel') return Number(nominal)
  const series = table.isInch ? INCH_SERIES[family] : 'st-en'
  return PIPES.find((pipe) => pipe.series === series && pipe.nominal === nominal)?.od ?? null
}

/**
 * The row of a pipe: where its own name is none of the table's sizes, that of the next smaller outside diameter, which
 * never asks for less. Null where it is smaller than every row, or its family has none.
 */
function rowOf(table: Table, pipe: Pipe): { row: SupportRow; isOther: boolean } | null {
  const family = familyOf(pipe)
  const rows = table.rows
    .filter((row) => row.family === family)
    .map((row) => ({ row, from: odOfSize(table, family, row.from) ?? 0, to: odOfSize(table, family, row.to) }))
  const known = rows
    .filter((one): one is { row: SupportRow; from: number; to: number } => one.to !== null)
    .sort((a, b) => a.from - b.from)
  const own = known.find(({ from, to }) => pipe.od >= from - 0.05 && pipe.od <= to + 0.05)
  if (own) return { row: own.row, isOther: false }
  const below = known.findLast(({ to }) => to < pipe.od)
  // A size well beyond the table's last is none of its.
  if (!below || (below === known.at(-1) && pipe.od > below.to * 1.25)) return null
  return { row: below.row, isOther: true }
}

/** Small tube goes by practice, under every code: their rows begin with stiffer tube. Null for other pipe. */
function smallSpacing({ series, nominal }: Pipe): Spacing | null {
  const row = [...COILS, ...SMALL].find((one) => one.series === series && one.nominal === nominal)
  return row
    ? {
        horizontal: row.horizontalMm,
        vertical: row.verticalMm ?? row.horizontalMm,
        midStorey: false,
        byStorey: false,
        source: [
          `typical, practice of the United States for ${seriesOf(series).standard} by outside diameter`,
          ...(row.verticalMm === null ? ['upright as across: none is held'] : []),
        ].join('; '),
      }
    : null
}

/**
 * Greatest distances between the supports of a pipe by a code, with the table; EN has rows of multilayer only and takes
 * the British ones else.
 */
export function spacingOf(code: SupportCode, pipe: Pipe, temperature = 20): Spacing | null {
  const small = smallSpacing(pipe)
  if (small) return small
  const table = code === 'gb' || code === 'en' ? GB : INCH[code]
  const found = rowOf(table, pipe)
  if (!found) return null
  const { row, isOther } = found
  const own = table.isInch ? undefined : OWN_SOURCE[row.family]
  const standard = own ?? table.standard
  const source = [
    row.typical ? `typical, ${standard}` : standard,
    ...(isOther ? [`by its row for ${row.to}, the next smaller outside diameter`] : []),
    ...(code === 'en' && own === undefined ? ['British rows: no European ones are held'] : []),
  ].join('; ')
  return {
    horizontal: temperature > HOT_FROM_C ? (row.hotMm ?? row.horizontalMm) : row.horizontalMm,
    vertical: row.verticalMm,
    midStorey: row.midStorey,
    byStorey: row.verticalMm === null,
    source,
  }
}
