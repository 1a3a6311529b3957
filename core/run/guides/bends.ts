import { fail, ok } from '#core/base'
import { radiusOf, tangentOf } from '#core/line'
import { formatDecimal, unitSystemOf } from '#core/units'
import { length, w } from '#core/speech'
import { typeLength } from '../write'
import { CLEAR_MM } from './allowances'
import { legLength, sum, type Guide, type GuideAnswer, type GuideContext } from './types'

/* Offsets as they come up: past an obstacle, beside other pipes, to a fitting on the wall. */

const inRegion =
  (metric: string, inch: string) =>
  ({ region }: { region: string }) =>
    region === 'us' ? inch : metric
const ANGLE = {
  name: 'angle',
  words: 'Angle of the bends',
  kind: 'number',
  usual: () => '45',
  why: 'Degrees, up to 90.',
} as const
const wrongAngle = (angle: number) =>
  angle > 90 ? fail('range', 'angle', 'Angle of the bends: more than 0 up to 90 degrees is accepted.') : null

/** Radius in use, and its source. */
function radiusIn({ pipe, bender }: GuideContext): { value: number; source: string } | null {
  const radius = radiusOf(pipe, bender)
  return radius?.value == null ? null : { value: radius.value, source: radius.source }
}

export const CLEAR: Guide = {
  id: 'clear',
  name: 'A step past an obstacle',
  about: 'The set that clears it, where the first bend starts, and whether the bends fit.',
  fields: [
    { name: 'size', words: 'Obstacle stands out from the wall', kind: 'length', usual: inRegion('60', '2 1/2') },
    { name: 'off', words: `${w.Centre} of the pipe off the wall`, kind: 'length', usual: inRegion('25', '1') },
    { name: 'clear', words: 'Kept clear of it', kind: 'length', usual: inRegion(String(CLEAR_MM), '3/8') },
    { name: 'to', words: 'From the start to the obstacle', kind: 'length', usual: inRegion('600', '24') },
    { name: 'leg', words: 'Whole leg', kind: 'length', usual: inRegion('1500', '60') },
    ANGLE,
  ],
  work({ size, off, clear, to, leg, angle }, context) {
    const wrong = wrongAngle(angle!)
    if (wrong) return wrong
    const set = size! + clear! + context.pipe.od / 2 - off!
    if (set <= 0) return fail('range', 'size', 'Obstacle: the pipe clears it as it lies. No step is needed.')
    const radians = (angle! * Math.PI) / 180
    const covers = angle === 90 ? 0 : set / Math.tan(radians)
    const radius = radiusIn(context)
    // The second bend is over, its outer half too, before the obstacle begins.
    const done = radius ? tangentOf(radius.value, angle!) : 0
    if (2 * done > set / Math.sin(radians))
      return fail(
        'impossible',
        'angle',
        `Angle of the bends: the two take ${length(2 * done)} of a travel of ${length(set / Math.sin(radians))}. A smaller angle, or elbows, is accepted.`,
      )
    const at = to! - covers - done
    if (at <= 0)
      return fail(
        'impossible',
        'to',
        `From the start: the step takes ${length(covers + done)} before the obstacle. A longer way there or a steeper angle is accepted.`,
      )
    const system = unitSystemOf(context.region)
    return ok<GuideAnswer>({
      figures: [
        {
          words: 'set',
          value: set,
          unit: 'mm',
          source: 'the obstacle as you measured it',
          working: sum(
            [
              ['obstacle', '+', size!],
              ['kept clear', '+', clear!, 'ours, typed over by you'],
              ['half of the pipe', '+', context.pipe.od / 2, context.pipe.standard],
              [`${w.centre} off the wall`, '-', off!],
            ],
            'set',
            set,
          ),
        },
        {
          words: 'first corner from the start',
          value: at,
          unit: 'mm',
          source: radius?.source ?? 'no radius',
          working: sum(
            [
              ['to the obstacle', '+', to!],
              ['run the step covers', '-', covers],
              ['rest of the second bend', '-', done, radius?.source],
            ],
            'first corner',
            at,
          ),
        },
        {
          words: 'travel',
          value: set / Math.sin(radians),
          unit: 'mm',
          source: 'geometry',
          working: sum(
            [
              ['set', '+', set],
              [`sine of ${formatDecimal(angle!, 1)} degrees`, '/', Math.sin(radians)],
            ],
            'travel',
            set / Math.sin(radians),
          ),
        },
      ],
      steps: [
        'Draw a line along the pipe, so that both bends lie in one plane.',
        'Mark, pull the first, check the other way round before the second.',
      ],
      cautions: [],
      line: {
        start: 'free',
        corners: 'fittings',
        name: 'past the obstacle',
        legs: [
          `e ${legLength(leg!, context, 'leg', 'to', 'size', 'off')} offset s ${typeLength(set, system)} @ ${formatDecimal(angle!, 1)} at ${typeLength(at, system)}`,
        ],
      },
    })
  },
}

/** Most pipes beside each other. */
const MOST_LINES = 12

export const PARALLEL: Guide = {
  id: 'parallel',
  name: 'Pipes side by side, evenly spaced',
  about: "How far each pipe's marks move on, so that the gap stays even through the bends.",
  fields: [
    { name: 'spacing', words: `${w.Centre} to ${w.centre}`, kind: 'length', usual: inRegion('60', '2 1/2') },
    { name: 'count', words: 'Pipes', kind: 'number', usual: () => '3' },
    { name: 'first', words: "First pipe: first bend's corner at", kind: 'length', usual: inRegion('400', '16') },
    ANGLE,
  ],
  work({ spacing, count, first, angle }) {
    const wrong = wrongAngle(angle!)
    if (wrong) return wrong
    if (!Number.isInteger(count) || count! < 2 || count! > MOST_LINES)
      return fail('range', 'count', `Pipes: 2 to ${MOST_LINES} are accepted.`)
    const shift = spacing! * Math.tan((angle! * Math.PI) / 360)
    return ok<GuideAnswer>({
      figures: [
        {
          words: "each pipe's marks move by",
          value: shift,
          unit: 'mm',
          source: 'geometry',
          working: sum(
            [
              [`${w.centre} to ${w.centre}`, '+', spacing!],
              [`tangent of half of ${formatDecimal(angle!, 1)} degrees`, 'x', Math.tan((angle! * Math.PI) / 360)],
            ],
            'shift',
            shift,
          ),
        },
        ...Array.from({ length: count! }, (_, i) => ({
          words: `pipe ${i + 1}, first corner at`,
          value: first! + i * shift,
          unit: 'mm' as const,
          source: 'geometry',
          working: sum(
            [
              ['first pipe', '+', first!],
              [`${i} times the shift`, '+', i * shift],
            ],
            `pipe ${i + 1}`,
            first! + i * shift,
          ),
        })),
      ],
      steps: [
        'Same set, same angle, same radius on every pipe.',
        'Pipes further to the side they turn from start later by the shift; turning the other way, earlier.',
        'Clips opposite each other.',
      ],
      cautions: [],
      line: null,
    })
  },
}

export const WALL_FITTING: Guide = {
  id: 'wall-fitting',
  name: 'Two right angles to a wall fitting',
  about: 'Along, out and down to a fitting on the wall, from one piece with two bends.',
  fields: [
    { name: 'along', words: 'Along, to the first corner', kind: 'length', usual: inRegion('500', '20') },
    { name: 'aside', words: 'Aside, corner to corner', kind: 'length', usual: inRegion('250', '10') },
    { name: 'down', words: 'Down, to the stop in the fitting', kind: 'length', usual: inRegion('300', '12') },
  ],
  work({ along, aside, down }, context) {
    const radius = radiusIn(context)
    if (!radius) return fail('impossible', 'along', `${context.pipe.label} is not bent on site. Use elbows.`)
    const straight = aside! - 2 * radius.value
    if (straight < 0)
      return fail(
        'impossible',
        'aside',
        `Aside: two bends of radius ${length(radius.value)} take ${length(2 * radius.value)}; that or more is accepted.`,
      )
    return ok<GuideAnswer>({
      figures: [
        {
          words: 'straight between the bends',
          value: straight,
          unit: 'mm',
          source: radius.source,
          working: sum(
            [
              ['corner to corner', '+', aside!],
              ['two radii', '-', 2 * radius.value, radius.source],
            ],
            'straight',
            straight,
          ),
        },
      ],
      steps: [
        'Draw a line along the pipe before the first bend.',
        'Second bend: a quarter turn round from the first. Look along the pipe before you pull.',
      ],
      cautions: [],
      line: {
        start: 'free',
        corners: 'bends',
        name: 'to the wall fitting',
        legs: [
          `e ${legLength(along!, context, 'along')} bend`,
          `s ${legLength(aside!, context, 'aside')} bend`,
          `d ${legLength(down!, context, 'down')} stop = wall fitting`,
        ],
      },
    })
  },
}
