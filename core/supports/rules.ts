import { supportCodeOf, type Pipe } from '#core/catalogue'
import { about, w } from '#core/speech'
import { LEAST_GROWTH_MM } from './expansion-figures'
import type { Expansion, FixAdvice, FixContext } from './types'
import type { FixCode } from './words'

const METALS: ReadonlySet<Pipe['family']> = new Set(['copper', 'steel', 'stainless', 'lead'])
const SOFT: ReadonlySet<Pipe['family']> = new Set(['pex', 'pert', 'bs7291', 'pb'])

/**
 * What has to be seen to beside the distances, by pipe, country and temperatures. Trade practice unless a code is named.
 */
export function adviceOf(
  { question: { region, code, service, temperature, installedAt, legs }, pipe, spacing }: FixContext,
  expansion: readonly Expansion[],
): FixAdvice[] {
  const isMetal = METALS.has(pipe.family)
  const used = code ?? supportCodeOf(region)
  const isHot = service !== 'cold' && service !== 'buried'
  const rule = (text: string, when: boolean, name: FixCode): FixAdvice[] => (when ? [{ code: name, text }] : [])
  return [
    ...rule(
      `${used.toUpperCase()} holds no row for ${pipe.label}. Take the distances from its maker's sheet and enter them, or choose a code that has it.`,
      spacing === null || (spacing.horizontal === null && legs.some(({ run }) => run === 'horizontal')),
      'no-row',
    ),
    ...rule(
      `The code speaks of ${w.storeys} here: held at the base and at each floor, guided half way up. No length is given.`,
      spacing?.byStorey === true && legs.some(({ run }) => run === 'vertical'),
      'storey',
    ),
    ...rule(
      `A guide stands half way up each ${w.storey} besides (sizes to 2 in).`,
      spacing?.midStorey === true && !spacing.byStorey && legs.some(({ run }) => run === 'vertical'),
      'mid-storey',
    ),
    ...rule(
      'Heard in the trade: a clip each 4 ft. The code asks for 32 in (813 mm) on small sizes, and that is used.',
      region === 'us' && SOFT.has(pipe.family) && spacing?.horizontal === 813,
      'habit',
    ),
    ...rule(
      `Heard in the trade: multilayer each ${about(800)} in floors. Its table allows more; closer is no fault.`,
      region !== 'us' && pipe.family === 'multilayer',
      'habit',
    ),
    ...rule(
      `A clip within ${about(150, 300)} of every change of direction, tee and valve; plastic nearer, ${about(100, 150)}.`,
      true,
      'near-corners',
    ),
    ...rule(
      'Valves, meters and outlets carry their own bracket: their torque never goes through plastic or a push-fit. An outlet through a wall is screwed down.',
      true,
      'bracket',
    ),
    ...rule(
      `${w.ADropEar} is screwed to solid wood by both its ears, its first clip within ${about(150)}: the pull of ${w.aTap} never comes on the pipe.`,
      true,
      'drop-ear',
    ),
    ...rule(
      'A pipe goes through a wall or floor in a sleeve one or two sizes larger, sealed soft at both faces, no joint inside.',
      true,
      'through-wall',
    ),
    ...rule(
      isMetal
        ? 'Copper in plastic, rubber-lined or copper-plated clips: bare steel stains and corrodes it.'
        : 'Plastic clips on plastic: no metal strap that rubs.',
      pipe.family !== 'steel',
      'clip-kind',
    ),
    ...rule(
      `It moves: clips that let it slide, holes ${about(5, 10)} over its outside, felt or sleeve where it touches. One anchor a straight run, at a fitting's body.`,
      expansion.some(({ change }) => Math.abs(change) >= LEAST_GROWTH_MM),
      'slides',
    ),
    ...rule(
      'No arm constant is held for this plastic: leave slack (about 1 %) and ask its maker.',
      expansion.some(({ arm, change }) => arm === null && Math.abs(change) >= LEAST_GROWTH_MM),
      'no-arm',
    ),
    ...rule("Steel plate where the pipe is less than 1-1/4 in (32 mm) from a stud's face.", region === 'us', 'guard'),
    ...rule(
      `Guard plate over every notch and where nails may come. Notch at most 1/8 of the joist's depth, 0.07 to 0.25 of the span from its bearing; holes on the ${w.centre} line, at most 1/4, 0.25 to 0.4 of the span.`,
      region !== 'us',
      'guard',
    ),
    ...rule(
      `${w.Lag} it. Where frost comes, a drain point at its low end; thaw from the ${w.tap} end, never by flame.`,
      true,
      'insulate',
    ),
    ...rule(
      `Below freezing: water in it is ice. ${w.Lag} and trace-heat it, or drain it before frost.`,
      temperature < 0 || installedAt < 0,
      'frost',
    ),
    ...rule(
      `Hot above cold on parallel runs, clips opposite one another, the two apart or ${w.lagged}.`,
      isHot || service === 'cold',
      'parallel',
    ),
    ...rule(
      `A metal pipe may be the ${w.earth} path: its bond stays, and is bridged before it is cut. Plastic put in breaks it: tell an electrician.`,
      isMetal,
      'earth',
    ),
    ...rule('Wrap it in plaster, screed and masonry: sleeve or felt, no joint inside.', true, 'sleeve'),
  ]
}
