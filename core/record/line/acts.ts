import * as z from 'zod/mini'
import { begins, begunAgain, changed, changes, drops, setBack, undoneBy } from '../act'
import { lineFields } from './schema'
import { beginLine, changeLine, dropLine } from './work'

export const lineActs = {
  'line/begin': begins('lines', {
    body: lineFields.begin,
    undo: undoneBy('line/drop'),
    means: 'A line is begun, with the next number of its job.',
    says: () => 'line begun',
    apply: (_, body, doing) => beginLine(doing.record, doing.next, body, doing),
  }),
  'line/change': changes('lines', {
    body: lineFields.patch,
    rests: 'fields',
    undo: setBack('line/change'),
    means: 'Fields of a line are changed; legs are kept as typed.',
    says: changed,
    apply: (_, line, body) => changeLine(line, body),
  }),
  'line/drop': drops('lines', {
    body: z.strictObject({}),
    undo: begunAgain('line/begin', lineFields.table),
    means: 'A line is taken out, as it was seen, while nothing of it is fixed, bent or on a cut sheet.',
    says: () => 'line taken out',
    apply: (rules, line) => dropLine(rules, line),
  }),
}
