import { changes, undoneBy, type DoneAct, type TakeBack } from '../act'
import { supportBody, supportPlace, supportsBody, type SupportPlace, type SupportsBody } from './schema'
import { fixSupport, freeSupport, moveSupport, moveSupports } from './work'

const supportName = ({ support }: { support: string }): string => {
  const [leg, n] = support.split(':').map(Number) as [number, number]
  return `support ${n + 1} of leg ${leg + 1}`
}

/** A support as it was before: fixed, moved by hand, or where the code has it. */
function asBefore({ body: { support }, before }: DoneAct<'lines', SupportPlace>): TakeBack | null {
  const clip = before?.clips[support]
  if (!clip) return { name: 'line/free-support', body: { support } }
  return { name: clip.at === null ? 'line/move-support' : 'line/fix-support', body: { support, mm: clip.mm } }
}

export const fixActs = {
  'line/move-support': changes('lines', {
    body: supportBody,
    undo: { name: 'line/free-support', by: asBefore },
    means: 'A support is moved by hand along its leg.',
    says: (body) => `${supportName(body)} moved`,
    apply: (rules, line, body, hand) => moveSupport(rules, line, body, hand),
  }),
  'line/move-supports': changes('lines', {
    body: supportsBody,
    undo: undoneBy('line/move-supports', ({ body: { supports }, before }: DoneAct<'lines', SupportsBody>) => ({
      supports: supports.map(({ support }) => ({ support, mm: before?.clips[support]?.mm ?? null })),
    })),
    means: 'Several supports are moved along their legs at once, as where they come to stand opposite others.',
    says: ({ supports: { length } }) => `${length} support${length === 1 ? '' : 's'} moved`,
    apply: (rules, line, body, hand) => moveSupports(rules, line, body, hand),
  }),
  'line/fix-support': changes('lines', {
    body: supportBody,
    undo: { name: 'line/free-support', by: asBefore },
    means: 'A support is fixed where it stands, and stays there whatever the code or the line says later.',
    says: (body) => `${supportName(body)} fixed`,
    apply: (rules, line, body, hand) => fixSupport(rules, line, body, hand),
  }),
  'line/free-support': changes('lines', {
    body: supportPlace,
    undo: { name: 'line/fix-support', by: asBefore },
    means: 'A support is not fixed after all, or goes back to where the code has it.',
    says: (body) => `${supportName(body)} not fixed`,
    apply: (rules, line, body) => freeSupport(rules, line, body),
  }),
}
