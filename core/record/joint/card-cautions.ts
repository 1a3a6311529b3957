import type { Note } from '#core/base'
import { overdue } from '../kit/work'
import type { MakeCard } from '#core/making'
import type { JobRecord } from '../job/record'

/** What is seen to before anything of a card is cut. A depth the user measured is known; gas has a band of its own. */
export const stopsOf = (card: MakeCard, isDepthKnown: boolean): Note[] =>
  card.answer.ok
    ? card.answer.value.stop.filter(({ code }) => code !== 'gas' && (code !== 'measure' || !isDepthKnown))
    : []

/** A method of the van whose check is over, and since when: it holds the joint until a trial one is gauged. */
export const lateTool = (job: Pick<JobRecord, 'tools'>, card: MakeCard, today: string) =>
  overdue(job.tools, today).find(({ method }) => method === card.joint.method) ?? null

/** The cautions of a card that do not stand among its stops already. */
export const cautionsOf = (card: MakeCard, stops: readonly Note[]): Note[] =>
  card.answer.ok
    ? card.answer.value.cautions.filter(({ code }) => code !== 'gas' && !stops.some((stop) => stop.code === code))
    : []
