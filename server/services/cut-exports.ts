import { barWords, cutQuestion, cutRows, type BenchPlan } from '#core/cutting'
import { piecesFor, rackFor, readSheet, type CutRecord } from '#core/record'
import { cutsCsv } from '../exports/cut-tables'
import type { Export } from '../http/export'
import { invalid, notFound } from '../http/problem'
import { benchPdf } from '../print/bench'
import { getJob, getJobs } from './jobs'
import { loadFonts } from './sheets'

/** What a sheet is given out as, by the last part of its address. */
const EXPORTS = ['bench.pdf', 'cuts.csv', 'question.json'] as const

const isPlanned = (cut: CutRecord): cut is CutRecord & { plan: BenchPlan } => cut.plan !== null

/**
 * A cut sheet in an open format. Problem 404 at `cut` or `export`, 422 where it is not planned yet or holds what cannot
 * be read.
 */
export async function exportCut(slug: string, id: string, wanted: string): Promise<Export> {
  const job = await getJob(slug)
  const cut = job.cuts.find((one) => one.id === id)
  if (!cut) throw notFound('cut', 'this job has no such cut sheet. It may belong to another job.')
  const name = EXPORTS.find((one) => one === wanted)
  if (!name) throw notFound('export', `a cut sheet is given out as ${EXPORTS.join(', ')}.`)
  const of = (type: string, body: string | Buffer): Export => ({
    name: `${job.slug}-c${cut.number}-${name}`,
    type,
    body,
    isShown: name.endsWith('.pdf'),
  })
  if (name === 'question.json') {
    const read = readSheet(job, cut)
    if (!read.ok) throw invalid(read.error)
    const { stock, ...settings } = read.value
    const others = cut.sources.filter((source) => source.job !== job.id).map((source) => source.job)
    const { pieces } = piecesFor(job, cut, others.length > 0 ? await getJobs(others) : [])
    // As the verb `cut` takes it: what is left to cut, from what is there.
    return of(
      'application/json; charset=utf-8',
      `${JSON.stringify(cutQuestion(pieces, stock, rackFor(job, cut), cut.plan, cut.done, settings), null, 2)}\n`,
    )
  }
  if (!isPlanned(cut))
    throw invalid({
      code: 'missing',
      path: 'plan',
      message: 'plan: this sheet is not planned yet. Plan its cuts, then give it out.',
    })
  if (name === 'cuts.csv')
    return of(
      'text/csv; charset=utf-8',
      cutsCsv(cutRows(cut.plan, cut.done), (bar) => barWords(bar, cut.plan, job.rack), job.region),
    )
  return of(
    'application/pdf',
    await benchPdf(
      cut,
      job.rack,
      { title: `Cut sheet C${cut.number}`, about: [job.name, cut.name].filter(Boolean).join(', ') },
      job.region,
      await loadFonts(),
    ),
  )
}
