import type { JobGist } from '../gist'
import { foldText } from './search'
import { pipesOf, pipeWords } from './summary'

/** Most letters of a job that are searched; names and places come first. */
const MOST_LETTERS = 8000

/** What a job is found by, beside its hands and days. */
export function searchText(job: JobGist): string {
  const places = [...job.finds, ...job.joints].map(({ place }) => place)
  const lines = [...job.lines, ...job.cuts].map(({ name }) => name)
  const text = [job.name, job.place, ...pipesOf(job).map(pipeWords), ...new Set([...lines, ...places])].join('\n')
  return text.split('\n').map(foldText).filter(Boolean).join('\n').slice(0, MOST_LETTERS)
}
