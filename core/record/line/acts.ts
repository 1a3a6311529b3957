import { z } from 'zod'
import { ok } from '#core/base'
import { begins, changed, changes, drops } from '../act'
import { lineFields } from './schema'
import { beginLine, changeLine } from './work'

export const lineActs = {
  'line/begin': begins('lines', {
    body: lineFields.begin,
    undo: 'line/drop',
    means: 'A line is begun, with the next number of its job.',
    says: () => 'line begun',
    apply: (_, body, doing) => beginLine(doing.record, doing.next, body, doing),
  }),
  'line/change': changes('lines', {
    body: lineFields.patch,
    rests: 'fields',
    means: 'Fields of a line are changed; legs are kept as typed.',
    says: changed,
    apply: (_, line, body) => changeLine(line, body),
  }),
  'line/drop': drops('lines', {
    body: z.strictObject({}),
    means: 'A line is taken out, as it was seen.',
    says: () => 'line taken out',
    apply: () => ok(null),
  }),
}
