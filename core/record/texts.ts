import * as z from 'zod/mini'

/* Kinds of text that records are made of. Texts are kept as they were typed: nothing is trimmed or changed in silence. */

/** Id of a record on record. */
export const id = z.string().check(z.minLength(1), z.maxLength(40))
/** Id a hand gives what it begins, so that it can go on with it before the server has heard of it. */
export const ownId = z.string().check(z.regex(/^[\w-]{8,40}$/, '8 to 40 letters, digits, _ or - are accepted'))
/** Something said, which must not be blank. */
export const said = (longest: number) =>
  z.string().check(z.maxLength(longest), z.regex(/\S/, 'something has to stand here'))
/** A day that there is, ISO 8601. */
export const day = z.iso.date('a day that there is, such as 2026-12-03, is accepted')
/** A time, ISO 8601 in UTC. */
export const time = z.iso.datetime({ error: 'a time such as 2026-12-03T08:15:00Z is accepted' })
