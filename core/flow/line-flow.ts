import { ok, type Result } from '#core/base'
import { LINE_FITTINGS, type LineFitting } from '#core/catalogue'
import { ALL_METHODS, type Service } from '#core/joints'
import type { LaidLeg } from '#core/line'
import { longestDeadLeg } from './dead-legs'
import { askFlow, type FlowAnswer, type FlowQuestion } from './flow'
import { FLOW_RULES } from './rules'
import type { Region } from '#core/units'
import { spoken } from '#core/speech'

/** Whether a tube end has an insert pushed into it. */
const hasInsert = (mouth: LaidLeg['mouths'][number]): boolean =>
  mouth !== null && mouth.kind !== 'free' && ALL_METHODS[mouth.method].narrowsBore === true
const isFitting = (kind: string): kind is LineFitting => (LINE_FITTINGS as readonly string[]).includes(kind)

/** One leg of the way the water takes: what it loses, and how fast it runs. */
interface FlowLeg {
  leg: number
  from: number
  to: number
  name: string
  answer: FlowAnswer
}
export interface LineFlow {
  /** l/s */
  flow: number
  /** From the start to the farthest end, mm along it. */
  legs: FlowLeg[]
  /** Pressure lost up to a place: steps stand at fittings. mm and bar. */
  lost: { at: number; bar: number }[]
  /** Narrow places: inserts at tube ends. */
  inserts: { at: number; bore: number; velocity: number; limit: number }[]
  drop: number
  isOver: boolean
}

/** The way from the start to the end that is farthest along the tube. */
function longestWay(laid: readonly LaidLeg[]): LaidLeg[] {
  const reach = (leg: LaidLeg): LaidLeg[] => {
    const ways = leg.children.map((child) => reach(laid[child]!))
    const length = (way: readonly LaidLeg[]) => way.reduce((sum, one) => sum + one.length, 0)
    return [leg, ...(ways.sort((a, b) => length(b) - length(a))[0] ?? [])]
  }
  const starts = laid.filter(({ parent }) => parent === null).map(reach)
  return starts[0] ?? []
}

/** What a leg's two ends add: the fitting at its end, and an insert where the tube has one pushed in. */
function fittingsOf({ mouths: [begin, end] }: LaidLeg): NonNullable<FlowQuestion['fittings']>[number][] {
  const inserts = [begin, end].filter(hasInsert).length
  const met = end === null ? 'bend' : end.kind
  return [
    ...(met === 'bend' || isFitting(met) ? [{ fitting: met, quantity: 1 } as const] : []),
    ...(inserts > 0 ? [{ fitting: 'insert' as const, quantity: inserts }] : []),
  ]
}

/** A laid line with what flows in it. */
export interface LineInFlow {
  region: Region
  laid: readonly LaidLeg[]
  /** Names of the legs by their indexes, where they have one. */
  names: readonly (string | undefined)[]
  /** l/s */
  flow: number
  /** degC */
  temperature: number
  /** What the line does, where it is known. */
  service?: Service
}

/** What is said of a hot way whose legs together stand longer than their sizes allow; null where they do not. */
function standingAlong(way: readonly LaidLeg[], region: Region): string | null {
  const shares = way.map(({ pipe, length }) => {
    const most = longestDeadLeg(pipe, region)
    return most === null ? 0 : length / most.longest
  })
  if (shares.reduce((sum, share) => sum + share, 0) <= 1) return null
  const { source } = longestDeadLeg(way[0]!.pipe, region)!
  return `Hot pipe stands longer between uses than ${source} allows for its sizes. ${FLOW_RULES['dead-leg'].because}`
}

/** Speed and pressure lost along the way from a line's start to its farthest end. Issue at `flow` or `temperature`. */
export const flowAlong = spoken(follow)
function follow({ region, laid, names, flow, temperature, service }: LineInFlow): Result<LineFlow> {
  const legs: FlowLeg[] = []
  const lost: LineFlow['lost'] = [{ at: 0, bar: 0 }]
  const inserts: LineFlow['inserts'] = []
  let [at, bar] = [0, 0]
  for (const leg of longestWay(laid)) {
    // How long a hot branch stands is asked of the whole way, below.
    const own = service === 'hot' ? {} : { service }
    const question = { region, pipe: leg.pipe.id, length: leg.length, flow, temperature, ...own }
    const whole = askFlow({ ...question, fittings: fittingsOf(leg) })
    if (!whole.ok) return whole
    const straight = askFlow(question)
    if (!straight.ok) return straight
    const answer = whole.value
    const to = at + leg.length
    leg.mouths.forEach((mouth, i) => {
      if (answer.insert && hasInsert(mouth))
        inserts.push({ at: i === 0 ? at : to, ...answer.insert, limit: answer.limit })
    })
    legs.push({ leg: leg.index, from: at, to, name: names[leg.index] ?? `leg ${leg.index + 1}`, answer })
    lost.push({ at: to, bar: bar + straight.value.drop }, { at: to, bar: bar + answer.drop })
    at = to
    bar += answer.drop
  }
  const standing = service === 'hot' ? standingAlong(longestWay(laid), region) : null
  if (standing) legs.at(-1)?.answer.cautions.push({ code: 'dead-leg', text: standing })
  const isOver =
    legs.some(({ answer }) => answer.verdict === 'over') || inserts.some(({ velocity, limit }) => velocity > limit)
  return ok({ flow, legs, lost, inserts, drop: bar, isOver })
}
