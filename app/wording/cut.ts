import type { Issue } from '#core/base'
import type { BenchPiece, BenchPlan, CutQuestion, Cutter } from '#core/cutting'
import type { JobRecord, OffcutRecord } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'

export const CUTTER_WORDS: Readonly<Record<Cutter, string>> = {
  wheel: 'wheel cutter',
  shears: 'shears',
  hacksaw: 'hacksaw',
  'fine-saw': 'fine saw',
  'power-saw': 'power saw',
}
/** By what is cut, and what each cut takes, mm. */
export const cutterText = (cutter: Cutter, kerfMm: number, system: UnitSystem): string =>
  `Cut by ${CUTTER_WORDS[cutter]}, ${kerfMm > 0 ? `${formatLength(kerfMm, system)} a cut` : 'no kerf'}`

/** Why nothing was planned, with the piece by its name and what would do. */
export function cutProblem(
  issue: Issue,
  question: CutQuestion,
  pieces: readonly BenchPiece[],
  system: UnitSystem,
): string {
  const say = (mm: number) => formatLength(mm, system)
  const at = /^pieces\.(\d+)\.length$/.exec(issue.path)
  if (at) {
    const wanted = question.pieces[Number(at[1])]
    const piece = pieces.find(({ key }) => key === wanted?.id)
    const longest = Math.max(0, ...question.stock.filter(({ quantity }) => quantity !== 0).map(({ length }) => length))
    const is = `${piece?.name ?? 'A piece'} is ${say(wanted!.length)} long; the longest there is has ${say(longest)}.`
    return `${is} A stock length of ${say(wanted!.length)} or more would do, or a coupling in the piece.`
  }
  if (issue.path === 'stock') {
    const [need, there] = [
      question.pieces.reduce((sum, { length }) => sum + length, 0),
      question.stock.reduce((sum, { length, quantity }) => sum + length * (quantity ?? Infinity), 0),
    ]
    const has = Number.isFinite(there) ? `, ${say(there)} is there, and not all of it can be used` : ''
    const instead = 'Put in more lengths, or let as many as are wanted be bought.'
    return `The stock runs out: the pieces need ${say(need)}${has}. ${instead}`
  }
  return issue.message.replace(/^[\w.]+: /, '')
}

/** What is claimed of a plan, and why it is so. */
export function claimOf(plan: BenchPlan, system: UnitSystem): { title: string; text: string; isProved: boolean } {
  const say = (mm: number) => formatLength(mm, system)
  const news = plan.used === 1 ? 'one new length' : `${plan.used} new lengths`
  const from = plan.slips.length > 0 ? 'From what lies here, no' : 'No'
  if (!plan.optimal)
    return {
      title: `${news}; at least ${plan.bound}`,
      text: `Fewer than ${plan.bound} is proved impossible; between them the search was not finished. Plan again to look on.`,
      isProved: false,
    }
  if (plan.used === 0)
    return { title: 'No new length is needed', text: 'The rack and what lies here hold every piece.', isProved: true }
  const title = `${from} plan with fewer lengths exists`
  if (plan.how.startsWith('every plan')) return { title, text: 'Every plan was looked at.', isProved: true }
  if (plan.how.startsWith('the length')) {
    const longest = Math.max(...plan.bars.filter(({ from: of }) => of === 'new').map(({ length }) => length))
    const need = plan.pieces.reduce((sum, { length }) => sum + length, 0)
    return {
      title,
      text: `The pieces need ${say(need)} and their cuts. With one length of ${say(longest)} fewer that is not there, however they are laid.`,
      isProved: true,
    }
  }
  return {
    title,
    text: `Each piece is given a price so that no bar holds more than one length's worth. All together are worth more than ${plan.bound - 1}.`,
    isProved: true,
  }
}

/** Where an offcut is from and whose it is, in a few words. */
export const offcutWords = ({ from, promised }: OffcutRecord, job: Pick<JobRecord, 'id'>): string =>
  [
    from && `off ${from}`,
    promised && `promised to ${promised.job === job.id ? '' : `${promised.name}, `}C${promised.number}`,
  ]
    .filter(Boolean)
    .join('; ')
