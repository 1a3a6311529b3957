import { bendOf, getPipe } from '#core/catalogue'
import { benderFor, fixLine, surveyed, writeLineFile } from '#core/record'
import { piecesOf } from '#core/run'
import { isometricShapes, markShapes, spaceDxf, toDxf, toSvg } from '../exports/line-drawing'
import { legsCsv, marksCsv } from '../exports/line-tables'
import type { Export } from '../http/export'
import { invalid, notFound } from '../http/problem'
import { stripsPdf } from '../print/strips'
import { getJob } from './jobs'
import { loadFonts } from './sheets'

/** What a line is given out as, by the last part of its address. */
const EXPORTS = [
  'line.json',
  'legs.csv',
  'marks.csv',
  'isometric.svg',
  'isometric.dxf',
  'space.dxf',
  'marks.svg',
  'marks.dxf',
  'strips.pdf',
  'fixed-strips.pdf',
] as const
const TYPES: Readonly<Record<string, string>> = {
  json: 'application/json; charset=utf-8',
  csv: 'text/csv; charset=utf-8',
  svg: 'image/svg+xml; charset=utf-8',
  dxf: 'application/dxf; charset=utf-8',
  pdf: 'application/pdf',
}

/** A line of a job in an open format. Problem 404 at `line` or `export`, 422 where it has no leg that can be laid. */
export async function exportLine(slug: string, id: string, wanted: string): Promise<Export> {
  const job = await getJob(slug)
  const line = job.lines.find((one) => one.id === id)
  if (!line) throw notFound('line', 'this job has no such line. It may belong to another job.')
  const name = EXPORTS.find((one) => one === wanted)
  if (!name) throw notFound('export', `a line is given out as ${EXPORTS.join(', ')}.`)
  const { draft, survey } = surveyed(job, line)
  const of = (body: string | Buffer): Export => ({
    name: `${job.slug}-l${line.number}-${name}`,
    type: TYPES[name.slice(name.lastIndexOf('.') + 1)]!,
    body,
    isShown: name.endsWith('.pdf'),
  })
  // What was typed can be given out however wrong it is.
  if (name === 'legs.csv') return of(legsCsv(draft))
  const worked = survey
    ? { pieces: piecesOf(draft, survey), fittings: survey.fittings, warnings: survey.warnings }
    : null
  if (name === 'line.json') return of(`${JSON.stringify(writeLineFile(job, line, worked), null, 2)}\n`)
  if (!worked || !survey)
    throw invalid(
      draft.rows.find(({ issue }) => issue)?.issue ?? {
        code: 'missing',
        path: 'legs',
        message: 'legs: this line has no leg yet. Type one, then give it out.',
      },
    )
  const radius = benderFor(job, line.pipe)?.radius ?? bendOf(getPipe(line.pipe))?.radius.value ?? 0
  const title = `${job.name}, L${line.number} ${line.name}`.trim()
  switch (name) {
    case 'marks.csv':
      return of(marksCsv(worked.pieces, job.region))
    case 'isometric.svg':
      return of(toSvg(isometricShapes(draft, survey, radius, job.region), title))
    case 'isometric.dxf':
      return of(toDxf(isometricShapes(draft, survey, radius, job.region)))
    case 'space.dxf':
      return of(spaceDxf(survey, radius))
    case 'marks.svg':
      return of(toSvg(markShapes(worked.pieces, job.region), title))
    case 'marks.dxf':
      return of(toDxf(markShapes(worked.pieces, job.region)))
    case 'fixed-strips.pdf': {
      const fixed = fixLine(job, line)!
      return of(
        await stripsPdf(
          fixed.draft,
          fixed.survey,
          fixed.tubes,
          { title: `Line L${line.number}, fixed`, about: `${job.name}, ${line.name || job.place}` },
          job.region,
          await loadFonts(),
        ),
      )
    }
    case 'strips.pdf':
      return of(
        await stripsPdf(
          draft,
          survey,
          worked.pieces,
          { title: `Line L${line.number}`, about: `${job.name}, ${line.name || job.place}` },
          job.region,
          await loadFonts(),
        ),
      )
  }
}
