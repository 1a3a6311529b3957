import * as z from 'zod/mini'

/*
 * A field of a record in one place: what is taken for it, what it is before anything is said, how two hands on it are
 * merged, and what it is called. Bodies, changes, blanks and words are all read from here.
 */

/** A field with its one default; where there is none it has to be said when the record is begun. */
export interface Field<S extends z.ZodMiniType = z.ZodMiniType, Blank = unknown> {
  is: S
  /** What it is called beside an entry. */
  words: string
  /** `keys`: a map of answers, two hands may each set another key of it; else it is one value. */
  merge: 'whole' | 'keys'
  blank: Blank
}
/** Marks a field that has no default. */
export const NONE = Symbol('no default')
type None = typeof NONE

interface Options {
  merge?: 'keys'
}
/** A field that is blank until it is said. */
export const field = <S extends z.ZodMiniType>(
  is: S,
  words: string,
  blank: z.output<S>,
  { merge }: Options = {},
): Field<S, z.output<S>> => ({ is, words, blank, merge: merge ?? 'whole' })
/** A field that is said when its record is begun. */
export const needed = <S extends z.ZodMiniType>(is: S, words: string): Field<S, None> => ({
  is,
  words,
  blank: NONE,
  merge: 'whole',
})

type Table = Readonly<Record<string, Field>>
type BodyOf<T extends Table> = { -readonly [K in keyof T]: z.output<T[K]['is']> }
type BlankKeys<T extends Table> = { [K in keyof T]: T[K]['blank'] extends None ? never : K }[keyof T]
type Shape<T extends Table> = { [K in keyof T]: T[K]['is'] }
/** A record as it is begun: what nobody has said of it yet may be left out. */
type InputOf<T extends Table> = { [K in Exclude<keyof T, BlankKeys<T>>]: z.output<T[K]['is']> } & {
  [K in BlankKeys<T>]?: z.output<T[K]['is']>
}

const mapped = <T extends Table>(
  table: T,
  of: (field: Field) => z.ZodMiniType | undefined,
): Record<string, z.ZodMiniType> =>
  Object.fromEntries(
    Object.entries(table).flatMap(([name, one]) => {
      const made = of(one)
      return made ? [[name, made]] : []
    }),
  )

/** What is read from a table of fields. */
export function defineFields<const T extends Table>(table: T) {
  const isBlank = ({ blank }: Field) => blank !== NONE
  return {
    table,
    /** The whole record as it is said. */
    body: z.strictObject(mapped(table, ({ is }) => is)) as unknown as z.ZodMiniObject<Shape<T>, z.core.$strict>,
    /** As it is begun: what is left out is blank. */
    begin: z.strictObject(
      mapped(table, (one) => (isBlank(one) ? z._default(one.is, one.blank as never) : one.is)),
    ) as unknown as z.ZodMiniType<BodyOf<T>, InputOf<T>>,
    /** Some of it changed. */
    patch: z.strictObject(mapped(table, ({ is }) => z.optional(is))) as unknown as z.ZodMiniType<Partial<BodyOf<T>>>,
    /** Before anything is said. */
    blank: Object.fromEntries(
      Object.entries(table).flatMap(([name, one]) => (isBlank(one) ? [[name, one.blank]] : [])),
    ) as Pick<BodyOf<T>, BlankKeys<T>>,
    /** Fields of which each hand may set another key. */
    byKey: new Set(Object.keys(table).filter((name) => table[name]!.merge === 'keys')) as ReadonlySet<string>,
  }
}
export type FieldsOf<F> = F extends { table: infer T extends Table } ? BodyOf<T> : never
export type FieldsInput<F> = F extends { begin: z.ZodMiniType<unknown, infer I> } ? I : never
