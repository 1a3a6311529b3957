import { fail, ok, type Result, type WorkingLine } from '#core/base'
import { formatDecimal } from '#core/units'
import { length, lengths, w } from '#core/speech'
import { arcOf, gainOf, tangentOf } from './bend'

/**
 * One test bend. Two pencil marks on the straight tube and where the hook edge was set, mm from one end; after bending,
 * the distance of each mark from the corner of the centre lines, mm; the angle pulled to and the angle it let go to.
 */
export interface TestBend {
  marks: readonly [number, number]
  hook: number
  measures: readonly [number, number]
  pulled: number
  angle: number
  /** Error of one reading each way, mm. */
  error?: number
}

export interface Calibration {
  /** mm */
  gain: number
  /** Centreline radius, mm. */
  radius: number
  /** Hook edge to the corner of a right angle, mm. */
  setback: number
  /** Degrees a right angle opens again. */
  springback: number
  /** Error that the readings leave, each way: mm of radius, of set-back, and of a cut with one right angle. */
  left: { radius: number; setback: number; cut: number }
  working: WorkingLine[]
}

/** A tape read by eye, each way, mm: ours. */
const READING_ERROR_MM = 0.5

const positive = (path: string, value: number) =>
  value > 0 ? null : fail('range', path, `${path}: more than 0 is accepted.`)

/**
 * Radius, set-back and springback of a bender from one bend: gain = both measures - marks apart, R = gain / (2 tan(A/2) - A).
 * Issues `range` at `marks`, `measures`, `hook`, `angle`, `pulled`; `impossible` at `measures` where nothing was gained.
 */
export function calibrateBender({
  marks,
  hook,
  measures,
  pulled,
  angle,
  error = READING_ERROR_MM,
}: TestBend): Result<Calibration> {
  const wrong = positive('measures.0', measures[0]) ?? positive('measures.1', measures[1]) ?? positive('error', error)
  if (wrong) return wrong
  const apart = marks[1] - marks[0]
  if (!(apart > 0)) return fail('range', 'marks.1', 'marks.1: it must lie beyond the first mark.')
  if (!(hook > marks[0] && hook < marks[1]))
    return fail('range', 'hook', `hook: set between the marks, ${lengths(marks[0], marks[1])}.`)
  if (!(angle >= 30 && angle <= 135))
    return fail('range', 'angle', 'angle: 30 to 135 degrees are accepted; 90 tells most.')
  if (!(pulled >= angle && pulled <= angle + 20))
    return fail('range', 'pulled', `pulled: from the angle itself, ${formatDecimal(angle, 1)}, to 20 more is accepted.`)
  const gain = measures[0] + measures[1] - apart
  const factor = gainOf(1, angle)
  if (gain <= error)
    return fail(
      'impossible',
      'measures',
      `measures: together they must be more than the ${length(apart)} between the marks; a bend gains. Measure to where the ${w.centre} lines cross.`,
    )
  const radius = gain / factor
  // The hook edge stays where it was on the straight part; the corner of this bend is known from the first mark.
  const corner = marks[0] + measures[0]
  const setback = corner - hook - tangentOf(radius, angle) + radius
  const springback = ((pulled - angle) * 90) / angle
  // Four readings go into the gain, each by itself.
  const gainError = 2 * error
  const radiusError = gainError / factor
  return ok({
    gain,
    radius,
    setback,
    springback,
    left: {
      radius: radiusError,
      setback: Math.hypot(Math.SQRT2 * error, radiusError * Math.abs(1 - tangentOf(1, angle))),
      cut: gainOf(radiusError, 90),
    },
    working: [
      {
        text: 'both measures to the corner',
        op: '+',
        value: measures[0] + measures[1],
        unit: 'mm',
        source: 'measured',
      },
      { text: 'between the marks', op: '-', value: apart, unit: 'mm', source: 'measured' },
      { text: `gain of a bend of ${formatDecimal(angle, 1)} degrees`, op: '=', value: gain, unit: 'mm' },
      {
        text: `2 tan(A/2) less A, for ${formatDecimal(angle, 1)} degrees`,
        op: '/',
        value: factor,
        unit: '',
        source: 'geometry',
      },
      { text: `${w.centre}line radius`, op: '=', value: radius, unit: 'mm' },
      { text: 'corner from the hook edge', op: '+', value: corner - hook, unit: 'mm', source: 'measured' },
      { text: `tangent of this bend`, op: '-', value: tangentOf(radius, angle), unit: 'mm' },
      { text: 'radius, the tangent of a right angle', op: '+', value: radius, unit: 'mm' },
      { text: 'set-back of a right angle', op: '=', value: setback, unit: 'mm' },
      { text: `arc along the ${w.centre} line`, op: '=', value: arcOf(radius, angle), unit: 'mm' },
    ],
  })
}
