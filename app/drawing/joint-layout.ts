import { getPipe, type Pipe, type Valve } from '#core/catalogue'
import {
  ALL_METHODS,
  isClosed,
  isLoose,
  takeOutAt,
  valveAmong,
  type End,
  type Joint,
  type OfferedMethod,
  type OtherEnd,
  type Part,
  type Way,
} from '#core/joints'

/** A stretch of the drawing along the pipe, mm from its left edge; radii in mm. */
interface TubeRun {
  kind: 'tube'
  from: number
  to: number
  pipe: Pipe
  broken: boolean
  on: 'a' | 'b' | 'tail'
}
interface ThreadRun {
  kind: 'thread'
  from: number
  to: number
  radius: number
}
export interface Mouth {
  method: OfferedMethod
  from: number
  to: number
  opens: 'left' | 'right'
  radius: number
  bore: number
  on: Joint['on']
}
/** A fitting; its web is the solid part between its mouths. */
interface Body {
  kind: 'body'
  from: number
  to: number
  web: { from: number; to: number }
  mouths: Mouth[]
  radius: number
  bore: number
  /** What kind of valve it is; its web then is its body between the stops. */
  valve?: Valve
  /** Solid: the line ends in it. */
  isShut?: true
}
interface Depth {
  from: number
  to: number
  joint: Joint
  at: number
}

export interface ChainLayout {
  length: number
  radius: number
  tubes: TubeRun[]
  threads: ThreadRun[]
  bodies: Body[]
  depths: Depth[]
  hasTail: boolean
}

/**
 * Length of tube drawn bare at each end, unless told otherwise, and of a broken tail, in diameters of the larger tube.
 */
const BARE = 2.1
const TAIL = 2
/** A depth that nobody knows is drawn this many diameters long. */
const UNKNOWN_DEPTH = 0.9
/** Thickness of a fitting's wall round the tube, in diameters. */
export const wallOf = (method: OfferedMethod): number => ALL_METHODS[method].drawing.wall
/** Diameters over the thread of 1/2 to 2, mm; enough for a drawing. */
const THREAD_RADIUS: Readonly<Record<string, number>> = {
  '1/8': 4.9,
  '1/4': 6.6,
  '3/8': 8.3,
  '1/2': 10.5,
  '3/4': 13.2,
  '1': 16.6,
  '1-1/4': 20.9,
  '1-1/2': 23.9,
  '2': 29.8,
}

/** As deep as it is; what nobody knows, or what is made at a face, as long as it takes to be seen. */
const depthOf = (joint: Joint, radius: number): number => joint.insertion.value || UNKNOWN_DEPTH * 2 * radius
const radiusOf = (joint: Joint): number =>
  joint.pipe === null ? (THREAD_RADIUS[joint.thread!.size] ?? 12) : getPipe(joint.pipe).od / 2
const boreOf = (joint: Joint): number => {
  if (joint.pipe === null) return radiusOf(joint) * 0.68
  const pipe = getPipe(joint.pipe)
  return (pipe.bore ?? pipe.od * 0.85) / 2
}

/** Whether a part brings the male side of a thread of this form. */
function bringsMale(part: Part, joint: Joint): boolean {
  if (part.name.endsWith('nipple')) return true
  // A bush is male at its larger size.
  if (part.kind === 'bush') return part.size.startsWith(`${joint.thread?.size} x`)
  const form = joint.thread?.form === 'npt' ? 'NPT' : 'BSP'
  return new RegExp(`(^|[^e])male ${form}`).test(part.name)
}

/** Whether the joint between two items is made by the left one entering the right one. */
const leftEnters = (left: Part, joint: Joint): boolean =>
  left.kind === 'tail' || (joint.thread ? bringsMale(left, joint) : left.name.includes('spigot'))

/** Stop to stop of a valve's body, mm: measured, else typical; what nobody knows is as long as it is thick. */
const bodyLength = (valve: Valve, at: Joint, widest: number, measured: number | undefined): number =>
  2 * (measured ?? (takeOutAt(valve, at)?.value || widest))

/**
 * A whole way laid out along the pipe, from end a at the left to end b at the right, depths to scale and bodies typical.
 */
export function layOutWay(
  way: Way,
  a: End,
  b: OtherEnd,
  { bare: bareDiameters = BARE, takeOut }: { bare?: number; takeOut?: number } = {},
): ChainLayout {
  const items = way.parts.filter((part) => !isLoose(part))
  const { joints } = way
  const widest = Math.max(...joints.map(radiusOf))
  const layout: ChainLayout = {
    length: 0,
    radius: widest,
    tubes: [],
    threads: [],
    bodies: [],
    depths: [],
    hasTail: items.some(({ kind }) => kind === 'tail'),
  }
  const bare = bareDiameters * 2 * widest
  const endRadius = (joint: Joint) => radiusOf(joint)

  let x = bare
  if (items.length === 0) {
    // One thread goes straight into the other end: a body with one mouth.
    const [only] = joints as [Joint]
    const depth = depthOf(only, radiusOf(only))
    const mouth: Mouth = {
      method: only.method,
      from: x,
      to: x + depth,
      opens: only.on === 'b' ? 'right' : 'left',
      radius: radiusOf(only),
      bore: boreOf(only),
      on: only.on,
    }
    const web = { from: x + depth, to: x + depth + 0.35 * widest }
    layout.bodies.push({
      kind: 'body',
      from: x,
      to: web.to,
      web,
      mouths: [mouth],
      radius: radiusOf(only) * (1 + 2 * wallOf(only.method)),
      bore: boreOf(only) * 0.95,
    })
    layout.threads.push({ kind: 'thread', from: x, to: x + depth, radius: radiusOf(only) })
    layout.depths.push({ from: x, to: x + depth, joint: only, at: 0 })
    x = web.to
  }
  items.forEach((item, i) => {
    const left = joints[i]!
    // What closes a line has no other mouth.
    const right = joints[i + 1] ?? null
    const leftDepth = depthOf(left, endRadius(left))
    const rightDepth = right ? depthOf(right, endRadius(right)) : 0
    if (item.kind === 'tail') {
      const to = x + TAIL * 2 * widest
      layout.tubes.push({
        kind: 'tube',
        from: x - leftDepth,
        to: to + rightDepth,
        pipe: getPipe(left.pipe!),
        broken: true,
        on: 'tail',
      })
      x = to
      return
    }
    const mouths: Mouth[] = []
    // A mouth is on this item where the neighbour enters it; otherwise this item's own male end reaches into the
    // neighbour.
    const takesLeft = i === 0 || leftEnters(items[i - 1]!, left)
    const takesRight = right !== null && (i === items.length - 1 || !leftEnters(item, right))
    const valve = item.kind === 'valve' ? valveAmong([item]) : null
    const webLength = valve ? bodyLength(valve, left, widest, takeOut) : 0.35 * widest
    const from = x
    let at = x
    if (takesLeft) {
      mouths.push({
        method: left.method,
        from: at,
        to: at + leftDepth,
        opens: 'left',
        radius: radiusOf(left),
        bore: boreOf(left),
        on: left.on,
      })
      layout.depths.push({ from: at, to: at + leftDepth, joint: left, at: i })
      at += leftDepth
    }
    const web = { from: at, to: at + webLength }
    at = web.to
    if (takesRight) {
      mouths.push({
        method: right.method,
        from: at,
        to: at + rightDepth,
        opens: 'right',
        radius: radiusOf(right),
        bore: boreOf(right),
        on: right.on,
      })
      layout.depths.push({ from: at, to: at + rightDepth, joint: right, at: i + 1 })
      at += rightDepth
    } else if (right?.thread) {
      layout.threads.push({ kind: 'thread', from: at, to: at + rightDepth, radius: radiusOf(right) })
    } else if (right) {
      layout.tubes.push({
        kind: 'tube',
        from: at,
        to: at + rightDepth,
        pipe: getPipe(right.pipe!),
        broken: false,
        on: 'tail',
      })
    }
    if (!takesLeft) {
      if (left.thread) layout.threads.push({ kind: 'thread', from: from - leftDepth, to: from, radius: radiusOf(left) })
      else
        layout.tubes.push({
          kind: 'tube',
          from: from - leftDepth,
          to: from,
          pipe: getPipe(left.pipe!),
          broken: false,
          on: 'tail',
        })
    }
    layout.bodies.push({
      kind: 'body',
      from,
      to: at,
      web,
      mouths,
      radius: Math.max(
        radiusOf(left) * (1 + 2 * wallOf(left.method)),
        right ? radiusOf(right) * (1 + 2 * wallOf(right.method)) : 0,
      ),
      bore: right ? Math.min(boreOf(left), boreOf(right)) * 0.95 : 0,
      ...(valve ? { valve } : {}),
      ...(right ? {} : { isShut: true }),
    })
    x = at
  })
  const first = joints[0]!
  const last = joints.at(-1)!
  if ('pipe' in a)
    layout.tubes.push({
      kind: 'tube',
      from: 0,
      to: bare + depthOf(first, radiusOf(first)),
      pipe: getPipe(a.pipe),
      broken: false,
      on: 'a',
    })
  if ('pipe' in b)
    layout.tubes.push({
      kind: 'tube',
      from: x - depthOf(last, radiusOf(last)),
      to: x + bare,
      pipe: getPipe(b.pipe),
      broken: false,
      on: 'b',
    })
  layout.length = isClosed(b) ? x + bare / 2 : x + bare
  layout.radius = Math.max(...layout.bodies.map(({ radius }) => radius), ...layout.tubes.map(({ pipe }) => pipe.od / 2))
  return layout
}

/** The crests of a thread along a line, as a path; px. */
export function crestsPath(from: number, to: number, y: number, depth: number): string {
  const CRESTS = 9
  return Array.from(
    { length: CRESTS },
    (_, i) => `${i ? 'L' : 'M'}${from + ((to - from) * i) / (CRESTS - 1)} ${y + (i % 2 ? depth : 0)}`,
  ).join('')
}
