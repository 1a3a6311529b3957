import { z } from 'zod'
import { begins, changed, changes } from '../act'
import { jointFields, reopenBody, signoffBody, stepPlace, tickBody } from './schema'
import { reopenJoint, signJoint } from './sign'
import { failStep, runTimer, tickStep } from './steps'
import { beginJoint, bringBack, changeJoint } from './work'

/** A step by its id, or by its place in an entry of an earlier version. */
const stepName = ({ step }: { step: string | number }): string =>
  typeof step === 'number' ? `step ${step + 1}` : `step "${step.replace(/-\d+$/, '')}"`

export const jointActs = {
  'joint/begin': begins('joints', {
    body: jointFields.begin,
    means: 'A joint is begun, with the next number of its job.',
    says: () => 'joint begun',
    apply: (rules, body, doing) => beginJoint(rules, doing.record, doing.next.number, body, doing),
  }),
  'joint/change': changes('joints', {
    body: jointFields.patch,
    rests: 'fields',
    means: 'Fields of a joint are changed. Ends or conditions that refuse the way taken put its steps aside.',
    says: changed,
    apply: (rules, joint, body) => changeJoint(rules, joint, body),
  }),
  'joint/tick': changes('joints', {
    body: tickBody,
    undo: 'joint/untick',
    means: 'A step is done, with what proved it.',
    says: (body) => `${stepName(body)} done`,
    apply: (rules, joint, body, hand) => tickStep(rules, joint, body, true, hand),
  }),
  'joint/untick': changes('joints', {
    body: stepPlace,
    undo: 'joint/tick',
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
  'joint/wait': changes('joints', {
    body: stepPlace,
    undo: 'joint/stop-wait',
    means: 'The wait of a step begins.',
    says: () => 'wait begun',
    apply: (rules, joint, body, { at }) => runTimer(rules, joint, body, true, at),
  }),
  'joint/stop-wait': changes('joints', {
    body: stepPlace,
    undo: 'joint/wait',
    means: 'The wait of a step is stopped.',
    says: () => 'wait stopped',
    apply: (rules, joint, body, { at }) => runTimer(rules, joint, body, false, at),
  }),
  'joint/bring-back': changes('joints', {
    body: z.strictObject({}),
    means: 'The steps that another way put aside are brought back, and what stands now is put aside.',
    says: () => 'steps brought back',
    apply: (rules, joint) => bringBack(rules, joint),
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
