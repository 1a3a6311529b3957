import { fail, ok, type Result } from '#core/base'
import { add, dot, scale, type LineEnd, type LineLeg, type Vector } from '#core/line'
import { formatDecimal } from '#core/units'
import { length } from '#core/speech'
import type { TypedLeg } from './types'

const rad = (degrees: number): number => (degrees * Math.PI) / 180
const mm = (value: number): string => length(Math.max(0, value))
const degrees = (value: number): string => formatDecimal(value, 1)

const TOWARD: Vector = [0, -1, 0]
const UP: Vector = [0, 0, 1]

interface Expansion {
  leg: TypedLeg
  /** Direction of the leg that goes on from it. */
  next: Vector | null
  end: LineEnd
  name: string
  /** Index its first leg gets in the question, and the leg it begins at. */
  first: number
  from: number | null
  path: string
}

/** One straight stretch between the corners of a leg with a step aside or a crossover. */
interface Stretch {
  to: Vector
  length: number
}

/** Which way a step goes where it is not said: the way the next leg turns, else towards you, else up. */
function sideOf(
  along: Vector,
  said: Vector | null,
  fallback: readonly (Vector | null)[],
  path: string,
): Result<Vector> {
  if (said)
    return Math.abs(dot(said, along)) > 1e-6
      ? fail('impossible', path, 'A step aside is square to its leg. Say which way, such as offset s 60.')
      : ok(said)
  return ok(fallback.find((one): one is Vector => one !== null && Math.abs(dot(one, along)) < 1e-6)!)
}

function offsetStretches({ leg, next, path }: Expansion, length: number): Result<Stretch[]> {
  const { to, set, roll, angle, at } = leg.offset!
  const along = leg.to.vector
  const side = sideOf(along, to?.vector ?? null, [next, TOWARD, UP], path)
  if (!side.ok) return side
  const rolled = roll ? sideOf(along, roll.to.vector, [], path) : null
  if (rolled && !rolled.ok) return rolled
  if (rolled && Math.abs(dot(rolled.value, side.value)) > 1e-6)
    return fail('impossible', path, 'The roll is square to the set. Say another way for it.')
  const trueSet = Math.hypot(set.mm, roll?.mm ?? 0)
  const aside = rolled ? scale(add(scale(side.value, set.mm), scale(rolled.value, roll!.mm)), 1 / trueSet) : side.value
  const covers = angle === 90 ? 0 : trueSet / Math.tan(rad(angle))
  const before = at?.mm ?? (length - covers) / 2
  const after = length - before - covers
  if (before <= 0 || after <= 0)
    return fail(
      'impossible',
      path,
      `The step of ${mm(trueSet)} at ${degrees(angle)} degrees covers ${mm(covers)} of the leg's ${mm(length)}` +
        `${at ? `, from ${mm(before)}` : ''}. A longer leg, a steeper angle or another place is accepted.`,
    )
  return ok([
    { to: along, length: before },
    {
      to: add(scale(along, Math.cos(rad(angle))), scale(aside, Math.sin(rad(angle)))),
      length: trueSet / Math.sin(rad(angle)),
    },
    { to: along, length: after },
  ])
}

/** What the ends of one stretch of a leg were measured to: only its first and its last have an end of the leg. */
function measuredAt(
  { begin, end }: TypedLeg['measured'],
  isFirst: boolean,
  isLast: boolean,
): Pick<LineLeg, 'measured'> {
  if (!isFirst && !isLast) return {}
  return { measured: { ...(isFirst ? { begin } : {}), ...(isLast ? { end } : {}) } }
}

function overStretches({ leg, path }: Expansion, length: number): Result<Stretch[]> {
  const { to, height, angle, at } = leg.over!
  const along = leg.to.vector
  const side = sideOf(along, to?.vector ?? null, [UP, TOWARD], path)
  if (!side.ok) return side
  if (angle > 60)
    return fail(
      'impossible',
      path,
      `A crossover bends twice ${degrees(angle)} at its peak. Up to 60 degrees is accepted.`,
    )
  const half = height.mm / Math.tan(rad(angle))
  const peak = at?.mm ?? length / 2
  if (peak - half <= 0 || length - peak - half <= 0)
    return fail(
      'impossible',
      path,
      `The crossover of ${mm(height.mm)} at ${degrees(angle)} degrees covers ${mm(2 * half)} about ${mm(peak)}; the leg is ${mm(length)}. A longer leg, a steeper angle or another place is accepted.`,
    )
  const slope = (sign: 1 | -1): Vector =>
    add(scale(along, Math.cos(rad(angle))), scale(side.value, sign * Math.sin(rad(angle))))
  return ok([
    { to: along, length: peak - half },
    { to: slope(1), length: height.mm / Math.sin(rad(angle)) },
    { to: slope(-1), length: height.mm / Math.sin(rad(angle)) },
    { to: along, length: length - peak - half },
  ])
}

/** Clips along a leg, on the stretch each lies on; how far along the leg is measured along its run. */
function placeClips(leg: TypedLeg, stretches: readonly Stretch[], first: number): { leg: number; at: number }[] {
  return leg.clips.map(({ mm: at }) => {
    let passed = 0
    for (const [i, { to, length }] of stretches.entries()) {
      const covers = length * dot(to, leg.to.vector)
      if (at <= passed + covers || i === stretches.length - 1)
        return { leg: first + i, at: (at - passed) * (covers === 0 ? 0 : length / covers) }
      passed += covers
    }
    return { leg: first, at }
  })
}

/**
 * A typed leg as legs of the line verb: itself, or the stretches of its step aside or crossover with bends between.
 * Lengths to a wall are turned into centre lines. Issue `impossible` at `path` where the step does not fit the leg.
 */
export function expandLeg(expansion: Expansion): Result<{ legs: LineLeg[]; clips: { leg: number; at: number }[] }> {
  const { leg, end, name, first, from, path } = expansion
  const length = leg.length.mm - (leg.wall.begin ?? 0) - (leg.wall.end ?? 0)
  if (length <= 0)
    return fail(
      'impossible',
      path,
      `The ${mm(leg.length.mm)} to the wall is less than the pipe stands off it. A longer measure is accepted.`,
    )
  const beyond = leg.clips.find(({ mm: at }) => at > length)
  if (beyond)
    return fail(
      'range',
      path,
      `The clip at ${mm(beyond.mm)} lies beyond the leg's ${mm(length)}. Up to that is accepted.`,
    )
  const begin = from === null || from === first - 1 ? {} : { from }
  const { measured } = leg
  const isToCentres = measured.begin === 'centre' && measured.end === 'centre'
  const plain = () => (leg.over ? overStretches(expansion, length) : ok([{ to: leg.to.vector, length }]))
  const stretches = leg.offset ? offsetStretches(expansion, length) : plain()
  if (!stretches.ok) return stretches
  const corner: LineEnd =
    leg.offset?.by === 'elbows'
      ? { kind: 'fitting', fitting: leg.offset.angle === 90 ? 'elbow-90' : 'elbow-45' }
      : { kind: 'bend' }
  const last = stretches.value.length - 1
  const legs = stretches.value.map((stretch, i): LineLeg => ({
    ...stretch,
    name,
    end: i === last ? end : corner,
    ...(i === 0 ? begin : {}),
    ...(last === 0 && isToCentres ? {} : measuredAt(measured, i === 0, i === last)),
  }))
  return ok({ legs, clips: placeClips(leg, stretches.value, first) })
}
