import { formatLength, unitSystemOf } from '#core/units'
import * as z from 'zod/mini'
import { begins, begunAgain, changed, changes, drops, setBack, undoneBy, type DoneAct } from '../act'
import type { CutRecord } from './record'
import { cutFields, doneCutBody, finishBody, planBody, undoneCutBody, type DoneCutBody } from './schema'
import { beginCut, changeCut, dropCut, enterCut, finishCut, planCut, takeBackCut } from './work'

/** A cut as it was entered; null where it was not. */
function enteredAs({ done }: Pick<CutRecord, 'done'>, id: string): DoneCutBody | null {
  const cut = done.find((one) => one.id === id)
  return cut ? { id, bar: cut.bar, piece: cut.piece, length: cut.length } : null
}

export const cutActs = {
  'cut/begin': begins('cuts', {
    body: cutFields.begin,
    undo: undoneBy('cut/drop'),
    means: 'A cut sheet is begun, with the next number of its job.',
    says: () => 'cut sheet begun',
    apply: (_, body, doing) => beginCut(doing.record, doing.next, body, doing),
  }),
  'cut/change': changes('cuts', {
    body: cutFields.patch,
    rests: 'fields',
    undo: setBack('cut/change'),
    touches: 'rack',
    means: 'Fields of a sheet are changed. Another pipe drops its plan.',
    says: changed,
    apply: (_, sheet, body) => changeCut(sheet, body),
  }),
  'cut/drop': drops('cuts', {
    body: z.strictObject({}),
    touches: 'rack',
    undo: begunAgain('cut/begin', cutFields.table),
    means: 'A sheet is taken out as it was seen, while nothing was cut for it; what was promised to it is free again.',
    says: () => 'cut sheet taken out',
    apply: (_, sheet) => dropCut(sheet),
  }),
  'cut/plan': changes('cuts', {
    body: planBody,
    touches: 'rack',
    means: 'A plan is taken for a sheet, and its offcuts are promised to it.',
    says: ({ pieces }) => `planned, ${pieces.length} piece${pieces.length === 1 ? '' : 's'}`,
    apply: (rules, sheet, plan) => planCut(rules, sheet, plan),
  }),
  'cut/enter': changes('cuts', {
    body: doneCutBody,
    touches: 'rack',
    undo: undoneBy('cut/take-back', ({ body: { id } }: DoneAct<'cuts', DoneCutBody>) => ({ id })),
    means: 'A cut was made, right or wrong.',
    says: ({ length }, job) => `cut at ${formatLength(length, job ? unitSystemOf(job.region) : 'metric')}`,
    apply: (_, sheet, body, hand) => enterCut(sheet, body, hand),
  }),
  'cut/take-back': changes('cuts', {
    body: undoneCutBody,
    touches: 'rack',
    undo: undoneBy(
      'cut/enter',
      ({ body: { id }, before }: DoneAct<'cuts', { id: string }>) => before && enteredAs(before, id),
    ),
    means: 'A cut was entered by mistake.',
    says: () => 'cut taken back',
    apply: (_, sheet, { id }) => takeBackCut(sheet, id),
  }),
  'cut/finish': changes('cuts', {
    body: finishBody,
    touches: 'rack',
    means: 'A sheet is closed; what is kept goes to the rack.',
    says: () => 'finished, rests to the rack',
    apply: (rules, sheet, body, hand) => finishCut(rules, sheet, body, hand),
  }),
}
