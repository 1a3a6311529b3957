import * as z from 'zod/mini'
import { CUTTERS } from '#core/cutting'
import { defineFields, field, needed, type FieldsInput, type FieldsOf } from '../fields'
import { id, ownId } from '../texts'

/* What is saved of a cut sheet: the pieces of one pipe, the stock they come from, the plan and what was really cut. */

/** A piece is named after its line, so its key is longer than an id. */
const key = z.string().check(z.minLength(1), z.maxLength(80))
const mm = z.number().check(z.minimum(0), z.maximum(100_000))
const typed = z.string().check(z.maxLength(40))

/** Most pieces of one sheet, copies counted (core/cutting plans no more at once). */
export const MOST_CUT_PIECES = 2000
const MOST_STOCK_ROWS = 20

/** Pieces typed at the bench, lengths as typed. */
const extras = z
  .array(
    z.strictObject({
      id,
      name: z.string().check(z.maxLength(40)),
      length: typed,
      quantity: z.number().check(z.int(), z.minimum(1), z.maximum(MOST_CUT_PIECES)),
    }),
  )
  .check(z.maxLength(400))
/** Lengths on hand or to be bought; `quantity` null: as many as are wanted. Price of one, in the job's money. */
const stock = z
  .array(
    z.strictObject({
      id,
      length: typed,
      quantity: z.nullable(z.number().check(z.int(), z.minimum(0), z.maximum(10_000))),
      price: z.nullable(z.number().check(z.minimum(0), z.maximum(100_000))),
    }),
  )
  .check(z.maxLength(MOST_STOCK_ROWS))

export const cutFields = defineFields({
  name: field(z.string().check(z.maxLength(120)), 'called', ''),
  /** Catalogue id of its pipe: one sheet is of one. */
  pipe: needed(z.string().check(z.maxLength(60)), 'pipe'),
  /** Lines whose pieces of this pipe are cut here, of this job or another. */
  sources: field(z.array(z.strictObject({ job: id, line: id })).check(z.maxLength(40)), 'lines', []),
  extras: field(extras, 'other pieces', []),
  cutter: field(z.enum(CUTTERS), 'cut with', 'wheel'),
  /** As typed; empty: what is typical of the cutter. */
  kerf: field(typed, 'kerf', ''),
  /** How far apart the marks printed on the pipe are, as typed; empty: it has none, or nobody looked. */
  printed: field(typed, 'printed marks every', ''),
  /** Shortest rest worth keeping, as typed. */
  keep: field(typed, 'kept from', ''),
  /** Bent pieces are cut longer by this and trimmed after, as typed; empty: not. */
  spare: field(typed, 'bent pieces longer by', ''),
  prefer: field(z.enum(['longest-left', 'least-waste']), 'rests', 'longest-left'),
  stock: field(stock, 'stock', []),
  /** Offcuts that stay on the rack. */
  leave: field(z.array(id).check(z.maxLength(500)), 'left on the rack', []),
})

const total = z.number().check(z.minimum(-1e5), z.maximum(1e9))
const sum = z.strictObject({ taken: total, pieces: total, kept: total, scrap: total })

export const planBody = z.strictObject({
  id,
  pieces: z
    .array(
      z.strictObject({
        key,
        name: z.string().check(z.maxLength(80)),
        length: mm.check(z.positive()),
        left: z.nullable(mm),
        right: z.nullable(mm),
        bends: z.array(mm).check(z.maxLength(40)),
        line: z.nullable(id),
        job: z.nullable(id),
      }),
    )
    .check(z.maxLength(MOST_CUT_PIECES)),
  bars: z
    .array(
      z.strictObject({
        id,
        from: z.enum(['new', 'rack', 'slip']),
        stock: id,
        length: mm.check(z.positive()),
        pieces: z.array(key).check(z.maxLength(MOST_CUT_PIECES)),
      }),
    )
    .check(z.maxLength(MOST_CUT_PIECES)),
  kerf: mm.check(z.maximum(50)),
  keep: mm,
  used: z.number().check(z.int(), z.minimum(0)),
  bound: z.number().check(z.int(), z.minimum(0)),
  optimal: z.boolean(),
  how: z.string().check(z.maxLength(200)),
  slips: z.array(id).check(z.maxLength(MOST_CUT_PIECES)),
  first: sum,
})

/** A cut that was made: which piece was wanted off which bar, and the length it came to, mm. */
export const doneCutBody = z.strictObject({ id: ownId, bar: id, piece: key, length: mm.check(z.positive()) })
export const undoneCutBody = z.strictObject({ id: ownId })
/**
 * What lies there when the work stops and goes to the rack: the rest of a bar or a wrong cut, by its id, mm as measured.
 */
export const finishBody = z.strictObject({
  kept: z
    .array(
      z.strictObject({ id: ownId, rest: id, length: mm.check(z.positive()), place: z.string().check(z.maxLength(80)) }),
    )
    .check(z.maxLength(MOST_CUT_PIECES)),
})
export type CutBody = FieldsOf<typeof cutFields>
export type CutInput = FieldsInput<typeof cutFields>
export type DoneCutBody = z.output<typeof doneCutBody>
export type FinishBody = z.output<typeof finishBody>
