import { z } from 'zod'
import { CUTTERS } from '#core/cutting'
import { defineFields, field, needed, type FieldsInput, type FieldsOf } from '../fields'
import { id, ownId } from '../texts'

/* What is saved of a cut sheet: the pieces of one pipe, the stock they come from, the plan and what was really cut. */

/** A piece is named after its line, so its key is longer than an id. */
const key = z.string().min(1).max(80)
const mm = z.number().finite().min(0).max(100_000)
const typed = z.string().max(40)

/** Most pieces of one sheet, copies counted (core/cutting plans no more at once). */
export const MOST_CUT_PIECES = 2000
const MOST_STOCK_ROWS = 20

/** Pieces typed at the bench, lengths as typed. */
const extras = z
  .array(
    z.strictObject({
      id,
      name: z.string().max(40),
      length: typed,
      quantity: z.number().int().min(1).max(MOST_CUT_PIECES),
    }),
  )
  .max(400)
/** Lengths on hand or to be bought; `quantity` null: as many as are wanted. Price of one, in the job's money. */
const stock = z
  .array(
    z.strictObject({
      id,
      length: typed,
      quantity: z.number().int().min(0).max(10_000).nullable(),
      price: z.number().min(0).max(100_000).nullable(),
    }),
  )
  .max(MOST_STOCK_ROWS)

export const cutFields = defineFields({
  name: field(z.string().max(120), 'called', ''),
  /** Catalogue id of its pipe: one sheet is of one. */
  pipe: needed(z.string().max(60), 'pipe'),
  /** Lines whose pieces of this pipe are cut here, of this job or another. */
  sources: field(z.array(z.strictObject({ job: id, line: id })).max(40), 'lines', []),
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
  leave: field(z.array(id).max(500), 'left on the rack', []),
})

const total = z.number().finite().min(-1e5).max(1e9)
const sum = z.strictObject({ taken: total, pieces: total, kept: total, scrap: total })

export const planBody = z.strictObject({
  id,
  pieces: z
    .array(
      z.strictObject({
        key,
        name: z.string().max(80),
        length: mm.positive(),
        left: mm.nullable(),
        right: mm.nullable(),
        bends: z.array(mm).max(40),
        line: id.nullable(),
        job: id.nullable(),
      }),
    )
    .max(MOST_CUT_PIECES),
  bars: z
    .array(
      z.strictObject({
        id,
        from: z.enum(['new', 'rack', 'slip']),
        stock: id,
        length: mm.positive(),
        pieces: z.array(key).max(MOST_CUT_PIECES),
      }),
    )
    .max(MOST_CUT_PIECES),
  kerf: mm.max(50),
  keep: mm,
  used: z.number().int().min(0),
  bound: z.number().int().min(0),
  optimal: z.boolean(),
  how: z.string().max(200),
  slips: z.array(id).max(MOST_CUT_PIECES),
  first: sum,
})

/** A cut that was made: which piece was wanted off which bar, and the length it came to, mm. */
export const doneCutBody = z.strictObject({ id: ownId, bar: id, piece: key, length: mm.positive() })
export const undoneCutBody = z.strictObject({ id: ownId })
/**
 * What lies there when the work stops and goes to the rack: the rest of a bar or a wrong cut, by its id, mm as measured.
 */
export const finishBody = z.strictObject({
  kept: z
    .array(z.strictObject({ id: ownId, rest: id, length: mm.positive(), place: z.string().max(80) }))
    .max(MOST_CUT_PIECES),
})
export type CutBody = FieldsOf<typeof cutFields>
export type CutInput = FieldsInput<typeof cutFields>
export type DoneCutBody = z.output<typeof doneCutBody>
export type FinishBody = z.output<typeof finishBody>
