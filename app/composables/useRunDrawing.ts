import type { RunRow } from '#core/run'
import { typeLength } from '#core/run'
import { centreLine, dot, pointAlong, radiusOf, vectorOf, type LaidLeg, type Vector, type Wall } from '#core/line'
import type { UnitSystem } from '#core/units'
import { onSheet, type Point, type Sheet } from '~/drawing/iso'
import { clearPlace, extensions, layMeasure, letterPlace, toPath, type Stretch } from '~/drawing/run-drawing'
import type { ShownPiece } from './useLine'

/** A run as it is asked to be drawn: px of the sheet, mm of the pipe. */
export interface RunShown {
  laid: readonly LaidLeg[]
  rows: readonly RunRow[]
  pieces: readonly ShownPiece[]
  shown: ShownPiece | null
  row: number
  radius: number | null
  walls: readonly Wall[]
  system: UnitSystem
  width: number
  height: number
  pipeWords: string
  isPhone: boolean
  startWords: string
}

const AXES: readonly Vector[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]

/**
 * What is drawn of a run on a sheet: tubes, sockets, letters, measures, walls, and the one figure where the sheet is
 * clear.
 */
export function useRunDrawing(props: RunShown, sheet: Ref<Sheet>, points: Ref<readonly Vector[]>) {
  const at = (place: Vector): Point => onSheet(sheet.value, place)
  const stretches = computed<Stretch[]>(() => props.laid.map(({ begin, end }) => [at(begin), at(end)]))
  const middle = computed<Point>(() => {
    const all = points.value.map(at)
    return [all.reduce((sum, [x]) => sum + x, 0) / all.length, all.reduce((sum, [, y]) => sum + y, 0) / all.length]
  })
  /** Pipe is drawn to scale where that can be seen, else as thin as shows both edges. */
  const thick = (od: number) => Math.min(26, Math.max(props.isPhone ? 4 : 5.5, od * sheet.value.scale))

  const tubes = computed(() =>
    props.pieces.map((piece) => {
      const legs = piece.legs.map((leg) => props.laid[leg]!)
      return {
        piece,
        isShown: piece === props.shown,
        // Dashed until it is measured.
        dash: piece.isGuess ? '13 7' : undefined,
        path: toPath(
          centreLine(
            legs,
            radiusOf(legs[0]!.pipe, props.radius === null ? undefined : { radius: props.radius })?.value ?? 0,
          ).map(at),
        ),
        width: thick(legs[0]!.pipe.od),
      }
    }),
  )

  /** A socket drawn where a tube enters a fitting: as long as its depth reaches from the centre. */
  const sockets = computed(() =>
    props.laid.flatMap((leg) =>
      (
        [
          [leg.mouths[0], leg.begin, 1],
          [leg.mouths[1], leg.end, -1],
        ] as const
      ).flatMap(([mouth, place, way], i) => {
        if (!mouth || mouth.kind === 'free') return []
        const reach =
          mouth.kind === 'stop' || mouth.kind === 'face'
            ? 6 / sheet.value.scale
            : Math.max((mouth.takeOut.value ?? 10) + (mouth.insertion.value ?? 10), 5 / sheet.value.scale)
        const to = pointAlong(place, leg.along, way * reach)
        return [
          { key: `${leg.index}${i}`, kind: mouth.kind, from: at(place), to: at(to), width: thick(leg.pipe.od) + 4 },
        ]
      }),
    ),
  )

  /** Points that have a letter: where the run begins and where each row ends. */
  const letters = computed(() => {
    const of = (letter: string, place: Vector, name: string | null, isEnd: boolean) => {
      const here = at(place)
      const near = props.laid.flatMap(({ begin, end }) => {
        if (isSame(begin, place)) return [at(end)]
        return isSame(end, place) ? [at(begin)] : []
      })
      return { letter, name, isEnd, here, text: letterPlace(here, near, isEnd && name ? 20 : 18) }
    }
    if (props.laid.length === 0) return []
    const start = of('A', [0, 0, 0], props.startWords || null, true)
    return [
      start,
      ...props.rows.flatMap(({ to, leg, legs }) => {
        if (!legs) return []
        const last = props.laid[legs[1]]!
        return [of(to, last.end, leg?.name ?? null, last.children.length === 0)]
      }),
    ]
  })
  const isSame = (a: Vector, b: Vector) => Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]) + Math.abs(a[2] - b[2]) < 0.01
  const isFree = (index: number) => props.laid[index]!.mouths[1]?.kind === 'free'

  /** Where most rows are, measures of the others would only run into each other. */
  const MOST_MEASURED = 40
  const LEAST_PX = 30
  const measures = computed(() =>
    props.rows.flatMap((row, i) => {
      if (!row.legs || !row.leg) return []
      const isOn = props.shown?.rows.includes(i) ?? false
      if (props.isPhone && !isOn) return []
      if (props.rows.length > MOST_MEASURED && !isOn) return []
      const [first, last] = [props.laid[row.legs[0]]!, props.laid[row.legs[1]]!]
      // A step aside leaves the leg's own line: the measure runs along the leg.
      const end =
        row.leg.offset || row.leg.over
          ? pointAlong(
              first.begin,
              row.leg.to.vector,
              row.leg.length.mm - (row.leg.wall.begin ?? 0) - (row.leg.wall.end ?? 0),
            )
          : last.end
      const ends: Stretch = [at(first.begin), at(end)]
      if (Math.hypot(ends[1][0] - ends[0][0], ends[1][1] - ends[0][1]) < LEAST_PX) return []
      const others = stretches.value.filter((_, k) => k < row.legs![0] || k > row.legs![1])
      const measure = layMeasure(first.begin, end, sheet.value, others, middle.value)
      return [
        {
          i,
          measure,
          ext: extensions(ends, measure),
          text: `${row.leg.isGuess ? '~' : ''}${figure(row.leg.length.mm)}`,
          isOn,
        },
      ]
    }),
  )
  const figure = (mm: number) => typeLength(Math.round(mm * 10) / 10, props.system)

  const wallPaths = computed(() =>
    props.walls.flatMap((wall) => {
      const way = vectorOf(wall.to)
      const half = (props.isPhone ? 18 : 40) / sheet.value.scale
      return props.laid.flatMap((leg) => {
        const [from, to] = [dot(leg.begin, way), dot(leg.end, way)]
        if (Math.max(from, to) < wall.at || Math.min(from, to) > wall.at + wall.thick || Math.abs(to - from) < 1)
          return []
        const crossing = pointAlong(leg.begin, leg.along, (leg.length * (wall.at - from)) / (to - from))
        // The wall lies along the two axes that its own way is not.
        const across = [2, 0].find((axis) => Math.abs(way[axis]!) > 0.5) ?? 1
        const [u, v] = AXES.filter((_, axis) => axis !== across) as [Vector, Vector]
        const corner = (a: number, b: number, off: number) =>
          at(pointAlong(pointAlong(pointAlong(crossing, u, a * half), v, b * half * 1.5), way, off))
        return [0, wall.thick].map(
          (off) => `${toPath([corner(-1, -1, off), corner(1, -1, off), corner(1, 1, off), corner(-1, 1, off)])}Z`,
        )
      })
    }),
  )

  /** The one figure: the piece's cut, on a leader, where the sheet is clear. */
  const BLOCK = { width: 190, height: 104 }
  const figureBlock = computed(() => {
    if (!props.shown || props.isPhone) return null
    const legs = props.shown.legs.map((leg) => props.laid[leg]!)
    const longest = legs.reduce((a, b) => (b.length > a.length ? b : a))
    const [a, b] = [at(longest.begin), at(longest.end)]
    const from: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
    const taken: Stretch[] = [
      ...stretches.value,
      ...measures.value.map(({ measure }) => measure.line),
      ...measures.value.map(({ measure }): Stretch => [
        [measure.figure[0] - 22, measure.figure[1]],
        [measure.figure[0] + 22, measure.figure[1]],
      ]),
      ...letters.value.map(({ text, name, here }): Stretch => [
        text,
        [text[0] + (name ? (text[0] < here[0] ? -1 : 1) * (14 + name.length * 8) : 0), text[1]],
      ]),
      [
        [8, props.height - 100],
        [100, props.height - 100],
      ],
      [
        [8, props.height - 30],
        [250, props.height - 30],
      ],
      [
        [props.width - 124, 22],
        [props.width, 22],
      ],
    ]
    const [x, y] = clearPlace(props.width, props.height, BLOCK, taken, from)
    return {
      x,
      y,
      from,
      to: [Math.min(Math.max(from[0], x + 10), x + BLOCK.width - 10), from[1] < y ? y + 6 : y + BLOCK.height] as Point,
    }
  })

  return { at, tubes, sockets, letters, measures, wallPaths, figureBlock, isFree }
}
