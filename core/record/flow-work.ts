import { ok, type Result } from '#core/base'
import { LINE_FITTINGS, unitSystemOf, type LineFitting } from '#core/catalogue'
import { askFlow, type FlowAnswer, type FlowQuestion } from '#core/flow'
import { ALL_METHODS } from '#core/joints'
import type { LaidLeg } from '#core/line'
import { parseFlow } from '#core/units'
import { fixSettings } from './fix-work'
import { surveyed, type LineRules } from './line-work'
import type { LineRecord } from './types'

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
  return [
    ...(end === null
      ? [{ fitting: 'bend' as const, quantity: 1 }]
      : isFitting(end.kind)
        ? [{ fitting: end.kind, quantity: 1 }]
        : []),
    ...(inserts > 0 ? [{ fitting: 'insert' as const, quantity: inserts }] : []),
  ]
}

/** Speed and pressure along a line at its flow; null where no flow is said or the line cannot be laid. Issue at `flow` or `temperature`. */
export function lineFlow(job: LineRules, line: LineRecord): Result<LineFlow | null> {
  if (!line.fix.flow?.trim()) return ok(null)
  const flow = parseFlow(line.fix.flow, unitSystemOf(job.region))
  if (!flow.ok) return flow
  const { draft, survey } = surveyed(job, line)
  if (!survey || !draft.question) return ok(null)
  const { temperature } = fixSettings(job, line)
  const legs: FlowLeg[] = []
  const lost: LineFlow['lost'] = [{ at: 0, bar: 0 }]
  const inserts: LineFlow['inserts'] = []
  let [at, bar] = [0, 0]
  for (const leg of longestWay(survey.laid)) {
    const fittings = fittingsOf(leg)
    const question = { region: job.region, pipe: leg.pipe.id, length: leg.length, flow: flow.value, temperature }
    const whole = askFlow({ ...question, fittings })
    if (!whole.ok) return whole
    const straight = askFlow(question)
    if (!straight.ok) return straight
    const answer = whole.value
    const [begin, end] = leg.mouths
    if (answer.insert && hasInsert(begin)) inserts.push({ at, ...answer.insert, limit: answer.limit })
    if (answer.insert && hasInsert(end)) inserts.push({ at: at + leg.length, ...answer.insert, limit: answer.limit })
    legs.push({
      leg: leg.index,
      from: at,
      to: at + leg.length,
      name: draft.question.legs[leg.index]?.name ?? `leg ${leg.index + 1}`,
      answer,
    })
    at += leg.length
    lost.push({ at, bar: bar + straight.value.drop }, { at, bar: bar + answer.drop })
    bar += answer.drop
  }
  return ok({
    flow: flow.value,
    legs,
    lost,
    inserts,
    drop: bar,
    isOver:
      legs.some(({ answer }) => answer.verdict === 'over') || inserts.some(({ velocity, limit }) => velocity > limit),
  })
}
