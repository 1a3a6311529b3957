import * as z from 'zod/mini'
import {
  begins,
  begunAgain,
  changed,
  changes,
  drops,
  picked,
  undoneBy,
  type DoneAct,
  type Fields,
  type TakeBack,
} from '../act'
import type { JointRecord } from './record'
import { breakOff, takeApart, weepJoint } from './apart'
import {
  apartBody,
  breakOffBody,
  jointFields,
  reopenBody,
  signoffBody,
  stepPlace,
  tickBody,
  weepBody,
  type StepPlace,
  type TickBody,
} from './schema'
import { reopenJoint, signJoint } from './sign'
import { failStep, runTimer, tickStep } from './steps'
import { beginJoint, bringBack, changeJoint, dropJoint } from './work'

/** A step by its id, or by its place in an entry of an earlier version. */
const stepName = ({ step }: { step: string | number }): string =>
  typeof step === 'number' ? `step ${step + 1}` : `step "${step.replace(/-\d+$/, '')}"`

/** A step as it was ticked, with what proved it. */
function tickedAs({ ticks }: Pick<JointRecord, 'ticks'>, place: StepPlace): TickBody {
  const tick = ticks.find((one) => one.entry === place.entry && one.step === place.step)
  return { ...place, ...(tick?.reading == null ? {} : { reading: tick.reading }) }
}

const BROUGHT_BACK = ['a', 'b', 'findA', 'findB', 'valve', 'conditions', 'flex', 'wayId', 'depths']
/** What was brought back goes aside again; null where that would change the order of what lies aside. */
function putAsideAgain(before: JointRecord): TakeBack | null {
  if (before.ticks.length + before.timers.length === 0)
    return { name: 'joint/change', body: picked(before, BROUGHT_BACK) }
  return before.aside.length === 1 ? { name: 'joint/bring-back', body: {} } : null
}

export const jointActs = {
  'joint/begin': begins('joints', {
    body: jointFields.begin,
    undo: undoneBy('joint/drop'),
    means: 'A joint is begun, with the next number of its job.',
    says: () => 'joint begun',
    apply: (rules, body, doing) => beginJoint(rules, doing.record, doing.next.number, body, doing),
  }),
  'joint/change': changes('joints', {
    body: jointFields.patch,
    rests: 'fields',
    undo: {
      name: 'joint/change',
      // What another way put aside comes back with its steps.
      by: ({ body, before, after }) =>
        before && after && after.aside.length > before.aside.length
          ? { name: 'joint/bring-back', body: {} }
          : before && { name: 'joint/change', body: picked(before, Object.keys(body as Fields)) },
    },
    means: 'Fields of a joint are changed. Ends or conditions that refuse the way taken put its steps aside.',
    says: changed,
    apply: (rules, joint, body) => changeJoint(rules, joint, body),
  }),
  'joint/tick': changes('joints', {
    body: tickBody,
    undo: undoneBy('joint/untick', ({ body: { reading: _, ...place } }: DoneAct<'joints', TickBody>) => place),
    means: 'A step is done, with what proved it.',
    says: (body) => `${stepName(body)} done`,
    apply: (rules, joint, body, hand) => tickStep(rules, joint, body, true, hand),
  }),
  'joint/untick': changes('joints', {
    body: stepPlace,
    undo: undoneBy('joint/tick', ({ body, before }: DoneAct<'joints', StepPlace>) => before && tickedAs(before, body)),
    means: 'A step is not done after all.',
    says: (body) => `${stepName(body)} not done`,
    apply: (rules, joint, body, hand) => tickStep(rules, joint, body, false, hand),
  }),
  'joint/fail': changes('joints', {
    body: tickBody,
    means: 'The check of a step failed: what is to be done goes on record, and its steps are begun anew.',
    says: (body) => `check of ${stepName(body)} failed`,
    apply: (rules, joint, body, doing) => failStep(rules, joint, { ...body, id: doing.key }, doing),
  }),
  'joint/weep': changes('joints', {
    body: weepBody,
    means: 'An end weeps: it is nipped once where its method allows, else begun anew. A signed joint is open again.',
    says: ({ entry }) => `end ${entry + 1} weeps`,
    apply: (rules, joint, body, doing) => weepJoint(rules, joint, { ...body, id: doing.key }, doing),
  }),
  'joint/apart': changes('joints', {
    body: apartBody,
    means: 'An end was taken apart, to be made anew, with its fitting or a new one. A signed joint is open again.',
    says: ({ entry, reused }) => `end ${entry + 1} taken apart, ${reused ? 'fitting used again' : 'a new fitting'}`,
    apply: (rules, joint, body, doing) => takeApart(rules, joint, { ...body, id: doing.key }, doing),
  }),
  'joint/break-off': changes('joints', {
    body: breakOffBody,
    means:
      'Work on a joint is broken off: how it was closed is kept, and what does not stay over a pause is begun again.',
    says: ({ closed }) => `broken off, ${closed}`,
    apply: (rules, joint, body, doing) => breakOff(rules, joint, { ...body, id: doing.key }, doing),
  }),
  'joint/wait': changes('joints', {
    body: stepPlace,
    undo: undoneBy('joint/stop-wait', ({ body }) => body),
    means: 'The wait of a step begins.',
    says: () => 'wait begun',
    apply: (rules, joint, body, { at }) => runTimer(rules, joint, body, true, at),
  }),
  'joint/stop-wait': changes('joints', {
    body: stepPlace,
    undo: undoneBy('joint/wait', ({ body }) => body),
    means: 'The wait of a step is stopped.',
    says: () => 'wait stopped',
    apply: (rules, joint, body, { at }) => runTimer(rules, joint, body, false, at),
  }),
  'joint/bring-back': changes('joints', {
    body: z.strictObject({}),
    undo: { name: 'joint/bring-back', by: ({ before }) => before && putAsideAgain(before) },
    means: 'The steps that another way put aside are brought back, and what stands now is put aside.',
    says: () => 'steps brought back',
    apply: (rules, joint) => bringBack(rules, joint),
  }),
  'joint/drop': drops('joints', {
    body: z.strictObject({}),
    undo: begunAgain('joint/begin', jointFields.table),
    means: 'A joint begun by mistake is taken out, as it was seen, while no step of it was done.',
    says: () => 'joint taken out',
    apply: (_, joint) => dropJoint(joint),
  }),
  'joint/reopen': changes('joints', {
    body: reopenBody,
    means: 'A signed joint is opened again with the reason; its sign-off stays on record and no longer stands.',
    says: ({ reason }) => `opened again: ${reason}`,
    apply: (rules, joint, body, doing) => reopenJoint(rules, joint, { ...body, id: doing.key }, doing),
  }),
  'joint/sign': changes('joints', {
    body: signoffBody,
    rests: 'fields',
    sees: ['depths', 'wayId'],
    means: 'A joint is signed with the depths it was made to, or its last sign-off is corrected by a new one.',
    says: ({ corrects, initials }) => `${corrects ? 'signed anew' : 'signed'} ${initials}`,
    apply: (rules, joint, body, doing) => signJoint(rules, joint, { ...body, id: doing.key }, doing),
  }),
}
