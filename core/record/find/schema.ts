import { z } from 'zod'
import { defineFields, field, type FieldsInput, type FieldsOf } from '../fields'
import { SURFACES } from '#core/catalogue'
import { TRACES } from '#core/identify'
import { EARTHS, MEANS, WATERS } from './reading'

/** Checks answered at the pipe beside its diameter, by their names. */
const answers = z.strictObject({
  /** The print line as it was found, worn letters as `?`. */
  print: z.string().max(300).optional(),
  /** Wall and bore at a cut end, as typed. */
  wall: z.string().max(40).optional(),
  bore: z.string().max(40).optional(),
  colour: z.string().max(30).optional(),
  stripe: z.string().max(30).optional(),
  flex: z.string().max(30).optional(),
  magnet: z.boolean().optional(),
  scratch: z.string().max(30).optional(),
  'held-by': z.string().max(30).optional(),
  lagging: z.string().max(30).optional(),
  warm: z.boolean().optional(),
  /** Where it leads to; gas stops everything. */
  traced: z.enum([...TRACES, 'gas']).optional(),
  /** How the tube's outside is, where it will be joined. */
  surface: z.enum(SURFACES).optional(),
  /** Water in it: under pressure, dripping though it is shut off, none. */
  water: z.enum(WATERS).optional(),
  /** An earth clamp on it, and whether the line is bridged on both sides of the cut. */
  earth: z.enum(EARTHS).optional(),
  /** What it might have been, and was looked at and is not. */
  'ruled-out': z
    .array(z.enum(['lead', 'polybutylene']))
    .max(2)
    .optional(),
})

/** A find: what was typed is kept, right or wrong, beside what was understood of it. */
export const findFields = defineFields({
  place: field(z.string().max(120), 'where', ''),
  notes: field(z.string().max(2000), 'notes', ''),
  /** The outside diameter as typed, kept even when it cannot be read. */
  typed: field(z.string().max(200), 'diameter', ''),
  by: field(z.enum(MEANS), 'read with', 'calliper'),
  answers: field(answers, 'check', {}, { merge: 'keys' }),
  /** Checks that cannot be made at this pipe, by their names. */
  cannot: field(z.array(z.string().max(30)).max(20), 'cannot be checked', []),
  /** Catalogue id the find is kept as; null while it is open. */
  pipe: field(z.string().max(60).nullable(), 'kept as', null),
})

export type FindBody = FieldsOf<typeof findFields>
export type FindInput = FieldsInput<typeof findFields>
export const BLANK_FIND: FindBody = findFields.blank

/** A photo of a find as the server has it: the file's name, SHA-256 of what was sent, px. */
export const photoBody = z.strictObject({
  name: z.string().max(200),
  digest: z.string().regex(/^[\da-f]{64}$/, 'SHA-256 of the photo in hex is accepted'),
  width: z.number().int().min(1).max(20_000),
  height: z.number().int().min(1).max(20_000),
})
export type PhotoBody = z.output<typeof photoBody>
