import { firstOf, namedDiameters } from '#core/catalogue'
import { DIAMETER_RANGE } from '#core/identify'
import {
  formatDecimal,
  MM_PER_INCH,
  tickRank,
  type TickRank,
  type UnitSystem,
  type Region,
  unitSystemOf,
} from '#core/units'

/** Thickness of office paper of 80 g/m2, mm: ours. */
export const PAPER_THICKNESS_MM = 0.1

/**
 * Where a strip of paper wrapped round a diameter (mm) meets its own beginning, mm along it. The paper bends about its
 * middle, half its thickness off the pipe.
 */
export const wrapMark = (diameterMm: number): number => Math.PI * (diameterMm + PAPER_THICKNESS_MM)

/** The diameter (mm) of a strip that meets its beginning at a mark, mm along it. */
export const wrapDiameter = (markMm: number): number => markMm / Math.PI - PAPER_THICKNESS_MM

/** A line across the strip, mm along it; `text` is its diameter in the strip's unit. */
interface StripTick {
  at: number
  diameter: number
  rank: TickRank
  text: string | null
}

/** Known diameters close together, under one flag: mm along the strip, and the names of what has them. */
interface NamedMark {
  at: number
  diameter: number
  names: string[]
  label: string
  row: number
}

export interface WrapStrip {
  system: UnitSystem
  length: number
  ticks: StripTick[]
  named: NamedMark[]
  rows: number
}

/**
 * Ticks of a metric strip each half mm of diameter, figures each 2 mm; of an inch strip each 1/32 in, figures each 1/8
 * in.
 */
const STEPS: Readonly<Record<UnitSystem, { stepMm: number; middle: number; long: number }>> = {
  metric: { stepMm: 0.5, middle: 2, long: 4 },
  inch: { stepMm: MM_PER_INCH / 32, middle: 2, long: 4 },
}

const eighths = (count: number): string => {
  const [whole, rest] = [Math.floor(count / 8), count % 8]
  const under = [2, 4].find((parts) => (rest * parts) % 8 === 0) ?? 8
  return [whole || null, rest ? `${(rest * under) / 8}/${under}` : null].filter(Boolean).join(' ')
}

/**
 * A strip of a length (mm) to wrap once round a pipe: where its end meets its beginning, the tick gives the outside
 * diameter, in the region's unit or another's. Known diameters of the region stand at their marks, in rows so that names of a width (mm a letter) do not
 * run into each other.
 */
export function layWrapStrip(
  region: Region,
  lengthMm: number,
  letterMm: number,
  system: UnitSystem = unitSystemOf(region),
): WrapStrip {
  const { stepMm, middle, long } = STEPS[system]
  const most = Math.min(wrapDiameter(lengthMm), DIAMETER_RANGE.hi)
  const first = Math.ceil(DIAMETER_RANGE.lo / stepMm)
  const ticks = Array.from({ length: Math.max(0, Math.floor(most / stepMm) - first + 1) }, (_, i): StripTick => {
    const count = first + i
    const rank = tickRank(count, long, middle)
    const figure = system === 'metric' ? formatDecimal(count * stepMm, 0) : eighths(count / long)
    return { at: wrapMark(count * stepMm), diameter: count * stepMm, rank, text: rank === 'long' ? figure : null }
  })
  const ends: number[] = []
  const named = namedDiameters(region)
    .filter(({ od }) => od >= DIAMETER_RANGE.lo && od <= most)
    .map(({ od, names }): NamedMark => {
      const [at, label] = [wrapMark(od), firstOf(names)]
      const free = ends.findIndex((end) => end <= at)
      const row = free < 0 ? ends.length : free
      ends[row] = at + letterMm * (label.length + 2)
      return { at, diameter: od, names, label, row }
    })
  return { system, length: lengthMm, ticks, named, rows: ends.length }
}
