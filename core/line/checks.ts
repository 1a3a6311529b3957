import { joinsKind, type Pipe, type SocketMethod } from '#core/catalogue'
import { JOINT_METHODS, type Method } from '#core/joints'
import { length, w } from '#core/speech'
import { arcOfBend } from './bend'
import { GRIP_OD, HALF_CLIP_MM, LITTLE_STRAIGHT_MM, NEAR_JOINT_OD, WORTH_MEASURING_MM } from './clearances'
import type { LaidLeg, LineQuestion, LineWarning, Piece, Wall } from './types'
import { vectorOf } from './lay'
import { legName, MOUTH_WORDS } from './pieces'
import { distanceBetween, dot, add, scale, type Vector } from './vector'

/** Bare pipe that a method wants between two fittings, mm; a thread none. */
const bareBetween = (method: Method): number =>
  method in JOINT_METHODS ? JOINT_METHODS[method as SocketMethod].bareBetweenMm : 0

/** Bends too near a joint, each other or the end that is gripped. */
function bendWarnings(piece: Piece, pipe: Pipe): LineWarning[] {
  const bends = piece.marks.filter((mark) => mark.what === 'bend')
  if (bends.length === 0) return []
  const warnings: LineWarning[] = []
  const nearest =
    (pipe.family === 'copper' || pipe.family === 'stainless' || pipe.family === 'steel'
      ? NEAR_JOINT_OD.metal
      : NEAR_JOINT_OD.plastic) * pipe.od
  for (const [end, straight, leg] of [
    [piece.ends[0], piece.straights[0]!, piece.legs[0]!],
    [piece.ends[1], piece.straights.at(-1)!, piece.legs.at(-1)!],
  ] as const) {
    if (end.into === 'free' || end.insertion === null) continue
    const bare = straight - end.insertion
    if (bare < 0)
      warnings.push({
        code: 'bend-in-insertion',
        leg,
        piece: piece.id,
        text: `The bend begins ${length(-bare)} inside the insertion: the tube will not go home there.`,
      })
    else if (bare < nearest)
      warnings.push({
        code: 'bend-near-joint',
        leg,
        piece: piece.id,
        text: `Only ${length(bare, [nearest])} straight between joint and bend; ${length(nearest, [bare])} or more keeps the end round and square (typical).`,
      })
  }
  for (const [i, straight] of piece.straights.entries()) {
    const leg = piece.legs[i]!
    const isBetween = i > 0 && i < piece.straights.length - 1
    if (isBetween && straight < LITTLE_STRAIGHT_MM)
      warnings.push({
        code: 'little-straight',
        leg,
        piece: piece.id,
        text: `Bends only just fit: ${length(straight)} straight between them. Try it on an offcut first.`,
      })
    else if (!isBetween && straight < GRIP_OD * pipe.od && piece.straights.length > 1)
      warnings.push({
        code: 'leave-long',
        leg,
        piece: piece.id,
        text: `${length(straight)} before the bend is short to hold: leave this end long, bend first, then trim.`,
      })
  }
  return warnings
}

/** Two joints too near each other for jaw, spanner or torch. */
function jawWarnings(piece: Piece): LineWarning[] {
  const [a, b] = piece.ends
  if (
    piece.straights.length > 1 ||
    piece.cut === null ||
    a.into === 'free' ||
    b.into === 'free' ||
    a.insertion === null ||
    b.insertion === null
  )
    return []
  const bare = piece.cut - a.insertion - b.insertion
  const needs = Math.max(bareBetween(a.method), bareBetween(b.method))
  if (bare < 0)
    return [
      {
        code: 'joints-meet',
        leg: piece.legs[0]!,
        piece: piece.id,
        text: `The two fittings would overlap by ${length(-bare)}: both depths need ${length(a.insertion + b.insertion)} of the ${length(piece.cut)} cut.`,
      },
    ]
  return bare < needs
    ? [
        {
          code: 'short-for-jaws',
          leg: piece.legs[0]!,
          piece: piece.id,
          text: `${length(bare, [needs])} bare pipe between the joints; ${a.method} wants ${length(needs, [bare])} or more (typical). Make both in one go, or lengthen the leg.`,
        },
      ]
    : []
}

/** Marks that a clip would lie on, and clips on bends and joints. */
function clipWarnings(piece: Piece): LineWarning[] {
  const clips = piece.marks.filter((mark) => mark.what === 'clip')
  return clips.flatMap((clip): LineWarning[] => {
    const at = `The clip at ${length(clip.at)}`
    const bend = piece.marks.find(
      (mark) =>
        mark.what === 'bend' && clip.at > mark.at - HALF_CLIP_MM && clip.at < mark.at + arcOfBend(mark) + HALF_CLIP_MM,
    )
    if (bend)
      return [
        {
          code: 'clip-on-bend',
          piece: piece.id,
          text: `${at} lies on the bend at ${length(bend.at)}: set it past the throat.`,
        },
      ]
    const ends = [
      piece.ends[0].insertion ?? 0,
      piece.cut === null ? Infinity : piece.cut - (piece.ends[1].insertion ?? 0),
    ] as const
    if (clip.at < ends[0] || clip.at > ends[1])
      return [{ code: 'clip-on-joint', piece: piece.id, text: `${at} lies on a joint: keep it on bare pipe.` }]
    return piece.marks.some((mark) => mark.what === 'insertion' && Math.abs(mark.at - clip.at) < HALF_CLIP_MM)
      ? [
          {
            code: 'mark-hidden',
            piece: piece.id,
            text: `${at} hides the insertion mark: it must stay seen. Move it ${length(HALF_CLIP_MM)} or more.`,
          },
        ]
      : []
  })
}

/** What a piece goes into whose figure is not known. */
const unmeasured = ({ ends }: Piece): string[] => [
  ...new Set(
    ends
      .filter(({ into, takeOut, insertion }) => (into === 'face' ? insertion : takeOut) === null)
      .map(({ into }) => MOUTH_WORDS[into]),
  ),
]

/** What a take-out's range does to the cut, or that it has to be measured first. */
function measureWarnings(piece: Piece): LineWarning[] {
  const leg = piece.legs[0]!
  if (piece.cut === null)
    return [
      {
        code: 'measure',
        leg,
        piece: piece.id,
        text: `No cut for ${piece.id}: measure its ${unmeasured(piece).join(' and ')}, ${w.centre} to stop.`,
      },
    ]
  const spread = piece.cutHi! - piece.cutLo!
  return spread > WORTH_MEASURING_MM
    ? [
        {
          code: 'typical',
          leg,
          piece: piece.id,
          text: `${piece.id} comes out between ${length(piece.cutLo!, [piece.cutHi!])} and ${length(piece.cutHi!, [piece.cutLo!])} by typical fittings: measure yours before you cut.`,
        },
      ]
    : []
}

/** Whether a leg goes through a wall from one face to the other. */
export function crossesWall({ begin, end }: Pick<LaidLeg, 'begin' | 'end'>, { to, at, thick }: Wall): boolean {
  const normal = vectorOf(to)
  const [near, far] = [dot(begin, normal), dot(end, normal)].sort((one, other) => one - other) as [number, number]
  return near <= at && far >= at + thick
}

/** Places where a joint would end up inside a wall. */
function wallWarnings(laid: readonly LaidLeg[], question: LineQuestion): LineWarning[] {
  return (question.walls ?? []).flatMap((wall) =>
    laid.flatMap(({ index, begin, end, along, mouths }): LineWarning[] => {
      const normal = vectorOf(wall.to)
      const ends = [
        [mouths[0], begin, along],
        [mouths[1], end, scale(along, -1)],
      ] as const
      return ends.flatMap(([mouth, place, inward]): LineWarning[] => {
        if (!mouth || mouth.kind === 'free') return []
        const reach =
          mouth.kind === 'stop' || mouth.kind === 'face' ? 0 : (mouth.takeOut.value ?? 0) + (mouth.insertion.value ?? 0)
        const [one, other] = [dot(place, normal), dot(add(place, scale(inward as Vector, reach)), normal)]
        const inside = Math.max(one, other) > wall.at && Math.min(one, other) < wall.at + wall.thick
        return inside
          ? [
              {
                code: 'joint-in-wall',
                leg: index,
                text: `A joint of ${legName(question, index)} lies inside the wall ${length(wall.at)} ${wall.to}: nobody can reach it, and many codes forbid it. Move it clear.`,
              },
            ]
          : []
      })
    }),
  )
}

/** Most legs whose crossings are looked for: each is held against each. */
const MOST_CROSSED = 600

/** Whether two stretches lie so far apart along one axis that they cannot meet. */
const isFarApart = (one: LaidLeg, other: LaidLeg, within: number): boolean =>
  [0, 1, 2].some(
    (k) =>
      Math.min(one.begin[k]!, one.end[k]!) - Math.max(other.begin[k]!, other.end[k]!) > within ||
      Math.min(other.begin[k]!, other.end[k]!) - Math.max(one.begin[k]!, one.end[k]!) > within,
  )

/** Pipes that would run through one another. */
function crossingWarnings(laid: readonly LaidLeg[], question: LineQuestion): LineWarning[] {
  if (laid.length > MOST_CROSSED) return []
  const warnings: LineWarning[] = []
  for (const [i, one] of laid.entries()) {
    for (let k = i + 1; k < laid.length; k++) {
      const other = laid[k]!
      const within = (one.pipe.od + other.pipe.od) / 2
      if (other.parent === one.index || other.parent === one.parent || isFarApart(one, other, within)) continue
      const gap = distanceBetween([one.begin, one.end], [other.begin, other.end]) - within
      if (gap < 0)
        warnings.push({
          code: 'crossing',
          leg: other.index,
          text: `${legName(question, other.index)} runs through ${legName(question, one.index)}: ${length(-gap)} too near. Step one of them over.`,
        })
    }
  }
  return warnings
}

/** Methods that do not take the pipe they are asked to join. */
function methodWarnings(laid: readonly LaidLeg[], question: LineQuestion): LineWarning[] {
  const seen = new Set<string>()
  return laid.flatMap(({ index, pipe, mouths }) =>
    mouths.flatMap((mouth): LineWarning[] => {
      if (
        !mouth ||
        mouth.kind === 'free' ||
        !(mouth.method in JOINT_METHODS) ||
        joinsKind(mouth.method as SocketMethod, pipe)
      )
        return []
      const key = `${mouth.method} ${pipe.id}`
      if (seen.has(key)) return []
      seen.add(key)
      return [
        {
          code: 'method',
          leg: index,
          text: `${JOINT_METHODS[mouth.method as SocketMethod].words} joins ${JOINT_METHODS[mouth.method as SocketMethod].takes}; ${legName(question, index)} is ${pipe.label}.`,
        },
      ]
    }),
  )
}

/**
 * All that is tight or has to be measured in a line, each with the leg or piece it belongs to. Distances are typical or
 * ours.
 */
export function checkLine(question: LineQuestion, laid: readonly LaidLeg[], pieces: readonly Piece[]): LineWarning[] {
  const pipes = new Map(laid.map(({ index, pipe }) => [index, pipe]))
  return [
    ...methodWarnings(laid, question),
    ...pieces.flatMap((piece) => [
      ...measureWarnings(piece),
      ...bendWarnings(piece, pipes.get(piece.legs[0]!)!),
      ...jawWarnings(piece),
      ...clipWarnings(piece),
    ]),
    ...wallWarnings(laid, question),
    ...crossingWarnings(laid, question),
  ]
}
