import type { Figure } from '#core/base'
import { seriesOf } from './series'
import { MADE_UP as NPT, SOURCE as NPT_SOURCE } from './tables/asme-b1-20-1'
import { CUPS as INCH_CUPS, SOURCE as INCH_CUPS_SOURCE } from './tables/asme-b16-22'
import { SOCKETS as TUBE_OD, SOURCE as TUBE_OD_SOURCE } from './tables/asme-b16-26'
import { SOCKETS as INCH_PRESS, SOURCE as INCH_PRESS_SOURCE } from './tables/asme-b16-51'
import { SOCKETS as CTS_PUSH, SOURCE as CTS_PUSH_SOURCE } from './tables/asse-1061'
import { SOCKETS as D2466, SOURCE as D2466_SOURCE } from './tables/astm-d2466'
import { SOCKETS as D2467, SOURCE as D2467_SOURCE } from './tables/astm-d2467'
import { SOCKETS as D2846, SOURCE as D2846_SOURCE } from './tables/astm-d2846'
import { SOCKETS as F1960, SOURCE as F1960_SOURCE } from './tables/astm-f1960'
import { SOCKETS as F2080, SOURCE as F2080_SOURCE } from './tables/astm-f2080'
import { BARBS as CLAMP_BARBS, RING_POSITION as CLAMP_POSITION, SOURCE as F2098_SOURCE } from './tables/astm-f2098'
import { SOCKETS as CARBON_PRESS, SOURCE as CARBON_PRESS_SOURCE } from './tables/en-10305-3'
import { SOCKETS as STAINLESS_PRESS, SOURCE as STAINLESS_PRESS_SOURCE } from './tables/en-10312'
import { SOCKETS as CONES, SOURCE as CONES_SOURCE } from './tables/en-16313'
import { SOCKETS as SLEEVES, SOURCE as SLEEVES_SOURCE } from './tables/en-iso-15875-3'
import { BARBS, RING_GAUGE, RING_POSITION, SOURCE as F1807_SOURCE } from './tables/astm-f1807'
import { MADE_UP as BSPT, SOURCE as BSPT_SOURCE } from './tables/en-10226-1'
import { CUPS as METRIC_CUPS, SOURCE as METRIC_CUPS_SOURCE } from './tables/en-1254-1'
import { SOCKETS as METRIC_COMPRESSION, SOURCE as METRIC_COMPRESSION_SOURCE } from './tables/en-1254-2'
import { SOCKETS as METRIC_PRESS, SOURCE as METRIC_PRESS_SOURCE } from './tables/en-1254-7'
import { SOCKETS as PLASTIC_PUSH, SOURCE as PLASTIC_PUSH_SOURCE } from './tables/en-iso-15876-3'
import { SOCKETS as ML_PRESS, SOURCE as ML_PRESS_SOURCE } from './tables/en-iso-21003-3'
import { SOCKETS as PE_BODIES, SOURCE as PE_BODIES_SOURCE } from './tables/iso-17885'
import type { EndRow, Family, Pipe, RingGaugeRow, SizingSystem, Source } from './types'

/** Methods whose sockets are in the tables. */
export type SocketMethod =
  | 'solder'
  | 'press'
  | 'push-fit'
  | 'compression'
  | 'crimp'
  | 'clamp'
  | 'expansion'
  | 'sliding-sleeve'
  | 'ml-press'
  | 'ml-compression'
  | 'solvent-cement'
  | 'pe-compression'

export type ThreadForm = 'npt' | 'bspt' | 'bspp'

/** A mouth that takes a tube end, with the depth it takes. */
export interface Socket {
  method: SocketMethod
  /** Size the fitting is ordered by; for an old tube in a metric body this is the body's size. */
  fittingNominal: string
  row: EndRow
  source: Source
  /** Old tube that enters a metric body only with an olive made for it. */
  converterOlive: boolean
}

interface Table {
  rows: readonly EndRow[]
  source: Source
  families: readonly Family[]
  sizing: SizingSystem
  series?: string
  /** Nominal of the fitting for a nominal of the tube, where they differ. */
  rename?: Readonly<Record<string, string>>
}

/** Compression bodies for inch tube are named by the tube's outside diameter, 1/8 in over its nominal size. */
const TUBE_OD_NAME = { '1/4': '3/8', '3/8': '1/2', '1/2': '5/8', '3/4': '7/8' } as const

/** Old British tube near enough to a metric size for a compression joint, and only for that. */
const OLD_IN_METRIC = { '3/8': '12', '1/2': '15', '1': '28', '2': '54' } as const
/** Old sizes that enter the metric body but want their own olive or a converter. */
const OLD_WITH_OLIVE = { '3/4': '22', '1-1/4': '35', '1-1/2': '42' } as const

const TABLES: Record<SocketMethod, readonly Table[]> = {
  solder: [
    { rows: INCH_CUPS, source: INCH_CUPS_SOURCE, families: ['copper'], sizing: 'cts' },
    { rows: METRIC_CUPS, source: METRIC_CUPS_SOURCE, families: ['copper'], sizing: 'en-od' },
  ],
  press: [
    { rows: INCH_PRESS, source: INCH_PRESS_SOURCE, families: ['copper'], sizing: 'cts' },
    { rows: METRIC_PRESS, source: METRIC_PRESS_SOURCE, families: ['copper'], sizing: 'en-od' },
    { rows: STAINLESS_PRESS, source: STAINLESS_PRESS_SOURCE, families: ['stainless'], sizing: 'en-od' },
    { rows: CARBON_PRESS, source: CARBON_PRESS_SOURCE, families: ['steel'], sizing: 'en-od' },
  ],
  'push-fit': [
    { rows: CTS_PUSH, source: CTS_PUSH_SOURCE, families: ['copper', 'pex', 'pert', 'cpvc'], sizing: 'cts' },
    { rows: PLASTIC_PUSH, source: PLASTIC_PUSH_SOURCE, families: ['copper', 'bs7291'], sizing: 'en-od' },
  ],
  compression: [
    {
      rows: METRIC_COMPRESSION,
      source: METRIC_COMPRESSION_SOURCE,
      families: ['copper', 'bs7291', 'stainless'],
      sizing: 'en-od',
    },
    {
      rows: METRIC_COMPRESSION,
      source: METRIC_COMPRESSION_SOURCE,
      families: ['copper'],
      sizing: 'bs-bore',
      rename: { ...OLD_IN_METRIC, ...OLD_WITH_OLIVE },
    },
    { rows: TUBE_OD, source: TUBE_OD_SOURCE, families: ['copper', 'pex'], sizing: 'cts', rename: TUBE_OD_NAME },
  ],
  crimp: [{ rows: BARBS, source: F1807_SOURCE, families: ['pex', 'pert'], sizing: 'cts' }],
  clamp: [{ rows: CLAMP_BARBS, source: F2098_SOURCE, families: ['pex', 'pert'], sizing: 'cts' }],
  expansion: [{ rows: F1960, source: F1960_SOURCE, families: ['pex'], sizing: 'cts' }],
  'sliding-sleeve': [
    { rows: F2080, source: F2080_SOURCE, families: ['pex'], sizing: 'cts' },
    { rows: SLEEVES, source: SLEEVES_SOURCE, families: ['pex'], sizing: 'own', series: 'pex-en' },
    { rows: SLEEVES, source: SLEEVES_SOURCE, families: ['multilayer'], sizing: 'own', series: 'ml-en' },
  ],
  'ml-press': [{ rows: ML_PRESS, source: ML_PRESS_SOURCE, families: ['multilayer'], sizing: 'own', series: 'ml-en' }],
  'ml-compression': [{ rows: CONES, source: CONES_SOURCE, families: ['multilayer'], sizing: 'own', series: 'ml-en' }],
  'solvent-cement': [
    { rows: D2846, source: D2846_SOURCE, families: ['cpvc'], sizing: 'cts' },
    { rows: D2466, source: D2466_SOURCE, families: ['pvc'], sizing: 'ips', series: 'pvc-40' },
    { rows: D2467, source: D2467_SOURCE, families: ['pvc'], sizing: 'ips', series: 'pvc-80' },
  ],
  'pe-compression': [{ rows: PE_BODIES, source: PE_BODIES_SOURCE, families: ['pe'], sizing: 'own', series: 'pe-en' }],
}

/** Families a method joins at all, whatever the size. */
export const familiesOf = (method: SocketMethod): readonly Family[] => [
  ...new Set(TABLES[method].flatMap((table) => table.families)),
]

const tableOf = (method: SocketMethod, pipe: Pipe): Table | undefined => {
  const { sizing } = seriesOf(pipe.series)
  return TABLES[method].find(
    (table) =>
      table.families.includes(pipe.family) &&
      table.sizing === sizing &&
      (table.series === undefined || table.series === pipe.series),
  )
}

/**
 * The socket of a method that takes this tube, or null where none is made for its outside diameter.
 * Goes by sizing system and size, never by a near outside diameter: 22.225 never enters a 22.
 */
export function findSocket(method: SocketMethod, pipe: Pipe): Socket | null {
  const key = `${method} ${pipe.id}`
  const known = SOCKETS.get(key)
  if (known !== undefined) return known
  const socket = lookUp(method, pipe)
  SOCKETS.set(key, socket)
  return socket
}

/** The tables do not change, so each pair is looked up once. */
const SOCKETS = new Map<string, Socket | null>()

function lookUp(method: SocketMethod, pipe: Pipe): Socket | null {
  const table = tableOf(method, pipe)
  if (!table) return null
  const fittingNominal = table.rename ? table.rename[pipe.nominal] : pipe.nominal
  const row = table.rows.find((candidate) => candidate.nominal === fittingNominal)
  if (!row || fittingNominal === undefined) return null
  const converterOlive = table.sizing === 'bs-bore' && pipe.nominal in OLD_WITH_OLIVE
  return { method, fittingNominal, row, source: table.source, converterOlive }
}

/** Words for the source of a depth: the standard itself, or "typical" where makers differ. */
export const sourceOf = (source: Source, typical: boolean): string =>
  typical ? `typical for ${source.standard} fittings; makers differ` : source.standard

/** Depth of a socket in mm with its range and source. Soldered cups give the standard's least depth. */
export const socketDepth = ({ row, source }: Socket): Figure => ({
  value: row.depthMm,
  lo: row.loMm,
  hi: row.hiMm,
  source: sourceOf(source, row.typical),
})

/** Length of taper thread that goes home when made up, mm; null where the size has no row. */
export function threadMadeUp(form: ThreadForm, nominal: string): Figure | null {
  const [rows, source] = form === 'npt' ? ([NPT, NPT_SOURCE] as const) : ([BSPT, BSPT_SOURCE] as const)
  const row = (rows as readonly EndRow[]).find((candidate) => candidate.nominal === nominal)
  return row ? { value: row.depthMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(source, row.typical) } : null
}

/** Distance of a crimp or clamp ring's near edge from the tube end, mm. */
export function ringPosition(nominal: string, method: 'crimp' | 'clamp' = 'crimp'): Figure | null {
  const [rows, source] =
    method === 'crimp' ? ([RING_POSITION, F1807_SOURCE] as const) : ([CLAMP_POSITION, F2098_SOURCE] as const)
  const row = (rows as readonly EndRow[]).find((candidate) => candidate.nominal === nominal)
  return row ? { value: row.depthMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(source, row.typical) } : null
}

/** Finished outside diameter of a copper crimp ring, mm, where a figure is held. */
export const ringGauge = (nominal: string): RingGaugeRow | null =>
  (RING_GAUGE as readonly RingGaugeRow[]).find((row) => row.nominal === nominal) ?? null
