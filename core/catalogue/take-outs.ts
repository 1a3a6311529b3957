import type { Figure } from '#core/base'
import { findSocket, sourceOf, type SocketMethod } from './sockets'
import { SOURCE as B16_22, TAKE_OUTS as INCH_SOLDER } from './tables/asme-b16-22'
import { SOURCE as B16_51, TAKE_OUTS as INCH_PRESS } from './tables/asme-b16-51'
import { SOURCE as ASSE_1061, TAKE_OUTS as CTS_PUSH } from './tables/asse-1061'
import { SOURCE as F1807, TAKE_OUTS as CRIMP } from './tables/astm-f1807'
import { SOURCE as F2098 } from './tables/astm-f2098'
import { SOURCE as EN_1254_1, TAKE_OUTS as METRIC_SOLDER } from './tables/en-1254-1'
import { SOURCE as EN_1254_2, TAKE_OUTS as METRIC_COMPRESSION } from './tables/en-1254-2'
import { SOURCE as EN_1254_7, TAKE_OUTS as METRIC_PRESS } from './tables/en-1254-7'
import { SOURCE as EN_15876, TAKE_OUTS as PLASTIC_PUSH } from './tables/en-iso-15876-3'
import type { LineFitting, Pipe, TakeOutRow } from './types'

/** Rows by the standard whose sockets they belong to. A clamp ring goes on the same bodies as a crimp ring. */
const TABLES: Readonly<Record<string, readonly TakeOutRow[]>> = {
  [B16_22.id]: INCH_SOLDER,
  [B16_51.id]: INCH_PRESS,
  [ASSE_1061.id]: CTS_PUSH,
  [F1807.id]: CRIMP,
  [F2098.id]: CRIMP,
  [EN_1254_1.id]: METRIC_SOLDER,
  [EN_1254_2.id]: METRIC_COMPRESSION,
  [EN_1254_7.id]: METRIC_PRESS,
  [EN_15876.id]: PLASTIC_PUSH,
}

/**
 * Centre of a fitting to the stop inside it for a tube, mm: typical with its range, as no standard fixes it for these
 * bodies. null where the tables hold none: then it is measured.
 */
export function findTakeOut(method: SocketMethod, pipe: Pipe, fitting: LineFitting): Figure | null {
  const socket = findSocket(method, pipe)
  const row =
    socket && TABLES[socket.source.id]?.find((one) => one.fitting === fitting && one.nominal === socket.fittingNominal)
  return row ? { value: row.takeOutMm, lo: row.loMm, hi: row.hiMm, source: sourceOf(socket.source, true) } : null
}
