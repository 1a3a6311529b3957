import { select } from 'd3-selection'
import { zoom, zoomIdentity } from 'd3-zoom'

/** How a sheet is looked at: enlarged by `k`, moved by px. */
export interface View {
  k: number
  x: number
  y: number
}

/** Lets a sheet be moved and enlarged by finger and wheel, but for what is pulled by its grips. */
export function letPan(svg: SVGSVGElement, onView: (view: View) => void) {
  const behaviour = zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.4, 12])
    .filter((event) => !(event.target as Element).closest('[data-grip]') && !event.button)
    .on('zoom', ({ transform: { k, x, y } }) => onView({ k, x, y }))
  const sheet = select(svg).call(behaviour).on('dblclick.zoom', null)
  return {
    by: (factor: number) => void sheet.call(behaviour.scaleBy, factor),
    fit: () => void sheet.call(behaviour.transform, zoomIdentity),
  }
}
