import type { Figure } from '#core/base'
import { findSocket, sourceOf } from './sockets'
import { STANDARDS } from './tables'
import { SOURCE as NPT_SOURCE, TAKE_OUTS as NPT } from './tables/asme-b1-20-1'
import { SOURCE as BSPT_SOURCE, TAKE_OUTS as BSPT } from './tables/en-10226-1'
import type { LineFitting, Pipe, SocketMethod, Source, TakeOutRow } from './types'

/** Rows by the standard whose sockets they belong to. */
const TABLES = new Map(STANDARDS.map((standard) => [standard.SOURCE.id, standard]))

/** Threaded fittings of steel pipe, by its series. */
const OF_THREAD: Readonly<Record<string, { rows: readonly TakeOutRow[]; source: Source }>> = {
  'st-40': { rows: NPT, source: NPT_SOURCE },
  'st-en': { rows: BSPT, source: BSPT_SOURCE },
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
  const found = rowsFor(method, pipe)
  const row = found?.rows.find((one) => one.fitting === fitting && one.nominal === found.nominal)
  return found && row
    ? { value: row.takeOutMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(found.source, true) }
    : null
}

/** Whole length of a coupling without a stop for a tube, mm, typical with its range; null where the tables hold none. */
export function findSlipLength(method: SocketMethod, pipe: Pipe): Figure | null {
  const socket = findSocket(method, pipe)
  const row = socket && TABLES.get(socket.source.id)?.SLIP_LENGTHS?.find((one) => one.nominal === socket.fittingNominal)
  return row ? { value: row.lengthMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(socket.source, true) } : null
}
