import { DxfWriter, point3d, TextHorizontalAlignment, TextVerticalAlignment } from '@tarikjabiri/dxf'
import { getPipe } from '#core/catalogue'
import {
  arcOfBend,
  centreLine,
  projectIsometric,
  type LaidLeg,
  type PieceMark,
  type Survey,
  type Vector,
} from '#core/line'
import type { RunDraft, RunPiece } from '#core/run'
import { formatDecimal, type Region } from '#core/units'
import { withUnit } from './tape'

/*
 * Drawings of a line in open formats, in mm at full size. Shapes are made once, as lines and texts on named layers, and
 * written as SVG or DXF.
 */

type Point = readonly [number, number]
export interface Shapes {
  lines: { layer: string; points: readonly Point[]; width: number }[]
  texts: { layer: string; at: Point; text: string; size: number; align: 'left' | 'middle' }[]
}

/** Size of the letters for a drawing of an extent, mm. */
const letterFor = (points: readonly Point[]): number => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  return Math.max(8, Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) / 45)
}

/** The run in isometric: tubes, letters of its points, lengths of its legs. y runs down, as on a sheet. */
export function isometricShapes({ rows }: RunDraft, { laid, runs }: Survey, radius: number, region: Region): Shapes {
  const place = (at: Vector): Point => projectIsometric(at)
  const tubes = runs.map(({ legs }) =>
    centreLine(
      legs.map((leg) => laid[leg]!),
      radius,
    ).map(place),
  )
  const letter = letterFor(tubes.flat())
  const shown = rows.flatMap((row) => (row.legs ? [{ row, first: laid[row.legs[0]]!, last: laid[row.legs[1]]! }] : []))
  const middle = ({ begin }: LaidLeg, { end }: LaidLeg): Point => {
    const [a, b] = [place(begin), place(end)]
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  }
  return {
    lines: tubes.map((points, i) => ({ layer: 'PIPE', points, width: laid[runs[i]!.legs[0]!]!.pipe.od })),
    texts: [
      { layer: 'POINTS', at: place([0, 0, 0]), text: 'A', size: letter, align: 'left' },
      ...shown.map(({ row, last }) => ({
        layer: 'POINTS',
        at: place(last.end),
        text: row.leg?.name ? `${row.to} ${row.leg.name}` : row.to,
        size: letter,
        align: 'left' as const,
      })),
      ...shown.map(({ row, first, last }) => ({
        layer: 'LENGTHS',
        at: middle(first, last),
        text: withUnit(row.leg!.length.mm, region),
        size: letter,
        align: 'middle' as const,
      })),
    ],
  }
}

/** Space between two strips of the marks drawing, mm. */
const ROW_MM = 120

type BendMark = Extract<PieceMark, { what: 'bend' }>
const bendText = ({ at, angle, turn, hook, corner }: BendMark, region: Region): string =>
  `bend ${withUnit(at, region)}: ${formatDecimal(angle, 1)} degrees, turn ${formatDecimal(turn, 0)}, ` +
  `hook ${withUnit(hook, region)}, corner ${withUnit(corner, region)}`

/** Each piece as its straight tube, one under another, with its marks across it; distances from the left end. */
export function markShapes(pieces: readonly RunPiece[], region: Region): Shapes {
  const shapes: Shapes = { lines: [], texts: [] }
  const line = (layer: string, points: readonly Point[], width = 0.7) => shapes.lines.push({ layer, points, width })
  const text = (layer: string, at: Point, words: string, size = 7) =>
    shapes.texts.push({ layer, at, text: words, size, align: 'left' })
  pieces.forEach(({ piece, from, to }, row) => {
    const pipe = getPipe(piece.pipe)
    const y = row * ROW_MM
    const half = pipe.od / 2
    text(
      'WORDS',
      [0, y - half - 38],
      `${piece.id}, ${from} to ${to}, ${pipe.label}, cut ${piece.cut === null ? '?' : withUnit(piece.cut, region)}`,
      9,
    )
    if (piece.cut === null) return
    line('PIPE', [
      [0, y - half],
      [piece.cut, y - half],
      [piece.cut, y + half],
      [0, y + half],
      [0, y - half],
    ])
    piece.marks.forEach((mark, i) => {
      line(`MARK_${mark.what.toUpperCase()}`, [
        [mark.at, y - half - 6],
        [mark.at, y + half + 6],
      ])
      const up = i % 2 === 0 ? 10 : 22
      text(
        `MARK_${mark.what.toUpperCase()}`,
        [mark.at + 1, y - half - up],
        mark.what === 'bend' ? bendText(mark, region) : `${mark.what} ${withUnit(mark.at, region)}`,
      )
      if (mark.what === 'bend')
        line('BEND_ZONE', [
          [mark.at, y],
          [mark.at + arcOfBend(mark), y],
        ])
    })
  })
  return shapes
}

const escape = (text: string): string =>
  text.replace(/[&<>"]/g, (char) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[char]!)
const round = (value: number): number => Math.round(value * 1000) / 1000

/** Shapes as SVG, one user unit a mm. */
export function toSvg({ lines, texts }: Shapes, title: string): string {
  const points = [...lines.flatMap((line) => line.points), ...texts.map(({ at }) => at)]
  const margin = 60
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const [left, top, width, height] = [
    Math.min(...xs) - margin,
    Math.min(...ys) - margin,
    Math.max(...xs) - Math.min(...xs) + 4 * margin,
    Math.max(...ys) - Math.min(...ys) + 2 * margin,
  ]
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(height)}mm" viewBox="${round(left)} ${round(top)} ${round(width)} ${round(height)}">`,
    `<title>${escape(title)}</title>`,
    ...lines.map(
      ({ layer, points: own, width: thick }) =>
        `<polyline class="${layer.toLowerCase()}" points="${own.map(([x, y]) => `${round(x)},${round(y)}`).join(' ')}"` +
        ` fill="none" stroke="#000" stroke-width="${layer === 'PIPE' && thick > 5 ? round(thick * 0.4) : thick}"` +
        ' stroke-linejoin="round"/>',
    ),
    ...texts.map(
      ({ layer, at: [x, y], text, size, align }) =>
        `<text class="${layer.toLowerCase()}" x="${round(x)}" y="${round(y)}" font-family="sans-serif"` +
        ` font-size="${round(size)}"${align === 'middle' ? ' text-anchor="middle"' : ''}>${escape(text)}</text>`,
    ),
    '</svg>',
    '',
  ].join('\n')
}

/** Shapes as DXF in mm; y is turned up, as drawing programs have it. */
export function toDxf({ lines, texts }: Shapes): string {
  const dxf = new DxfWriter()
  dxf.setUnits(4)
  for (const layer of new Set([...lines, ...texts].map((one) => one.layer))) dxf.addLayer(layer, 7, 'CONTINUOUS')
  for (const { layer, points } of lines) {
    dxf.setCurrentLayerName(layer)
    for (const [i, [x, y]] of points.entries()) {
      const next = points[i + 1]
      if (next) dxf.addLine(point3d(x, -y, 0), point3d(next[0], -next[1], 0))
    }
  }
  for (const {
    layer,
    at: [x, y],
    text,
    size,
    align,
  } of texts) {
    dxf.setCurrentLayerName(layer)
    dxf.addText(
      point3d(x, -y, 0),
      size,
      text,
      align === 'middle'
        ? {
            horizontalAlignment: TextHorizontalAlignment.Center,
            verticalAlignment: TextVerticalAlignment.Middle,
            secondAlignmentPoint: point3d(x, -y, 0),
          }
        : {},
    )
  }
  return dxf.stringify()
}

/** The run's centre lines in space as DXF, mm: x right, y away, z up. */
export function spaceDxf({ laid, runs }: Survey, radius: number): string {
  const dxf = new DxfWriter()
  dxf.setUnits(4)
  dxf.addLayer('CENTRE_LINE', 7, 'CONTINUOUS')
  dxf.setCurrentLayerName('CENTRE_LINE')
  for (const { legs } of runs) {
    const points = centreLine(
      legs.map((leg) => laid[leg]!),
      radius,
    )
    for (const [i, from] of points.entries()) {
      const to = points[i + 1]
      if (to) dxf.addLine(point3d(...from), point3d(...to))
    }
  }
  return dxf.stringify()
}
