import type { Figure } from '#core/base'
import { findSocket, insertionDepth, sourceOf, threadFormOf } from './sockets'
import { seriesOf } from './series'
import { STANDARDS } from './tables'
import * as npt from './tables/asme-b1-20-1'
import * as bspt from './tables/en-10226-1'
import { TYPICAL, VALVES as VALVE_ROWS } from './tables/makers-valves'
import { LINE_VALVES } from './types'
import type {
  LengthRow,
  LineFitting,
  Pipe,
  SocketMethod,
  Source,
  TakeOutRow,
  ThreadForm,
  Valve,
  ValveRow,
} from './types'

/** Rows by the standard whose sockets they belong to. */
const TABLES = new Map(STANDARDS.map((standard) => [standard.SOURCE.id, standard]))

/** Threaded fittings of steel pipe, by its series. */
const OF_THREAD: Readonly<Record<string, { rows: readonly TakeOutRow[]; source: Source }>> = {
  'st-40': { rows: npt.TAKE_OUTS, source: npt.SOURCE },
  'st-en': { rows: bspt.TAKE_OUTS, source: bspt.SOURCE },
}

/** Rows of a method on a pipe, the size its fittings are called by, and where they are from. */
function rowsFor(method: SocketMethod | 'thread', pipe: Pipe) {
  if (method === 'thread') {
    const threaded = OF_THREAD[pipe.series]
    return threaded ? { ...threaded, nominal: pipe.nominal } : null
  }
  const socket = findSocket(method, pipe)
  return socket
    ? { rows: TABLES.get(socket.source.id)?.TAKE_OUTS ?? [], source: socket.source, nominal: socket.fittingNominal }
    : null
}

/**
 * Centre of a fitting to the stop inside it for a tube, mm: typical with its range, as no standard fixes it for these
 * bodies. null where the tables hold none: then it is measured.
 */
export function findTakeOut(method: SocketMethod | 'thread', pipe: Pipe, fitting: LineFitting): Figure | null {
  if (fitting === 'cap') return capTakeOut(method, pipe)
  if (fitting in LINE_VALVES) return lineValveTakeOut(method, pipe, LINE_VALVES[fitting as keyof typeof LINE_VALVES])
  const found = rowsFor(method, pipe)
  const row = found?.rows.find((one) => one.fitting === fitting && one.nominal === found.nominal)
  return found && row
    ? { value: row.takeOutMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(found.source, true) }
    : null
}

/**
 * Middle of a reducing coupling to the stop inside it, mm: half of the gap between its tubes' ends, so that each piece
 * gives up the same. `sizes` large x small. null where the tables hold none: then it is measured.
 */
export function findReducerTakeOut(method: SocketMethod, pipe: Pipe, sizes: string): Figure | null {
  const socket = findSocket(method, pipe)
  const row = socket && TABLES.get(socket.source.id)?.REDUCERS?.find(({ nominal }) => nominal === sizes)
  return row
    ? { value: row.gapMm / 2, lo: row.loMm / 2, hi: row.hiMm / 2, source: sourceOf(socket.source, true) }
    : null
}

/** Valves with threads have parallel ones in metric countries, which a taper male is sealed into. */
function lineValveTakeOut(method: SocketMethod | 'thread', pipe: Pipe, valve: Valve): Figure | null {
  if (method !== 'thread') return findValveTakeOut(valve, { method, pipe })
  const form = threadFormOf(pipe.series)
  return form ? findValveTakeOut(valve, { method, form: form === 'npt' ? 'npt' : 'bspp', size: pipe.nominal }) : null
}

/** Whole length of what closes it, mm; null where no figure is held. */
function closerLength(method: SocketMethod | 'thread', pipe: Pipe): Figure | null {
  const form = threadFormOf(pipe.series)
  if (method !== 'thread') return findCapLength(method, pipe)
  return form ? threadCapLength('cap', form, pipe.nominal) : null
}

/** From the tube's end to the outer end of what closes it: its whole length less the depth in it. */
function capTakeOut(method: SocketMethod | 'thread', pipe: Pipe): Figure | null {
  const [whole, depth] = [closerLength(method, pipe), insertionDepth(method, pipe)]
  if (whole?.value == null || depth?.value == null) return null
  return {
    value: Math.max(0, whole.value - depth.value),
    lo: Math.max(0, (whole.lo ?? whole.value) - (depth.hi ?? depth.value)),
    hi: (whole.hi ?? whole.value) - (depth.lo ?? depth.value),
    source: whole.source,
  }
}

const asLength = ({ lengthMm, loMm, hiMm }: LengthRow, source: Source): Figure => ({
  value: lengthMm,
  lo: loMm,
  hi: hiMm,
  source: sourceOf(source, true),
})

/** Whole length of a part for a tube, mm, out of the rows of its socket's standard. */
function findLength(method: SocketMethod, pipe: Pipe, of: 'SLIP_LENGTHS' | 'CAP_LENGTHS'): Figure | null {
  const socket = findSocket(method, pipe)
  const row = socket && TABLES.get(socket.source.id)?.[of]?.find((one) => one.nominal === socket.fittingNominal)
  return row ? asLength(row, socket.source) : null
}

/** Whole length of a coupling without a stop for a tube, mm, typical with its range; null where the tables hold none. */
export const findSlipLength = (method: SocketMethod, pipe: Pipe): Figure | null =>
  findLength(method, pipe, 'SLIP_LENGTHS')

/** Whole length of a cap, plug or stop end for a tube, mm, typical with its range; null where the tables hold none. */
export const findCapLength = (method: SocketMethod, pipe: Pipe): Figure | null =>
  findLength(method, pipe, 'CAP_LENGTHS')

/** Whole length of a cap on a taper thread, or a plug in one, mm; null where the tables hold none. */
export function threadCapLength(kind: 'cap' | 'plug', form: ThreadForm, size: string): Figure | null {
  if (form === 'bspp') return null
  const { SOURCE, CAP_LENGTHS, PLUG_LENGTHS } = form === 'npt' ? npt : bspt
  const rows: readonly LengthRow[] = kind === 'cap' ? CAP_LENGTHS : PLUG_LENGTHS
  const row = rows.find(({ nominal }) => nominal === size)
  return row ? asLength(row, SOURCE) : null
}

/** What a valve's row is looked up by: its mouth's method, and what enters it. */
export type ValveMouth = { method: SocketMethod; pipe: Pipe } | { method: 'thread'; form: ThreadForm; size: string }

/** Valves of inch tube are listed by its nominal size, also where its compression nut is named by the outside. */
function isRowOf(row: ValveRow, mouth: ValveMouth): boolean {
  if (mouth.method === 'thread') return row.method === 'thread' && row.form === mouth.form && row.nominal === mouth.size
  const { pipe } = mouth
  const socket = findSocket(mouth.method, pipe)
  const nominal = seriesOf(pipe.series).sizing === 'cts' ? pipe.nominal : socket?.fittingNominal
  return (
    row.method === mouth.method &&
    row.nominal === nominal &&
    (row.family === undefined || row.family === pipe.family) &&
    // A press valve of copper's sizes is not one for stainless or carbon steel.
    (mouth.method !== 'press' || pipe.family === 'copper')
  )
}

/**
 * Middle of a valve to the stop inside it for what enters it, mm, typical with its range; of an angle valve and a drain
 * the inlet's stop to the outlet's centre line. null where the tables hold none: then it is measured.
 */
export function findValveTakeOut(valve: Valve, mouth: ValveMouth): Figure | null {
  const row = VALVE_ROWS.find((one) => one.valve === valve && isRowOf(one, mouth))
  return row ? { value: row.takeOutMm, lo: row.loMm, hi: row.hiMm, source: TYPICAL } : null
}
