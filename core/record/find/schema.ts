import * as z from 'zod/mini'
import { defineFields, field, type FieldsInput, type FieldsOf } from '../fields'
import { SURFACES } from '#core/catalogue'
import { TRACES } from '#core/identify'
import { EARTHS, MEANS, WATERS } from './reading'

/** Checks answered at the pipe beside its diameter, by their names. */
const answers = z.strictObject({
  /** The print line as it was found, worn letters as `?`. */
  print: z.optional(z.string().check(z.maxLength(300))),
  /** Wall and bore at a cut end, as typed. */
  wall: z.optional(z.string().check(z.maxLength(40))),
  bore: z.optional(z.string().check(z.maxLength(40))),
  colour: z.optional(z.string().check(z.maxLength(30))),
  stripe: z.optional(z.string().check(z.maxLength(30))),
  flex: z.optional(z.string().check(z.maxLength(30))),
  magnet: z.optional(z.boolean()),
  scratch: z.optional(z.string().check(z.maxLength(30))),
  'held-by': z.optional(z.string().check(z.maxLength(30))),
  lagging: z.optional(z.string().check(z.maxLength(30))),
  warm: z.optional(z.boolean()),
  /** Where it leads to; gas stops everything. */
  traced: z.optional(z.enum([...TRACES, 'gas'])),
  /** How the tube's outside is, where it will be joined. */
  surface: z.optional(z.enum(SURFACES)),
  /** Water in it: under pressure, dripping though it is shut off, none. */
  water: z.optional(z.enum(WATERS)),
  /** An earth clamp on it, and whether the line is bridged on both sides of the cut. */
  earth: z.optional(z.enum(EARTHS)),
  /** What it might have been, and was looked at and is not. */
  'ruled-out': z.optional(z.array(z.enum(['lead', 'polybutylene'])).check(z.maxLength(2))),
})

/** A find: what was typed is kept, right or wrong, beside what was understood of it. */
export const findFields = defineFields({
  place: field(z.string().check(z.maxLength(120)), 'where', ''),
  notes: field(z.string().check(z.maxLength(2000)), 'notes', ''),
  /** The outside diameter as typed, kept even when it cannot be read. */
  typed: field(z.string().check(z.maxLength(200)), 'diameter', ''),
  by: field(z.enum(MEANS), 'read with', 'calliper'),
  answers: field(answers, 'check', {}, { merge: 'keys' }),
  /** Checks that cannot be made at this pipe, by their names. */
  cannot: field(z.array(z.string().check(z.maxLength(30))).check(z.maxLength(20)), 'cannot be checked', []),
  /** Catalogue id the find is kept as; null while it is open. */
  pipe: field(z.nullable(z.string().check(z.maxLength(60))), 'kept as', null),
})

export type FindBody = FieldsOf<typeof findFields>
export type FindInput = FieldsInput<typeof findFields>
export const BLANK_FIND: FindBody = findFields.blank

/** A photo of a find as the server has it: the file's name, SHA-256 of what was sent, px. */
export const photoBody = z.strictObject({
  name: z.string().check(z.maxLength(200)),
  digest: z.string().check(z.regex(/^[\da-f]{64}$/, 'SHA-256 of the photo in hex is accepted')),
  width: z.number().check(z.int(), z.minimum(1), z.maximum(20_000)),
  height: z.number().check(z.int(), z.minimum(1), z.maximum(20_000)),
})
export type PhotoBody = z.output<typeof photoBody>
