import { ok } from '#core/base'
import { unitSystemOf } from '#core/catalogue'
import { formatLength } from '#core/units'
import { z } from 'zod'
import { begins, changed, changes, drops } from '../act'
import { cutFields, doneCutBody, finishBody, planBody, undoneCutBody } from './schema'
import { beginCut, changeCut, enterCut, finishCut, planCut, takeBackCut } from './work'

export const cutActs = {
  'cut/begin': begins('cuts', {
    body: cutFields.begin,
    undo: 'cut/drop',
    means: 'A cut sheet is begun, with the next number of its job.',
    says: () => 'cut sheet begun',
    apply: (_, body, doing) => beginCut(doing.record, doing.next, body, doing),
  }),
  'cut/change': changes('cuts', {
    body: cutFields.patch,
    rests: 'fields',
    touches: 'rack',
    means: 'Fields of a sheet are changed. Another pipe drops its plan.',
    says: changed,
    apply: (_, sheet, body) => changeCut(sheet, body),
  }),
  'cut/drop': drops('cuts', {
    body: z.strictObject({}),
    touches: 'rack',
    means: 'A sheet is taken out as it was seen; what was promised to it is free again.',
    says: () => 'cut sheet taken out',
    apply: () => ok(null),
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
    undo: 'cut/take-back',
    means: 'A cut was made, right or wrong.',
    says: ({ length }, job) => `cut at ${formatLength(length, job ? unitSystemOf(job.region) : 'metric')}`,
    apply: (_, sheet, body, hand) => enterCut(sheet, body, hand),
  }),
  'cut/take-back': changes('cuts', {
    body: undoneCutBody,
    touches: 'rack',
    undo: 'cut/enter',
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
