import { createHash } from 'node:crypto'
import { and, asc, count, desc, eq, gt, inArray, like, lt, or, sql, type SQL } from 'drizzle-orm'
import type { MySqlColumn } from 'drizzle-orm/mysql-core'
import * as z from 'zod/mini'
import { NOW_MS, ORDERS, type JobList, type ListedJob } from '#core/acts'
import { issue } from '#core/base'
import { readSearch, SHELVES, type JobSummary, type Shelf } from '#core/record'
import { reading, type Database } from '../db/client'
import { summaries } from '../db/schema'
import { invalid } from '../http/problem'
import { handWords } from '../records/summaries'
import { forDatabase, isoToday, toIso } from '../records/time'

/** Rows of one page, as a rule and at most: forty are about 30 kB. */
const PAGE = 40
const MOST_PER_PAGE = 60
/** Most letters and words of a search. */
const MOST_LETTERS = 200
const MOST_TERMS = 20

/** What of the list is asked for. A search goes over all shelves unless one is named. */
export const listQuery = z.object({
  shelf: z._default(z.enum([...SHELVES, 'all']), 'all'),
  q: z._default(z.string().check(z.maxLength(MOST_LETTERS, `up to ${MOST_LETTERS} letters are searched`)), ''),
  order: z._default(z.enum(ORDERS), 'newest'),
  /** The hand that asks, for `mine`. */
  hand: z._default(z.string().check(z.maxLength(40)), ''),
  mine: z._default(z.enum(['0', '1']), '0'),
  cursor: z.optional(z.string().check(z.maxLength(400))),
  limit: z._default(z.coerce.number().check(z.int(), z.minimum(1), z.maximum(MOST_PER_PAGE)), PAGE),
})
export type ListQuery = z.output<typeof listQuery>

/** Where text stands, whatever of it means something to LIKE. */
const holds = (column: MySqlColumn, text: string): SQL => like(column, `%${text.replace(/[\\%_]/g, '\\$&')}%`)

/** The shelf of today: what waited for a day that has come is open. */
const shelfNow = () =>
  sql<Shelf>`if(${summaries.shelf} = 'waiting' and ${summaries.wakes} <= ${isoToday()}, 'open', ${summaries.shelf})`

function onShelf(shelf: ListQuery['shelf']): SQL | undefined {
  const today = isoToday()
  const woken = and(eq(summaries.shelf, 'waiting'), sql`${summaries.wakes} <= ${today}`)
  if (shelf === 'all') return undefined
  if (shelf === 'open') return or(eq(summaries.shelf, 'open'), woken)
  if (shelf === 'waiting')
    return and(eq(summaries.shelf, 'waiting'), sql`(${summaries.wakes} is null or ${summaries.wakes} > ${today})`)
  return eq(summaries.shelf, shelf)
}

/** What a job answers a search by. */
function found(q: string): SQL[] {
  const terms = readSearch(q, isoToday())
  if (terms.length > MOST_TERMS)
    throw invalid(issue('too-many', 'q', `q: up to ${MOST_TERMS} words are searched at once.`))
  return terms.map(({ text, day }) =>
    or(
      holds(summaries.words, text),
      holds(summaries.hands, text),
      ...(day === null ? [] : [holds(summaries.days, day)]),
    )!,
  )
}

const ofHand = (hand: string): SQL => (hand === '' ? sql`false` : holds(summaries.hands, handWords(hand)))

/** Where a page ended, and of which list: a cursor goes on with that list alone. */
const cursorOf = z.tuple([z.string(), z.string(), z.string()])
const IS_TIME = /^\d{4}-\d\d-\d\d \d\d:\d\d:\d\d\.\d{3}$/
const listId = ({ shelf, q, order, hand, mine }: ListQuery): string =>
  createHash('sha256')
    .update(JSON.stringify([shelf, q, order, mine === '1' ? hand : '']))
    .digest('base64url')
    .slice(0, 8)
const keyOf = ({ order }: ListQuery, row: { name: string; workedAt: string }): string =>
  order === 'name' ? row.name : row.workedAt

const toCursor = (query: ListQuery, row: { name: string; workedAt: string; id: string }): string =>
  Buffer.from(JSON.stringify([listId(query), keyOf(query, row), row.id])).toString('base64url')

function readCursor(query: ListQuery): { key: string; id: string } | null {
  if (query.cursor === undefined) return null
  const wrong = (why: string) => invalid(issue('type', 'cursor', `cursor: ${why} Leave it out to begin at the top.`))
  let given: unknown
  try {
    given = JSON.parse(Buffer.from(query.cursor, 'base64url').toString('utf8'))
  } catch {
    throw wrong('it is none that was given out.')
  }
  const parsed = cursorOf.safeParse(given)
  if (!parsed.success) throw wrong('it is none that was given out.')
  const [list, key, id] = parsed.data
  if (list !== listId(query)) throw wrong('it belongs to another list than this one.')
  if (query.order === 'newest' && !IS_TIME.test(key)) throw wrong('it is none that was given out.')
  return { key, id }
}

/** What stands behind the last row of a page. */
function behind(query: ListQuery): SQL | undefined {
  const at = readCursor(query)
  if (!at) return undefined
  return query.order === 'name'
    ? or(gt(summaries.name, at.key), and(eq(summaries.name, at.key), gt(summaries.jobId, at.id)))
    : or(lt(summaries.workedAt, at.key), and(eq(summaries.workedAt, at.key), lt(summaries.jobId, at.id)))
}

const columns = {
  id: summaries.jobId,
  name: summaries.name,
  shelf: summaries.shelf,
  wakes: summaries.wakes,
  /** As it is kept: it goes out as it is, never read here. */
  summary: sql<string>`cast(${summaries.summary} as char)`,
  workedAt: summaries.workedAt,
  workedBy: summaries.workedBy,
}
type Row = Pick<typeof summaries.$inferSelect, Exclude<keyof typeof columns, 'id' | 'summary'>> & {
  id: string
  summary: string
}

/** What stands of a row beside its summary, on the shelf of today. */
function besideOf({ shelf, wakes, workedAt, workedBy }: Row): Pick<ListedJob, 'shelf' | 'wakes' | 'by' | 'at'> {
  const isWoken = shelf === 'waiting' && wakes !== null && wakes <= isoToday()
  return { shelf: isWoken ? 'open' : (shelf as Shelf), wakes, by: workedBy, at: toIso(workedAt) }
}
const toListed = (row: Row): ListedJob => ({
  ...(JSON.parse(row.summary) as Omit<JobSummary, 'shelf' | 'wakes'>),
  ...besideOf(row),
})
/** The same as JSON: the summary goes out as it is kept, since reading and writing it is most of what a page costs. */
const listedText = (row: Row): string => `${row.summary.slice(0, -1)},${JSON.stringify(besideOf(row)).slice(1)}`

async function readPage(db: Database, query: ListQuery, where: readonly (SQL | undefined)[]): Promise<Row[]> {
  const order =
    query.order === 'name'
      ? [asc(summaries.name), asc(summaries.jobId)]
      : [desc(summaries.workedAt), desc(summaries.jobId)]
  return db
    .select(columns)
    .from(summaries)
    .where(and(...where, onShelf(query.shelf), behind(query)))
    .orderBy(...order)
    .limit(query.limit + 1)
}

/** How many there are on each shelf, in hands now, and of this hand on the shelf that is asked for. */
async function countAll(db: Database, { shelf, hand }: ListQuery, where: readonly SQL[]) {
  const isNow = sql`${summaries.workedAt} > ${forDatabase(new Date(Date.now() - NOW_MS))}`
  const on = shelfNow()
  const rows = await db
    .select({ shelf: on, all: count(), now: sql<string>`sum(${isNow})`, mine: sql<string>`sum(${ofHand(hand)})` })
    .from(summaries)
    .where(and(...where))
    .groupBy(on)
  const counts = Object.fromEntries(
    SHELVES.map((one) => [one, rows.find((row) => row.shelf === one)?.all ?? 0]),
  ) as Record<Shelf, number>
  const sum = (of: 'now' | 'mine', only: readonly string[]) =>
    rows.reduce((so, row) => so + (only.includes(row.shelf) ? Number(row[of]) : 0), 0)
  return { counts, now: sum('now', ['open', 'waiting']), mine: sum('mine', shelf === 'all' ? SHELVES : [shelf]) }
}

/** A page of the list, `JobList` as JSON. Problem 422 at what of the question is not understood. */
export const listJobs = (query: ListQuery): Promise<string> =>
  reading(async (db) => {
    const words = found(query.q)
    const mine = query.mine === '1' ? [ofHand(query.hand)] : []
    const rows = await readPage(db, query, [...words, ...mine])
    const page = rows.slice(0, query.limit)
    const last = page.at(-1)
    const beside: Omit<JobList, 'jobs'> = {
      cursor: rows.length > query.limit && last ? toCursor(query, last) : null,
      ...(await countAll(db, query, words)),
    }
    return `{"jobs":[${page.map(listedText).join(',')}],${JSON.stringify(beside).slice(1)}`
  })

/** Jobs of the list by their ids, those that there are. */
export const listed = (db: Database, ids: readonly string[]): Promise<ListedJob[]> =>
  ids.length === 0
    ? Promise.resolve([])
    : db
        .select(columns)
        .from(summaries)
        .where(inArray(summaries.jobId, [...ids]))
        .then((rows) => rows.map(toListed))
