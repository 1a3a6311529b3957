import { changes } from '../act'
import { supportBody, supportPlace } from './schema'
import { fixSupport, freeSupport, moveSupport } from './work'

const supportName = ({ support }: { support: string }): string => {
  const [leg, n] = support.split(':').map(Number) as [number, number]
  return `support ${n + 1} of leg ${leg + 1}`
}

export const fixActs = {
  'line/move-support': changes('lines', {
    body: supportBody,
    undo: 'line/free-support',
    means: 'A support is moved by hand along its leg.',
    says: (body) => `${supportName(body)} moved`,
    apply: (rules, line, body, hand) => moveSupport(rules, line, body, hand),
  }),
  'line/fix-support': changes('lines', {
    body: supportBody,
    undo: 'line/free-support',
    means: 'A support is fixed where it stands, and stays there whatever the code or the line says later.',
    says: (body) => `${supportName(body)} fixed`,
    apply: (rules, line, body, hand) => fixSupport(rules, line, body, hand),
  }),
  'line/free-support': changes('lines', {
    body: supportPlace,
    means: 'A support is not fixed after all, or goes back to where the code has it.',
    says: (body) => `${supportName(body)} not fixed`,
    apply: (rules, line, body) => freeSupport(rules, line, body),
  }),
}
