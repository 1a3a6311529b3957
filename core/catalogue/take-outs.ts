import type { Figure } from '#core/base'
import { findSocket, sourceOf } from './sockets'
import { STANDARDS } from './tables'
import type { LineFitting, Pipe, SocketMethod } from './types'

/** Rows by the standard whose sockets they belong to. */
const TABLES = new Map(STANDARDS.map(({ SOURCE, TAKE_OUTS = [] }) => [SOURCE.id, TAKE_OUTS]))

/**
 * Centre of a fitting to the stop inside it for a tube, mm: typical with its range, as no standard fixes it for these
 * bodies. null where the tables hold none: then it is measured.
 */
export function findTakeOut(method: SocketMethod, pipe: Pipe, fitting: LineFitting): Figure | null {
  const socket = findSocket(method, pipe)
  const row =
    socket &&
    TABLES.get(socket.source.id)?.find((one) => one.fitting === fitting && one.nominal === socket.fittingNominal)
  return row ? { value: row.takeOutMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(socket.source, true) } : null
}
