import { cutRows } from '#core/cutting'
import { fixLine } from '../fix/work'
import { countStates } from '../kit/counts'
import { progressOf } from '../cut/work'
import { isLineRight } from '../line/work'
import { shiftedEnds } from '../joint/rests'
import { isMade } from '../joint/status'
import type { JobRecord } from './record'
import type { Station } from '../stations'

/** What to do next on a job: the station, words before the figure, the figure in mm or a count, and a line below. */
export interface NextAction {
  station: Station
  words: string
  mm?: number
  below: string
  held: boolean
  done: boolean
  /** Record the action is about. */
  id?: string
}

const day = (iso: string): string =>
  new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })

/** The next thing a hand can do: what is begun first, then what is ready, then what is to be chosen, then found. */
export function nextAction(job: JobRecord): NextAction {
  const made = job.joints.filter(isMade).length
  const rest = { held: false, done: false }
  if (job.handedOver)
    return {
      station: 'handover',
      words: `Handed over ${day(job.handedOver)}.`,
      below: `${made} joint${made === 1 ? '' : 's'} made.`,
      held: false,
      done: true,
    }
  const open = job.joints.filter((joint) => !isMade(joint))
  // What rests on a pipe that turned out to be another is looked at before anything is cut for it.
  const shifted = open.find((joint) => shiftedEnds(job, joint).length > 0)
  if (shifted)
    return {
      ...rest,
      station: 'joint',
      words: `Look at J${shifted.number} again`,
      below: 'The pipe it was chosen for was found to be another.',
      held: true,
      id: shifted.id,
    }
  const sheets = job.cuts.filter(({ plan, result }) => plan && !result)
  const sheet = sheets.find(({ done }) => done.length > 0) ?? sheets[0]
  const begun = open.find((joint) => joint.way && joint.ticks.length > 0)
  const cut = begun ? undefined : sheet && cutRows(sheet.plan!, sheet.done).find((row) => row.done === null)
  if (sheet && cut)
    return {
      ...rest,
      station: 'cut',
      words: `Cut ${cut.piece.name} at`,
      mm: cut.length,
      below: `${progressOf(sheet)!.made} of ${sheet.plan!.pieces.length} cut${sheet.name ? `, ${sheet.name}` : ''}`,
      id: sheet.id,
    }
  if (sheet && !begun)
    return {
      ...rest,
      station: 'cut',
      words: `Put what C${sheet.number} left on the rack`,
      below: sheet.name,
      id: sheet.id,
    }
  const doubted =
    job.counts.length === 0 ? undefined : countStates(job).find(({ doubted: joints }) => joints.length > 0)
  if (doubted)
    return {
      ...rest,
      station: 'make',
      words: `Look at J${doubted.doubted[0]!.number}`,
      below: `${doubted.over} ${doubted.need.item} too many came back: one may be missing there.`,
      held: true,
      id: doubted.doubted[0]!.id,
    }
  const ready = begun ?? open.find((joint) => joint.way)
  if (ready?.way) {
    const first = ready.way.joints.findIndex(
      (_, entry) => !ready.ticks.some((tick) => tick.entry === entry && tick.code === 'mark'),
    )
    const depth = ready.way.joints[Math.max(first, 0)]?.insertion.value ?? null
    return {
      ...rest,
      station: 'make',
      words: `Make J${ready.number}: ${depth === null ? 'measure the socket' : 'mark at'}`,
      ...(depth === null ? {} : { mm: depth }),
      below: ready.place,
      id: ready.id,
    }
  }
  const toChoose = open.find((joint) => !joint.way)
  if (toChoose)
    return {
      ...rest,
      station: 'joint',
      words: `Choose how to make J${toChoose.number}`,
      below: toChoose.place,
      id: toChoose.id,
    }
  const unsettled = job.finds.find((find) => find.pipe === null)
  if (unsettled) {
    const isTraced = unsettled.answers.traced === 'water'
    return {
      ...rest,
      station: 'find',
      words: 'Settle what this pipe is',
      below: isTraced ? unsettled.place : `${unsettled.place}. Rule out gas first.`,
      held: !isTraced,
      id: unsettled.id,
    }
  }
  const empty = job.lines.find(({ legs }) => legs.length === 0)
  if (empty) return { ...rest, station: 'line', words: `Draw line L${empty.number}`, below: empty.name, id: empty.id }
  const broken = job.lines.find((line) => !isLineRight(job, line))
  if (broken)
    return {
      ...rest,
      station: 'line',
      words: `Put line L${broken.number} right`,
      below: broken.name,
      held: true,
      id: broken.id,
    }
  for (const line of job.lines) {
    const support = fixLine(job, line)?.supports.find(({ fixedAt }) => fixedAt === null)
    if (support)
      return {
        ...rest,
        station: 'fix',
        words: `Fix ${support.name} of L${line.number} at`,
        mm: support.fromLeft ?? support.at,
        below: line.name,
        id: line.id,
      }
  }
  if (job.joints.length > 0)
    return {
      ...rest,
      station: 'handover',
      words: 'Hand over the register',
      below: `${made} joint${made === 1 ? '' : 's'} made, none open.`,
    }
  const found = job.finds.at(-1)
  return found
    ? { ...rest, station: 'joint', words: 'Join the pipe you found', below: found.place, id: found.id }
    : { ...rest, station: 'find', words: 'Measure the first pipe', below: 'Nothing found yet.' }
}
