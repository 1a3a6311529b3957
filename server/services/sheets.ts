import { useStorage } from 'nitropack/runtime'
import { getPipe } from '#core/catalogue'
import { orderFor, type OrderScope } from '#core/record'
import { depthCardsPdf, type DepthCard } from '../print/depth-cards'
import { diameterCardsPdf } from '../print/diameter-cards'
import { orderPdf } from '../print/order'
import type { Fonts } from '../print/sheet'
import { wrapStripPdf } from '../print/wrap-strip'
import { invalid } from '../http/problem'
import { getJob } from './jobs'
import type { Region } from '#core/units'
import { speak, w } from '#core/speech'

const FACES = {
  regular: '400Regular:AtkinsonHyperlegibleNext_400Regular.ttf',
  bold: '700Bold:AtkinsonHyperlegibleNext_700Bold.ttf',
} as const

/** The face that ships with the server. */
export async function loadFonts(): Promise<Fonts> {
  const read = async (key: string): Promise<Buffer> => {
    const bytes = await useStorage('assets:fonts').getItemRaw<Uint8Array>(key)
    if (!bytes) throw new Error(`the server has no face ${key}`)
    return Buffer.from(bytes)
  }
  return { regular: await read(FACES.regular), bold: await read(FACES.bold) }
}

export const wrapStripSheet = async (region: Region): Promise<Buffer> => wrapStripPdf(region, await loadFonts())

/** Cards for every pipe kept or joined on a job. Problem 422 where it has none yet. */
export async function diameterCardsSheet(name: string): Promise<{ slug: string; pdf: Buffer }> {
  const job = await getJob(name)
  const ids = new Set(
    [
      ...job.finds.map(({ pipe }) => pipe),
      ...job.joints.flatMap(({ a, b }) => [a, b].map((end) => (end && 'pipe' in end ? end.pipe : null))),
    ].filter((id) => id !== null),
  )
  if (ids.size === 0)
    throw invalid({
      code: 'missing',
      path: 'job',
      message: 'job: no pipe is kept or joined on it yet. Keep a find, then print its cards.',
    })
  return {
    slug: job.slug,
    pdf: await diameterCardsPdf([...ids].map(getPipe), job.region, `${job.name}, ${job.place}`, await loadFonts()),
  }
}

/**
 * Depth cards for every joint of a job that a way was taken for, each depth once, and for its measured fittings. Problem
 * 422 where it has none.
 */
export async function depthCardsSheet(name: string): Promise<{ slug: string; pdf: Buffer }> {
  const job = await getJob(name)
  const cards = new Map<string, DepthCard>()
  for (const { way } of job.joints) {
    for (const { method, pipe, thread, insertion } of way?.joints ?? []) {
      const title = `${pipe === null ? `${thread!.size} ${thread!.form.toUpperCase()} thread` : getPipe(pipe).label}, ${method.replaceAll('-', ' ')}`
      cards.set(`${title} ${insertion.value}`, {
        title,
        depth: insertion.value,
        lo: insertion.lo,
        hi: insertion.hi,
        source: insertion.source,
      })
    }
  }
  for (const { method, nominal, fitting, insertion, at } of job.fittings)
    if (insertion !== null)
      cards.set(`${method} ${nominal} ${fitting}`, {
        title: `${speak(fitting === 'adaptor' ? w.adaptor : fitting, job.region)} ${nominal}, ${method.replaceAll('-', ' ')}`,
        depth: insertion,
        lo: null,
        hi: null,
        source: `measured ${at}`,
      })
  if (cards.size === 0)
    throw invalid({
      code: 'missing',
      path: 'job',
      message: 'job: no way is taken and no fitting measured on it yet. Take a way on Joint, then print its cards.',
    })
  return {
    slug: job.slug,
    pdf: await depthCardsPdf([...cards.values()], job.region, `${job.name}, ${job.place}`, await loadFonts()),
  }
}

/** Most jobs of one order: a day's work. */
const MOST_ORDERED = 40

/**
 * The order over some jobs of one country, or one joint or line of a job. Problems: 422 where none or too many are named,
 * or they are of several countries; 404 at an unknown one.
 */
export async function orderSheet(names: readonly string[], scope: OrderScope): Promise<Buffer> {
  if (names.length === 0 || names.length > MOST_ORDERED)
    throw invalid({ code: 'range', path: 'job', message: `job: 1 to ${MOST_ORDERED} jobs are accepted.` })
  const jobs = await Promise.all(names.map((name) => getJob(name)))
  const { region } = jobs[0]!
  if (jobs.some((job) => job.region !== region))
    throw invalid({ code: 'impossible', path: 'job', message: 'job: jobs of one country are ordered together.' })
  const about = jobs.length === 1 ? `${jobs[0]!.name}, ${jobs[0]!.place}` : `${jobs.length} jobs`
  return orderPdf(orderFor(jobs, scope), region, about, await loadFonts())
}
