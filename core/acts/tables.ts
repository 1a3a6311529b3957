import { cutFields, findFields, jointFields, kitFields, lineFields } from '#core/record'

/** The fields of every kind of record that a hand may change. */
export const FIELD_TABLES = {
  jobs: kitFields,
  finds: findFields,
  lines: lineFields,
  joints: jointFields,
  cuts: cutFields,
} as const

const all = Object.values(FIELD_TABLES)
/** Fields that are maps of answers: two hands may each set another key of one. */
export const MERGED_BY_KEY: ReadonlySet<string> = new Set(all.flatMap(({ byKey }) => [...byKey]))

/** What each field is called. */
export const FIELD_WORDS: Readonly<Record<string, string>> = Object.fromEntries(
  all.flatMap(({ table }) => Object.entries(table).map(([name, { words }]) => [name, words])),
)
