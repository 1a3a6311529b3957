import Papa from 'papaparse'
import { fail, ok, type Result } from '#core/base'
import { getPipe } from '#core/catalogue'
import { draftLine, lineFields, readLineFile, type JobRecord, type LineInput, type LineRecord } from '#core/record'
import { MOST_RUN_LEGS } from '#core/run'

/** What an import would do, before it does it: the line it becomes, each row with what is wrong with it. */
export interface LineImport {
  body: LineInput
  from: 'JSON' | 'CSV'
  rows: { number: number; text: string; problem: string | null }[]
}

/** Largest file read, bytes: far over 500 legs. */
const MOST_BYTES = 1024 * 1024

const COLUMNS = 'leg, or way and length; beside them from, end, on, by, name'

/** A row of columns as the leg it says. */
function legOf(row: Readonly<Record<string, string>>): string {
  const of = (name: string) => (row[name] ?? '').trim()
  if (of('leg') !== '') return of('leg')
  const part = (word: string, value: string) => (value === '' ? '' : `${word} ${value}`)
  return [
    part('from', of('from')),
    of('way'),
    of('length'),
    of('measured'),
    part('offset', of('offset')),
    part('on', of('on')),
    part('by', of('by')),
    of('end'),
    part('=', of('name')),
  ]
    .filter(Boolean)
    .join(' ')
}

/** Legs of a table file. Issues: `not-understood` where it has no columns of ours, `too-many`, `missing`. */
function readCsv(text: string): Result<string[]> {
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  })
  const fields = meta.fields ?? []
  if (!fields.includes('leg') && !(fields.includes('way') && fields.includes('length')))
    return fail('not-understood', 'columns', `The first row names no columns of legs. Accepted: ${COLUMNS}.`)
  if (data.length === 0) return fail('missing', 'rows', 'This file has column names and no row below them.')
  if (data.length > MOST_RUN_LEGS)
    return fail(
      'too-many',
      'rows',
      `${data.length} legs in one file; a line takes ${MOST_RUN_LEGS}. Part it into several lines.`,
    )
  // A file of ours names a leg's point of departure beside it, whether it is typed or not.
  const isOurs = fields.includes('leg')
  return ok(data.map((row) => legOf(isOurs ? { leg: row.leg ?? '' } : row).slice(0, 200)))
}

/**
 * Reads a file of a line or of legs for a job; nothing is changed yet. `like` gives a table's legs their pipe and
 * method.
 */
export function readImport(name: string, text: string, job: JobRecord, like: LineInput): Result<LineImport> {
  if (text.length > MOST_BYTES)
    return fail('too-many', 'file', "That file is over 1 MB. A line's file or a table of up to 500 legs is accepted.")
  const isJson = name.toLowerCase().endsWith('.json') || text.trimStart().startsWith('{')
  const legs = isJson ? null : readCsv(text)
  if (legs && !legs.ok) return legs
  const file = isJson ? readLineFile(text, job.region) : null
  if (file && !file.ok) return file
  const body: LineInput = file?.ok
    ? file.value
    : {
        ...like,
        name: name.replace(/\.[^.]*$/, '').slice(0, 120),
        start: 'free',
        walls: [],
        legs: legs!.ok ? legs!.value : [],
      }
  try {
    getPipe(body.pipe)
  } catch {
    return fail(
      'unknown-id',
      'line.pipe',
      `line.pipe: there is no pipe "${body.pipe}" here. Look it up on Sizes, and put its id there.`,
    )
  }
  const draft = draftLine(job, { ...lineFields.blank, ...body })
  return ok({
    body,
    from: isJson ? 'JSON' : 'CSV',
    rows: draft.rows.map(({ text: leg, issue }, i) => ({
      number: i + (isJson ? 1 : 2),
      text: leg,
      problem: issue?.message ?? null,
    })),
  })
}

/** What of a line a table's legs take over. */
export const likeLine = (line: LineRecord): LineInput => ({
  name: line.name,
  pipe: line.pipe,
  method: line.method,
  corners: line.corners,
  start: line.start,
  walls: line.walls,
  legs: [],
})
