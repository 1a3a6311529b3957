import * as z from 'zod/mini'
import { fail, ok, type Result } from '#core/base'
import { schemas, toIssue } from '#core/contract'
import { lineFields, type LineInput } from './schema'
import type { JobRecord } from '../job/record'
import type { LineRecord } from './record'
import { type Region, unitSystemOf } from '#core/units'

/** Version of a line's file; it rises when a field changes its meaning. */
export const LINE_FILE_VERSION = 1

const lineFile = z.strictObject({
  format: z.literal('jolvet-line'),
  version: z.literal(LINE_FILE_VERSION),
  /** Country whose bare numbers the legs are written in: mm, or inches in us. */
  region: schemas.region,
  line: z.omit(lineFields.body, { fix: true }),
  /** What it came to where it was written; not read back. */
  worked: z.optional(z.unknown()),
})

/** A line as a file, with what it came to beside. */
export function writeLineFile({ region }: Pick<JobRecord, 'region'>, line: LineRecord, worked: unknown) {
  const { name, pipe, method, corners, start, walls, legs } = line
  return {
    format: 'jolvet-line' as const,
    version: LINE_FILE_VERSION,
    region,
    line: { name, pipe, method, corners, start, walls, legs },
    worked,
  }
}

/**
 * A line read from a file for a job of a region. Issues: `json` where it is no JSON, `range` at `version` where a newer
 * Jolvet wrote it, `impossible` at `region` where its bare numbers mean another unit, else the field and what is accepted.
 */
export function readLineFile(text: string, region: Region): Result<LineInput> {
  let given: unknown
  try {
    given = JSON.parse(text)
  } catch {
    return fail('json', '', 'This file is not readable JSON. A line given out by Jolvet is accepted.')
  }
  const head = typeof given === 'object' && given !== null ? (given as { format?: unknown; version?: unknown }) : {}
  if (head.format !== 'jolvet-line')
    return fail('type', 'format', 'format: this is no line of Jolvet. A file with "format": "jolvet-line" is accepted.')
  if (typeof head.version === 'number' && head.version > LINE_FILE_VERSION)
    return fail(
      'range',
      'version',
      `version: this file is version ${head.version}, from a newer Jolvet; up to ${LINE_FILE_VERSION} is accepted. Update this one, or give the line out as CSV there.`,
    )
  const parsed = lineFile.safeParse(given)
  if (!parsed.success) return { ok: false, error: toIssue(parsed.error.issues[0]!, given) }
  const { line, region: from } = parsed.data
  if (unitSystemOf(from) !== unitSystemOf(region))
    return fail(
      'impossible',
      'region',
      `region: its bare numbers are ${from === 'us' ? 'inches' : 'mm'}, this job's are ${region === 'us' ? 'inches' : 'mm'}. Import it into a job of its own country.`,
    )
  return ok(line)
}
