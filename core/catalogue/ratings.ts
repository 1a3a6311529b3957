import { INCH_ORDER } from './sizes'
import { RATINGS as SOLDER_INCH, SOURCE as SOLDER_INCH_SOURCE } from './tables/asme-b16-22'
import { RATINGS as PRESS_INCH, SOURCE as PRESS_INCH_SOURCE } from './tables/asme-b16-51'
import { RATINGS as PUSH_CTS, SOURCE as PUSH_CTS_SOURCE } from './tables/asse-1061'
import { RATINGS as D1785, SOURCE as D1785_SOURCE } from './tables/astm-d1785'
import { RATINGS as B88, SOURCE as B88_SOURCE } from './tables/astm-b88'
import { RATINGS as D2846, SOURCE as D2846_SOURCE } from './tables/astm-d2846'
import { RATINGS as F1281, SOURCE as F1281_SOURCE } from './tables/astm-f1281'
import { RATINGS as CRIMP, SOURCE as CRIMP_SOURCE } from './tables/astm-f1807'
import { RATINGS as F2769, SOURCE as F2769_SOURCE } from './tables/astm-f2769'
import { RATINGS as F876, SOURCE as F876_SOURCE } from './tables/astm-f876'
import { RATINGS as BS7291, SOURCE as BS7291_SOURCE } from './tables/bs-7291'
import { RATINGS as EN1057, SOURCE as EN1057_SOURCE } from './tables/en-1057'
import { RATINGS as EN12201, SOURCE as EN12201_SOURCE } from './tables/en-12201'
import { RATINGS as SOLDER_METRIC, SOURCE as SOLDER_METRIC_SOURCE } from './tables/en-1254-1'
import { RATINGS as COMPRESSION, SOURCE as COMPRESSION_SOURCE } from './tables/en-1254-2'
import { RATINGS as PRESS_METRIC, SOURCE as PRESS_METRIC_SOURCE } from './tables/en-1254-7'
import { RATINGS as PUSH_PLASTIC, SOURCE as PUSH_PLASTIC_SOURCE } from './tables/en-iso-15876-3'
import { RATINGS as EN21003, SOURCE as EN21003_SOURCE } from './tables/en-iso-21003'
import { RATINGS as ML_PRESS, SOURCE as ML_PRESS_SOURCE } from './tables/en-iso-21003-3'
import { RATINGS as PE_BODY, SOURCE as PE_BODY_SOURCE } from './tables/iso-17885'
import type { Socket } from './sockets'
import { seriesOf } from './series'
import type { Pipe, PipeRatingRow, RatingRow, Source } from './types'

/** `rated`: bar at the row used. `beyond`: rows exist, none at or above the temperature. `none`: no figure held. */
export type Rating =
  { kind: 'rated'; bar: number; tempC: number; source: string } | { kind: 'beyond' } | { kind: 'none' }

interface Rows {
  rows: readonly RatingRow[]
  source: Source
}

const ratingSource = ({ standard }: Source, typical: boolean): string => `${typical ? 'typical, ' : ''}${standard}`

/** The row at the next higher temperature; rows without a figure are skipped. */
function lookUp({ rows, source }: Rows, tempC: number): Rating {
  const known = rows.filter((row): row is RatingRow & { maxBar: number } => row.maxBar !== null)
  if (known.length === 0) return { kind: 'none' }
  const row = known.filter((candidate) => candidate.tempC >= tempC).sort((a, b) => a.tempC - b.tempC)[0]
  return row
    ? { kind: 'rated', bar: row.maxBar, tempC: row.tempC, source: ratingSource(source, row.typical) }
    : { kind: 'beyond' }
}

const PIPE_TABLES: Readonly<Record<string, Rows>> = {
  'pex-cts': { rows: F876, source: F876_SOURCE },
  'pert-cts': { rows: F2769, source: F2769_SOURCE },
  'cpvc-cts': { rows: D2846, source: D2846_SOURCE },
  'ml-astm': { rows: F1281, source: F1281_SOURCE },
  'ml-en': { rows: EN21003, source: EN21003_SOURCE },
  'pe-en': { rows: EN12201, source: EN12201_SOURCE },
  bs7291: { rows: BS7291, source: BS7291_SOURCE },
}

/** The rows of a tube at a temper. Soft inch copper goes by the annealed rows; the metric rows are for half-hard tube, none is held for soft. */
function tubeRows(pipe: Pipe, temper: 'hard' | 'soft'): Rows {
  const whole = PIPE_TABLES[pipe.series]
  if (whole) return whole
  if (pipe.family === 'pvc') return { rows: D1785.filter(({ of }) => of === pipe.id), source: D1785_SOURCE }
  if (pipe.standard === 'ASTM B88')
    return {
      rows: (B88 as readonly RatingRow[]).filter(
        ({ of }) => of === `${pipe.id} ${temper === 'soft' ? 'annealed' : 'drawn'}`,
      ),
      source: B88_SOURCE,
    }
  return {
    rows: temper === 'soft' ? [] : (EN1057 as readonly RatingRow[]).filter(({ of }) => of === pipe.id),
    source: EN1057_SOURCE,
  }
}

/** Pressure the tube itself takes at a temperature. */
export const pipeRating = (pipe: Pipe, tempC: number, temper: 'hard' | 'soft'): Rating =>
  lookUp(tubeRows(pipe, temper), tempC)

/** Every rating held of a tube, by temper and temperature. */
export function pipeRatings(pipe: Pipe): PipeRatingRow[] {
  const tempers = PIPE_TABLES[pipe.series] || pipe.family === 'pvc' ? [null] : (['hard', 'soft'] as const)
  return tempers.flatMap((temper) => {
    const { rows, source } = tubeRows(pipe, temper ?? 'hard')
    return rows
      .flatMap(({ tempC, maxBar, typical }): PipeRatingRow[] =>
        maxBar === null ? [] : [{ tempC, bar: maxBar, temper, source: ratingSource(source, typical) }],
      )
      .sort((x, y) => x.tempC - y.tempC)
  })
}

const inRange = (range: string, nominal: string): boolean => {
  const order = (size: string) => (/^\d+$/.test(size) && Number(size) > 2 ? Number(size) : INCH_ORDER.indexOf(size))
  const [from, to] =
    range === '1/8-1' ? ['1/8', '1'] : range === '1-1/4-2' ? ['1-1/4', '2'] : (range.split('-') as [string, string])
  return order(nominal) >= order(from) && order(nominal) <= order(to)
}

/** Pressure the joint takes at a temperature, whatever the tube. */
export function jointRating(socket: Socket, pipe: Pipe, tempC: number): Rating {
  const inch = seriesOf(pipe.series).sizing === 'cts'
  switch (socket.method) {
    case 'solder': {
      const all: Rows = inch
        ? { rows: SOLDER_INCH, source: SOLDER_INCH_SOURCE }
        : { rows: SOLDER_METRIC, source: SOLDER_METRIC_SOURCE }
      return lookUp({ ...all, rows: all.rows.filter((row) => inRange(row.of, socket.fittingNominal)) }, tempC)
    }
    case 'press':
      return lookUp(
        inch ? { rows: PRESS_INCH, source: PRESS_INCH_SOURCE } : { rows: PRESS_METRIC, source: PRESS_METRIC_SOURCE },
        tempC,
      )
    case 'push-fit':
      return lookUp(
        inch ? { rows: PUSH_CTS, source: PUSH_CTS_SOURCE } : { rows: PUSH_PLASTIC, source: PUSH_PLASTIC_SOURCE },
        tempC,
      )
    // Inch compression stops carry no figure in the tables.
    case 'compression':
      return inch ? { kind: 'none' } : lookUp({ rows: COMPRESSION, source: COMPRESSION_SOURCE }, tempC)
    case 'crimp':
    case 'clamp':
      return lookUp({ rows: CRIMP, source: CRIMP_SOURCE }, tempC)
    case 'ml-press':
    case 'ml-compression':
      return lookUp({ rows: ML_PRESS, source: ML_PRESS_SOURCE }, tempC)
    // As the tube itself.
    case 'expansion':
    case 'sliding-sleeve':
    case 'solvent-cement':
      return pipeRating(pipe, tempC, 'hard')
    case 'pe-compression':
      return lookUp({ rows: PE_BODY, source: PE_BODY_SOURCE }, tempC)
  }
}
