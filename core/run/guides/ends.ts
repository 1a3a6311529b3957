import { fail, ok } from '#core/base'
import { bendOf } from '#core/catalogue'
import { formatDecimal, MM_PER_INCH } from '#core/units'
import { gainOf } from '#core/line'
import { about, length as mm, perRegion, w } from '#core/speech'
import { FALL, WARM_MM } from './allowances'
import { legLength, sum, type Guide, type GuideAnswer } from './types'

/* Lines that end at a wall, a fixture, the ground. */

const US_LENGTHS: Readonly<Record<string, string>> = {
  110: '4 1/2',
  20: '3/4',
  50: '2',
  15: '5/8',
  150: '8',
  300: '12',
  900: '36',
  1000: '40',
  600: '24',
  12.5: '1/2',
  0: '0',
}
const usual =
  (mm: number) =>
  ({ region }: { region: string }) =>
    region === 'us' ? (US_LENGTHS[mm] ?? formatDecimal(mm / MM_PER_INCH, 1)) : formatDecimal(mm, 1)

export const OUTDOOR_TAP: Guide = {
  id: 'outdoor-tap',
  name: `${w.AnOutdoorTap} where it freezes`,
  about: 'Stem long enough that its seat lies in the warm, falling to the outside, fixed so that nothing shakes.',
  fields: [
    { name: 'outer', words: 'Outer skin', kind: 'length', usual: usual(110) },
    { name: 'cavity', words: 'Cavity and insulation', kind: 'length', usual: usual(50) },
    { name: 'inner', words: 'Inner skin and lining', kind: 'length', usual: usual(110) },
    {
      name: 'warm',
      words: 'Seat inside the warm by',
      kind: 'length',
      usual: usual(WARM_MM),
      why: 'Ours: deeper where the room behind is not heated.',
    },
    { name: 'stem', words: 'Stem, outside diameter', kind: 'length', usual: usual(20) },
  ],
  work({ outer, cavity, inner, warm, stem }, context) {
    const wall = outer! + cavity! + inner!
    if (wall <= 0)
      return fail('range', 'outer', 'Outer skin: the wall has some thickness. A length over 0 is accepted.')
    const length = wall + warm!
    const fall = length * FALL
    return ok<GuideAnswer>({
      figures: [
        {
          words: 'stem at least',
          value: length,
          unit: 'mm',
          source: 'the wall as you measured it',
          working: sum(
            [
              ['outer skin', '+', outer!],
              ['cavity and insulation', '+', cavity!],
              ['inner skin and lining', '+', inner!],
              ['into the warm', '+', warm!, 'ours, typed over by you'],
            ],
            'stem, or the next longer sold',
            length,
          ),
        },
        {
          words: 'hole through',
          value: stem! + 10,
          unit: 'mm',
          source: `typical: ${about(5, 10)} over what goes through`,
          working: sum(
            [
              ['stem', '+', stem!],
              ['room round it', '+', 10, `typical ${about(5, 10)}`],
            ],
            'hole',
            stem! + 10,
          ),
        },
        {
          words: 'outside lower by',
          value: fall,
          unit: 'mm',
          source: 'ours: 1 in 30',
          working: sum(
            [
              ['stem', '+', length],
              ['1 in 30', 'x', FALL, 'ours'],
            ],
            'fall to the outside',
            fall,
          ),
        },
      ],
      steps: [
        `An old one first: a washer or new packing often does. Else measure the old stem, seat to flange, and match it: a longer one does, a shorter one freezes.`,
        'Keep a sound piece of the old pipe to join on, cut where it is straight and bright.',
        'The old hole serves if the new stem falls to the outside in it; else drill anew and close the old one.',
        'Trace cables and pipes, then drill from the inside, falling to the outside.',
        'Sleeve the hole, no joint inside the wall; seal round it.',
        `Pack the flange until it stands flat on the wall, seal its upper edge, then screw it; vacuum breaker upwards.`,
        'Clip the pipe behind it, so that the hose pulls on the wall and not on the joint.',
        context.region === 'us'
          ? 'No shut-off after an atmospheric vacuum breaker.'
          : 'A shut-off and a drain-off in the warm, before the wall.',
      ],
      cautions: [
        {
          code: 'backflow',
          text:
            context.region === 'us'
              ? 'A vacuum breaker is needed: ASSE 1011, or 1019 where it drains itself.'
              : 'A double check valve is needed, inside the warm space (fluid category 3).',
        },
        {
          code: 'frost-cover',
          text: 'A frost cover over it in winter helps only if the stem is drained: it holds warmth from the wall, it makes none.',
        },
        { code: 'hose-off', text: 'Hose off in winter: a hose left on keeps water in the stem, and it freezes.' },
      ],
      line: {
        start: `stop = ${w.tap} seat`,
        corners: 'fittings',
        name: `to the ${w.outdoorTap}`,
        legs: [`n ${legLength(300, context)}`],
      },
    })
  },
}

/** Nearest a pipe lies to a stud's face without a guard, mm: IPC and IRC, 1-1/4 in. */
const GUARD_MM = 31.75

export const ROUGH_IN: Guide = {
  id: 'rough-in',
  name: "A fixture's rough-in",
  about: `${w.Centre}lines of hot and cold from a datum, the tails to cut, brackets and guards.`,
  fields: [
    { name: 'centre', words: `Fixture ${w.centre} from the datum`, kind: 'length', usual: usual(900) },
    { name: 'apart', words: 'Hot to cold', kind: 'length', usual: usual(150), why: "By the fixture's own paper." },
    { name: 'height', words: 'Height over the floor datum', kind: 'length', usual: usual(600) },
    { name: 'stub', words: 'Stub past the finished wall', kind: 'length', usual: usual(50) },
    { name: 'finish', words: 'Board and finish before the bracket', kind: 'length', usual: usual(12.5) },
    { name: 'set', words: "Pipe behind the stud's face", kind: 'length', usual: usual(20) },
  ],
  work({ centre, apart, height, stub, finish, set }, context) {
    const [hot, cold] = [centre! - apart! / 2, centre! + apart! / 2]
    if (hot <= 0) return fail('range', 'apart', 'Hot to cold: half of it must lie within the distance from the datum.')
    const tail = stub! + finish!
    const half = (op: '+' | '-', value: number, words: string) =>
      sum(
        [
          [`fixture ${w.centre}`, '+', centre!],
          ['half of hot to cold', op, apart! / 2],
        ],
        words,
        value,
      )
    return ok<GuideAnswer>({
      figures: [
        {
          words: `hot ${w.centre}line from the datum`,
          value: hot,
          unit: 'mm',
          source: 'hot on the left, seen from the front',
          working: half('-', hot, 'hot'),
        },
        {
          words: `cold ${w.centre}line from the datum`,
          value: cold,
          unit: 'mm',
          source: 'cold on the right',
          working: half('+', cold, 'cold'),
        },
        {
          words: "stub past the bracket's face",
          value: tail,
          unit: 'mm',
          source: 'finish and stub',
          working: sum(
            [
              ['board and finish', '+', finish!],
              ['past the finished wall', '+', stub!],
            ],
            'bare stub; add the depth into the bracket',
            tail,
          ),
        },
      ],
      steps: [
        `Level line at ${mm(height!)}; mark hot and cold on it from the datum.`,
        `${w.Noggin} between the studs, bracket screwed to it with all its screws.`,
        'Stub-outs rigid: copper tail or drop-ear elbow, capped for the test.',
        ...(set! < GUARD_MM ? ['Steel guard over each stud the pipe passes.'] : []),
      ],
      cautions:
        set! < GUARD_MM
          ? [
              {
                code: 'guard',
                text: `The pipe lies ${mm(set!)} behind the stud's face: nails and screws reach ${mm(GUARD_MM)}. Guard it (IPC 305.6).`,
              },
            ]
          : [],
      line: {
        start: 'stop = riser',
        corners: 'fittings',
        name: 'tails of the fixture',
        legs: [
          `u ${legLength(height!, context, 'height')} tee`,
          `e ${legLength(apart!, context, 'apart')}`,
          `s ${legLength(tail, context, 'stub', 'finish')} free = tail`,
        ],
      },
    })
  },
}

export const PE_ENTRY: Guide = {
  id: 'pe-entry',
  name: 'A swept run to a wall entry',
  about:
    'A pipe laid in a sweep from the trench up to the entry: least radius, where the sweep begins, length to cut from the coil.',
  fields: [
    {
      name: 'cover',
      words: 'Pipe below the entry floor',
      kind: 'length',
      usual: usual(900),
      why: perRegion({
        gb: '750 to 1350 mm of cover.',
        us: '6 in under the frost line, 12 in at least.',
        eu: 'Below the frost line of the place.',
      }),
    },
    {
      name: 'run',
      words: 'Along the trench to below the entry',
      kind: 'length',
      usual: ({ region }) => (region === 'us' ? '20 ft' : '6000'),
    },
    { name: 'up', words: 'Up past the floor to the valve', kind: 'length', usual: usual(150) },
  ],
  work({ cover, run, up }, context) {
    const bend = bendOf(context.pipe)
    if (!bend || bend.radius.value === null)
      return fail(
        'impossible',
        'cover',
        `${context.pipe.label} is not laid in a sweep. Choose a PE or PEX pipe for the line first.`,
      )
    const radius = bend.radius.value
    const rise = cover! + up!
    if (radius > rise || radius > run!)
      return fail(
        'impossible',
        'cover',
        `The sweep needs ${mm(radius)} up and along (${bend.radius.source}); ` +
          `there are ${mm(rise)} up and ${mm(run!)} along. ` +
          'Lay it deeper, or turn by an elbow that lies in its duct.',
      )
    const gain = gainOf(radius, 90)
    const length = run! + rise - gain
    return ok<GuideAnswer>({
      figures: [
        {
          words: 'least radius of the sweep',
          value: radius,
          unit: 'mm',
          source: bend.radius.source,
          working: sum(
            [
              ['outside diameter', '+', context.pipe.od, context.pipe.standard],
              ['times', 'x', radius / context.pipe.od, bend.radius.source],
            ],
            'radius',
            radius,
          ),
        },
        {
          words: 'sweep begins before the entry by',
          value: radius,
          unit: 'mm',
          source: 'a quarter circle',
          working: sum([], 'one radius', radius),
        },
        {
          words: 'pipe along it',
          value: length,
          unit: 'mm',
          source: 'geometry',
          working: sum(
            [
              ['along the trench', '+', run!],
              ['up to the valve', '+', rise],
              ['gain of the sweep, 0.4292 times its radius', '-', gain],
            ],
            'length, before trimming',
            length,
          ),
        },
      ],
      steps: [
        "Duct through the wall and up, its own sweep no tighter than the pipe's.",
        "Bed on sand, no stones; straight for a hand's breadth before the fitting.",
        'Leave it long, cut after it has lain; look for scores under the seal and cut back to sound pipe.',
        'Entry valve where it can be reached; seal the duct against gas and vermin.',
      ],
      cautions: [
        { code: 'cold-pipe', text: 'Cold pipe kinks: it wants 35 times its outside diameter and more near frost.' },
        { code: 'spoilt-ground', text: `Not through ground ${w.spoilt} by oil or solvent: barrier pipe there.` },
      ],
      line: {
        start: 'stop = main',
        corners: 'bends',
        name: 'service to the entry',
        legs: [
          `e ${legLength(run!, context, 'run')} bend`,
          `u ${legLength(rise, context, 'cover', 'up')} stop = entry valve`,
        ],
      },
    })
  },
}
