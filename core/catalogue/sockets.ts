import type { Figure } from '#core/base'
import { bodySize, seriesOf } from './series'
import { STANDARDS } from './tables'
import { MADE_UP as NPT, SOURCE as NPT_SOURCE } from './tables/asme-b1-20-1'
import { RING_GAUGE, SOURCE as RING_GAUGE_SOURCE } from './tables/astm-f1807'
import { CLAMP_MM } from './tables/astm-d2609'
import { FUSION, TOOL_C } from './tables/en-iso-15874-3'
import { MADE_UP as BSPT, SOURCE as BSPT_SOURCE } from './tables/en-10226-1'
import type { EndRow, Pipe, RingGaugeRow, SocketMethod, SocketTable, Source, ThreadForm } from './types'

/** A mouth that takes a tube end, with the depth it takes. */
export interface Socket {
  method: SocketMethod
  /** Size the fitting is ordered by; for an old tube in a metric body this is the body's size. */
  fittingNominal: string
  row: EndRow
  source: Source
  /** The table it stands in. */
  table: SocketTable
  /** Old tube that enters a metric body only with an olive made for it. */
  converterOlive: boolean
}

const TABLES = STANDARDS.flatMap(({ SOURCE, SOCKET_TABLES = [] }) =>
  SOCKET_TABLES.map((table) => ({ table, source: SOURCE })),
)

/** Methods that some standard has sockets of. */
export const STANDARD_METHODS: ReadonlySet<SocketMethod> = new Set(TABLES.map(({ table }) => table.method))

/** Whether a method joins a pipe's kind at all, whatever the size. */
export const joinsKind = (method: SocketMethod, { family, series }: Pick<Pipe, 'family' | 'series'>): boolean =>
  TABLES.some(
    ({ table }) =>
      table.method === method &&
      table.families.includes(family) &&
      (table.isOfSeriesOnly === undefined || table.series === series),
  )

const tableOf = (method: SocketMethod, pipe: Pipe) => {
  const { sizing } = seriesOf(pipe.series)
  return TABLES.find(
    ({ table }) =>
      table.method === method &&
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
  const found = tableOf(method, pipe)
  if (!found) return null
  const { table, source } = found
  const size = bodySize(pipe)
  const fittingNominal = table.rename ? table.rename[size] : size
  const row = table.rows.find((candidate) => candidate.nominal === fittingNominal)
  if (!row || fittingNominal === undefined) return null
  return {
    method,
    fittingNominal,
    row,
    source,
    table,
    converterOlive: table.withOlive?.includes(pipe.nominal) ?? false,
  }
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

const threadRows = (form: ThreadForm) =>
  form === 'npt' ? ([NPT, NPT_SOURCE] as const) : ([BSPT, BSPT_SOURCE] as const)

/** Taper thread that is cut on steel pipe, by its series: its country's. */
const CUT_ON: Readonly<Record<string, ThreadForm>> = { 'st-40': 'npt', 'st-en': 'bspt' }
/** The thread that is cut on pipe of a series; null where none is. */
export const threadFormOf = (series: string): ThreadForm | null => CUT_ON[series] ?? null

/** How deep a tube goes into a socket, or a threaded pipe makes up, mm; null where no figure is held. */
export function insertionDepth(method: SocketMethod | 'thread', pipe: Pipe): Figure | null {
  if (method === 'thread') {
    const form = threadFormOf(pipe.series)
    return form ? threadMadeUp(form, pipe.nominal) : null
  }
  const socket = findSocket(method, pipe)
  return socket ? socketDepth(socket) : null
}

/** Whether a thread of a size is in the tables; parallel threads come in the sizes of the taper ones. */
export const hasThread = (form: ThreadForm, nominal: string): boolean =>
  (threadRows(form)[0] as readonly EndRow[]).some((row) => row.nominal === nominal)

/** A parallel thread goes in until its faces meet: there is no length to make up. */
const AT_ITS_FACE: Figure = { value: null, lo: null, hi: null, source: 'EN ISO 228-1: it seals at its face' }

/**
 * Length of taper thread that goes home when made up, mm; null where the size has no row. A parallel thread has no
 * length: its figures are null.
 */
export function threadMadeUp(form: ThreadForm, nominal: string): Figure | null {
  if (form === 'bspp') return hasThread(form, nominal) ? AT_ITS_FACE : null
  const [rows, source] = threadRows(form)
  const row = (rows as readonly EndRow[]).find((candidate) => candidate.nominal === nominal)
  return row ? { value: row.depthMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(source, row.typical) } : null
}

/** Distance of a ring's near edge from the tube end, mm; null where the method has no ring, or its size no row. */
export function ringPosition(method: SocketMethod, pipe: Pipe): Figure | null {
  const socket = findSocket(method, pipe)
  const standard = socket && STANDARDS.find(({ SOURCE }) => SOURCE.id === socket.source.id)
  const row = standard?.RING_POSITION?.find((candidate) => candidate.nominal === socket?.fittingNominal)
  if (!standard || !row) return null
  return { value: row.depthMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(standard.SOURCE, row.typical) }
}

/**
 * Finished outside diameter of a copper crimp ring, mm, where a figure is held: by copper tube sizes only. Composite tube
 * of the same name has another diameter and a gauge of its own, which nobody holds.
 */
export const ringGauge = ({ nominal, series }: Pick<Pipe, 'nominal' | 'series'>): RingGaugeRow | null =>
  seriesOf(series).sizing === 'cts'
    ? ((RING_GAUGE as readonly RingGaugeRow[]).find((row) => row.nominal === nominal) ?? null)
    : null

/** Words for the source of a ring's gauge; undefined where none is held. */
export function ringGaugeSource(pipe: Pick<Pipe, 'nominal' | 'series'>): string | undefined {
  const row = ringGauge(pipe)
  return row ? sourceOf(RING_GAUGE_SOURCE, row.typical) : undefined
}

/** Seconds of a fused joint by outside diameter: on the tool, to join, held, left; null where none are held. */
export const fusionOf = (nominal: string): (typeof FUSION)[number] | null =>
  FUSION.find((row) => row.nominal === nominal) ?? null

/** Temperature of the tool PP-R is fused with, degC. */
export const fusionTool = TOOL_C

/** Edge of the first band clamp on a barb, mm from the pipe's end. */
export const bandClampMm = CLAMP_MM
