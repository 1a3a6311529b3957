import type { LaidLeg } from '#core/line'
import { checkSupports } from './check'
import { answerFix, armsOf, fixContext } from './fix'
import type { FixGroup, HeldLine, LineSupport, LineToHold } from './held'
import { sittingRange } from './sit'
import type { FixLeg, Support } from './types'

/** A leg within 30 degrees of upright is held as a vertical one. Ours. */
const VERTICAL = Math.cos(Math.PI / 6)

/** A laid leg as the fix verb takes it: joints where mouths are, bends at its corners. */
function toFixLeg({ length, along, mouths }: LaidLeg, name: string): FixLeg {
  const joints: number[] = []
  const bends: number[] = []
  mouths.forEach((mouth, i) => {
    const at = (mm: number) => (i === 0 ? mm : length - mm)
    if (mouth === null) bends.push(at(0))
    else if (mouth.kind !== 'free')
      joints.push(at(0), ...(mouth.takeOut.value ? [at(Math.min(mouth.takeOut.value, length))] : []))
  })
  return { name, length, run: Math.abs(along[2]) >= VERTICAL ? 'vertical' : 'horizontal', joints, bends }
}

/** Legs that run on from one another in one pipe. */
function chainsOf(laid: readonly LaidLeg[]): LaidLeg[][] {
  const chains: LaidLeg[][] = []
  for (const leg of laid) {
    const last = chains.at(-1)?.at(-1)
    if (last && leg.parent === last.index && leg.pipe.id === last.pipe.id) chains.at(-1)!.push(leg)
    else chains.push([leg])
  }
  return chains
}

/** A support with what the hand did of it. */
type SetSupport = Support & Pick<LineSupport, 'key' | 'isMoved' | 'fixedAt'>

/** Farther than this from where it was proposed, a support counts as moved, mm. */
const MOVED_MM = 0.05

/**
 * Where a leg's supports stand: clips typed with the leg where they were typed, else as proposed; then as the hand set
 * them.
 */
function supportsOfLeg(
  { draft, set }: LineToHold,
  { index }: LaidLeg,
  legInChain: number,
  proposed: readonly Support[],
): SetSupport[] {
  const typed = (draft.question?.clips ?? [])
    .filter(({ leg }) => leg === index)
    .map(({ at }) => at)
    .sort((a, b) => a - b)
  const places: readonly Support[] =
    typed.length > 0
      ? typed.map((at, n) => ({ leg: legInChain, at, kind: (proposed[n] ?? proposed.at(-1))?.kind ?? 'clip' }))
      : proposed
  return places.map((place, n) => {
    const key = `${index}:${n}`
    const own = set[key]
    return {
      ...place,
      key,
      at: own?.mm ?? place.at,
      isMoved: own !== undefined && Math.abs(own.mm - place.at) > MOVED_MM,
      fixedAt: own?.at ?? null,
    }
  })
}

/** One pipe's legs with their supports; null where nothing is known to hold it by. */
function holdChain(
  line: LineToHold,
  chain: readonly LaidLeg[],
  nameOf: HeldLine['nameOf'],
): { group: FixGroup; supports: LineSupport[] } | null {
  const { region, service, temperature, installedAt, code, given } = line
  const made = fixContext({
    region,
    pipe: chain[0]!.pipe.id,
    service,
    temperature,
    installedAt,
    ...(code ? { code } : {}),
    ...(given ? { given } : {}),
    legs: chain.map((leg) => toFixLeg(leg, nameOf(leg.index))),
  })
  if (!made.ok) return null
  const context = made.value
  const proposed = answerFix(context)
  const set = chain.flatMap((leg, i) =>
    supportsOfLeg(
      line,
      leg,
      i,
      proposed.supports.filter((support) => support.leg === i),
    ),
  )
  const broken = checkSupports(context, set)
  return {
    supports: set.map(({ leg, ...support }, i) => ({
      ...support,
      may: sittingRange(context, set, i),
      leg: chain[leg]!.index,
      name: '',
      piece: '',
      fromLeft: null,
      broken: broken.filter(
        (rule) => rule.leg === leg && (rule.at === undefined || Math.abs(rule.at - support.at) < 1e-6),
      ),
    })),
    group: {
      legs: chain.map(({ index }) => index),
      context,
      answer: { ...proposed, supports: set },
      arms: armsOf(context, set, proposed.expansion),
    },
  }
}

/** Supports of a laid line by its legs, in order along it. */
export function holdLine(line: LineToHold): HeldLine {
  const { rows } = line.draft
  const nameOf = (index: number) => {
    const row = rows.find(({ legs }) => legs && index >= legs[0] && index <= legs[1])
    return row ? `${row.from} to ${row.to}` : `leg ${index + 1}`
  }
  const held = chainsOf(line.survey.laid).flatMap((chain) => holdChain(line, chain, nameOf) ?? [])
  return {
    line,
    groups: held.map(({ group }) => group),
    supports: held.flatMap(({ supports }) => supports).sort((a, b) => a.leg - b.leg || a.at - b.at),
    nameOf,
  }
}
