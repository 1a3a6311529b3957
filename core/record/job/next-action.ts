import { dateWords } from '#core/speech'
import type { Region } from '#core/units'
import type { CutGist } from '../cut/gist'
import type { FindGist } from '../find/gist'
import type { JobGist } from '../gist'
import type { JointGist } from '../joint/gist'
import { countStates } from '../kit/counts'
import type { LineGist } from '../line/gist'
import type { Station } from '../stations'

/** What to do next on a job: the station, words before the figure, the figure in mm or a count, and a line below. */
export interface NextAction {
  station: Station
  words: string
  mm?: number
  /** What is known already and stands in the figure's place: a measure as typed, or a count. */
  known?: string
  below: string
  held: boolean
  done: boolean
  /** Record the action is about; a find that a joint is begun from says so. */
  id?: string
  isFromFind?: boolean
}

/** The day of a moment as it is on record, the same on every machine. */
const day = (iso: string, region: Region): string => dateWords(iso.slice(0, 10), 'day', region)

type Said = Pick<NextAction, 'station' | 'words' | 'below'> & Partial<NextAction>
const next = (said: Said): NextAction => ({ held: false, done: false, ...said })

/** Whether an end of a joint came from a find that is kept as something else by now. */
const isShifted = ({ finds }: JobGist, { ends }: JointGist): boolean =>
  ends.some(({ pipe, find: id }) => finds.some((find) => find.id === id && find.pipe !== pipe))

const lookAgain = ({ id, number }: JointGist): NextAction =>
  next({
    station: 'joint',
    words: `Look at J${number} again`,
    below: 'The pipe it was chosen for was found to be another.',
    held: true,
    id,
  })

const cutNext = ({ id, name, number, made, of, next: piece }: CutGist): NextAction =>
  piece
    ? next({
        station: 'cut',
        words: `Cut ${piece.name} at`,
        mm: piece.mm,
        below: `${made} of ${of} cut${name ? `, ${name}` : ''}`,
        id,
      })
    : next({ station: 'cut', words: `Put what C${number} left on the rack`, below: name, id })

/** A made joint that may lack a part, by what came back of it. */
function missingPart(job: JobGist): NextAction | undefined {
  if (job.counts.length === 0) return undefined
  const state = countStates(job).find(({ doubted }) => doubted.length > 0)
  const [joint] = state?.doubted ?? []
  return (
    joint &&
    next({
      station: 'make',
      words: `Look at J${joint.number}`,
      below: `${state!.over} ${state!.need.item} too many came back: one may be missing there.`,
      held: true,
      id: joint.id,
    })
  )
}

const makeIt = ({ id, number, place, depth }: JointGist): NextAction =>
  next({
    station: 'make',
    words: `Make J${number}: ${depth === null ? 'measure the socket' : 'mark at'}`,
    ...(depth === null ? {} : { mm: depth }),
    below: place,
    id,
  })

const settleIt = ({ id, place, isTraced, typed }: FindGist): NextAction =>
  next({
    station: 'find',
    words: 'Settle what this pipe is',
    below: isTraced ? place : `${place}. Rule out gas first.`,
    ...(typed === '' ? {} : { known: typed }),
    held: !isTraced,
    id,
  })

function drawOn(lines: readonly LineGist[]): NextAction | undefined {
  const empty = lines.find(({ legs }) => legs === 0)
  if (empty) return next({ station: 'line', words: `Draw line L${empty.number}`, below: empty.name, id: empty.id })
  const broken = lines.find(({ isRight }) => !isRight)
  if (broken)
    return next({
      station: 'line',
      words: `Put line L${broken.number} right`,
      below: broken.name,
      held: true,
      id: broken.id,
    })
  const open = lines.find(({ next: support }) => support !== null)
  return (
    open &&
    next({
      station: 'fix',
      words: `Fix ${open.next!.name} of L${open.number} at`,
      mm: open.next!.mm,
      below: open.name,
      id: open.id,
    })
  )
}

/** The next thing a hand can do: what is begun first, then what is ready, then what is to be chosen, then found. */
export function nextAction(job: JobGist): NextAction {
  const made = job.joints.filter(({ isMade }) => isMade).length
  if (job.handedOver)
    return next({
      station: 'handover',
      words: `Handed over ${day(job.handedOver, job.region)}.`,
      below: `${made} joint${made === 1 ? '' : 's'} made.`,
      known: String(made),
      done: true,
    })
  const open = job.joints.filter(({ isMade }) => !isMade)
  // What rests on a pipe that turned out to be another is looked at before anything is cut for it.
  const shifted = open.find((joint) => isShifted(job, joint))
  if (shifted) return lookAgain(shifted)
  const sheets = job.cuts.filter(({ isPlanned, isFinished }) => isPlanned && !isFinished)
  const sheet = sheets.find(({ isBegun }) => isBegun) ?? sheets[0]
  const begun = open.find(({ isChosen, isBegun }) => isChosen && isBegun)
  if (sheet && !begun) return cutNext(sheet)
  const missing = missingPart(job)
  if (missing) return missing
  const ready = begun ?? open.find(({ isChosen }) => isChosen)
  if (ready) return makeIt(ready)
  const [toChoose] = open
  if (toChoose)
    return next({
      station: 'joint',
      words: `Choose how to make J${toChoose.number}`,
      below: toChoose.place,
      id: toChoose.id,
    })
  const unsettled = job.finds.find(({ pipe }) => pipe === null)
  if (unsettled) return settleIt(unsettled)
  const onLine = drawOn(job.lines)
  if (onLine) return onLine
  if (job.joints.length > 0)
    return next({
      station: 'handover',
      words: 'Hand over the register',
      below: `${made} joint${made === 1 ? '' : 's'} made, none open.`,
      known: String(made),
    })
  const found = job.finds.at(-1)
  return found
    ? next({ station: 'joint', words: 'Join the pipe you found', below: found.place, id: found.id, isFromFind: true })
    : next({ station: 'find', words: 'Measure the first pipe', below: 'Nothing found yet.' })
}
