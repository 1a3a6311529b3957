import { fail, ok, type Note, type Result, type WorkingLine } from '#core/base'
import { formatDecimal, type Region } from '#core/units'
import { length, spoken } from '#core/speech'
import { LITTLE_STRAIGHT_MM } from './clearances'

/**
 * An offset: how far the pipe moves aside (mm), at what angle (degrees), how far it rolls (mm), and the bends'
 * centreline radius (mm).
 */
export interface OffsetQuestion {
  /** Whose words a refusal is in. */
  region?: Region
  set: number
  angle: number
  roll?: number
  radius?: number
}

export interface OffsetAnswer {
  /** Set and roll together, mm. */
  trueSet: number
  /** Length of the slanted leg, corner to corner, mm. */
  travel: number
  /** How much shorter the run gets, mm. */
  shrink: number
  angle: number
  /** Distance of the two marks along the straight pipe, mm: travel, less what one bend gains. */
  markSpacing: number
  working: WorkingLine[]
  warnings: Note[]
}

/**
 * Marks of an offset by plane trigonometry: travel = true set / sin A, shrink = true set × tan(A/2), gain of one bend =
 * 2R tan(A/2) - R A. Issue `impossible` at `radius` where the arcs would overlap.
 */
export const planOffset = spoken(plan)
function plan({ set, angle, roll = 0, radius }: OffsetQuestion): Result<OffsetAnswer> {
  const radians = (angle * Math.PI) / 180
  const trueSet = Math.hypot(set, roll)
  const travel = trueSet / Math.sin(radians)
  const shrink = trueSet * Math.tan(radians / 2)
  const tangent = radius === undefined ? 0 : radius * Math.tan(radians / 2)
  const straight = travel - 2 * tangent
  if (straight < -1e-9) {
    const bends = `two bends of ${length(radius!)} at ${formatDecimal(angle, 1)} degrees`
    return fail(
      'impossible',
      'radius',
      `radius: ${bends} need ${length(2 * tangent, [travel])} of travel; there are ${length(travel, [2 * tangent])}. ` +
        'A smaller angle, a smaller radius or a larger set is accepted.',
    )
  }
  const gain = radius === undefined ? 0 : 2 * tangent - radius * radians
  const markSpacing = travel - gain
  const working: WorkingLine[] = [
    ...(roll > 0
      ? [
          {
            text: `root of ${length(set)} squared and ${length(roll)} squared: true set`,
            op: '=' as const,
            value: trueSet,
            unit: 'mm',
          },
        ]
      : [{ text: 'set', op: '+' as const, value: set, unit: 'mm' }]),
    {
      text: `one over the sine of ${formatDecimal(angle, 1)} degrees`,
      op: 'x',
      value: 1 / Math.sin(radians),
      unit: '',
    },
    { text: 'travel', op: '=', value: travel, unit: 'mm' },
    ...(radius === undefined
      ? []
      : [{ text: `gain of one bend of radius ${length(radius)}`, op: '-' as const, value: gain, unit: 'mm' }]),
    { text: 'marks apart', op: '=', value: markSpacing, unit: 'mm' },
  ]
  const warnings: Note[] =
    radius !== undefined && straight < LITTLE_STRAIGHT_MM
      ? [
          {
            code: 'little-straight',
            text: `Only ${length(Math.max(0, straight))} stay straight between the bends: try it on an offcut first.`,
          },
        ]
      : []
  return ok({ trueSet, travel, shrink, angle, markSpacing, working, warnings })
}
