import { isAtFace, type End, type OtherEnd, type Way } from '#core/joints'
import type { UnitSystem } from '#core/units'
import { scaleText } from '~/reading/format'
import { layOutWay, type ChainLayout } from './joint-layout'
import { SECTION_TOP, sectionLabels, type DrawnDepth, type SectionLabels } from './section-labels'

/** A way cut through on a sheet, px: its scale, where it stands, its dimensions and all that is written. */
export interface Section {
  layout: ChainLayout
  /** Px for a mm, along and across. */
  k: number
  /** The drawing's left edge, the pipe's centre line, the drawing's upper edge. */
  shift: number
  cy: number
  top: number
  dims: DrawnDepth[]
  /** Where a closed end is solid, from the drawing's left edge. */
  shutAt: number | null
  labels: SectionLabels
}

interface Sheet {
  system: UnitSystem
  width: number
  height: number
  /** Small, in a row: nothing is written. */
  compact: boolean
  /** Of the valve, measured from its middle to its stop, mm. */
  takeOut?: number
}

/** Room for the scale under the drawing, px. */
const FOOT = 20
const SIDE = 8
/** How far over the largest radius the drawing reaches. */
const REACH = 1.15

export function layOutSection(way: Way, a: End, b: OtherEnd, sheet: Sheet): Section {
  const { system, width, height, compact, takeOut } = sheet
  const layout = layOutWay(way, a, b, { ...(compact ? { bare: 4 } : {}), takeOut })
  const room = compact ? height - 2 : height - SECTION_TOP - FOOT
  const fit = Math.min((width - 2 * SIDE) / layout.length, room / ((1 + REACH) * layout.radius))
  const k = compact ? fit : Math.max(0.2, Math.floor(fit * 10) / 10)
  const shift = compact ? 0 : Math.max(SIDE, (width - layout.length * k) / 2)
  const cy = compact ? height / 2 : SECTION_TOP + room / 2
  const dims = layout.depths
    .filter(({ joint }) => !isAtFace(joint))
    .map(({ at, joint, from, to }): DrawnDepth => ({
      at,
      isEnd: joint.on !== 'between',
      mm: joint.insertion.value,
      x1: shift + from * k,
      x2: shift + to * k,
    }))
  const shut = layout.bodies.find(({ isShut }) => isShut)
  const shutAt = shut && !compact ? shut.to * k : null
  const scale = scaleText(k, system)
  const tail = layout.hasTail ? ', tail broken' : ''
  const labels = sectionLabels({
    depths: dims,
    ...{ system, width, height },
    notes: [`${scale}; fittings drawn to typical figures${tail}`, `${scale}; fittings typical${tail}`, scale],
    shut: shutAt === null ? null : { x: shift + shutAt, cy },
  })
  return { layout, k, shift, cy, top: cy - layout.radius * REACH * k, dims, shutAt, labels }
}
