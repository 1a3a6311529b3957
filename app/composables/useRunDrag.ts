import type { ShallowRef } from 'vue'
import { pointAlong, type Vector } from '#core/line'
import { formatLength } from '#core/units'
import { drop, move, press, type Drag, type Grip } from '~/editor/drag'
import { project, type Point, type Sheet } from '~/drawing/iso'
import type { RunShown } from './useRunDrawing'

/** What a drag came to, as the run is asked to change. */
export interface RunChanges {
  stretch: (row: number, mm: number) => void
  pull: (point: number, letter: string, mm: number) => void
  from: (point: number) => void
}

/**
 * The grips of a run's drawing, and what is dragged: pointer moves become steps of a drag that knows nothing of
 * pointers.
 */
export function useRunDrag(
  props: RunShown,
  svg: Readonly<ShallowRef<SVGSVGElement | null>>,
  sheet: Ref<Sheet>,
  points: Ref<readonly Vector[]>,
  at: (place: Vector) => Point,
  changes: RunChanges,
) {
  const drag = shallowRef<Drag>({ state: 'idle' })
  const place = (event: PointerEvent): Point => {
    const box = svg.value!.getBoundingClientRect()
    return [event.clientX - box.left, event.clientY - box.top]
  }
  function grip(event: PointerEvent, what: Grip) {
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    drag.value = press(what, place(event))
    event.stopPropagation()
  }
  const onMove = (event: PointerEvent) => {
    if (drag.value.state !== 'idle')
      drag.value = move(drag.value, place(event), { scale: sheet.value.scale, system: props.system })
  }
  function onUp() {
    const done = drop(drag.value)
    drag.value = { state: 'idle' }
    if (done?.do === 'stretch') changes.stretch(done.row, done.mm)
    else if (done?.do === 'pull') changes.pull(done.point, done.letter, done.mm)
    else if (done?.do === 'press' && done.grip.kind === 'pull') changes.from(done.grip.point)
  }
  useKeys({
    Escape: () => {
      drag.value = { state: 'idle' }
    },
  })

  /** How far beyond a point the handle for a new leg stands: past the point's letter. */
  const PULL_PX = 44
  const selected = computed(() => props.rows[props.row])
  const stretchGrip = computed(() => {
    const row = selected.value
    if (!row?.legs || !row.leg) return null
    const last = props.laid[row.legs[1]]!
    return {
      at: at(last.end),
      grip: { kind: 'stretch' as const, row: props.row, length: row.leg.length.mm, along: row.leg.to.vector },
    }
  })
  const pullGrip = computed(() => {
    const row = selected.value
    if (props.laid.length === 0) return { at: at([0, 0, 0]), grip: { kind: 'pull' as const, point: 0 } }
    if (!row?.legs) return null
    const last = props.laid[row.legs[1]]!
    const [x, y] = at(last.end)
    const [dx, dy] = project(last.along)
    const length = Math.hypot(dx, dy) || 1
    return {
      at: [x + (dx / length) * PULL_PX, y + (dy / length) * PULL_PX] as Point,
      grip: { kind: 'pull' as const, point: props.row + 1 },
    }
  })
  const ghost = computed(() => {
    const now = drag.value
    if (now.state === 'stretching') {
      const from = props.laid[props.rows[now.grip.row]!.legs![0]]!.begin
      return {
        from: at(from),
        to: at(pointAlong(from, now.grip.along, now.mm)),
        text: formatLength(now.mm, props.system),
      }
    }
    if (now.state !== 'pulling') return null
    const from =
      points.value.length > 1 && now.grip.point > 0
        ? props.laid[props.rows[now.grip.point - 1]!.legs![1]]!.end
        : ([0, 0, 0] as Vector)
    return {
      from: at(from),
      to: at(pointAlong(from, now.vector, now.mm)),
      text: `${now.letter} ${formatLength(now.mm, props.system)}`,
    }
  })

  return { grip, onMove, onUp, stretchGrip, pullGrip, ghost }
}
