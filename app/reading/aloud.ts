import { speak } from '#core/speech'
import type { Region } from '#core/units'
import type { Step } from '#core/joints'

/** Signs that a voice would spell or swallow, as words. */
const SAID: readonly (readonly [RegExp, string])[] = [
  [/(\d)-(\d+)\/(\d+)/g, '$1 and $2/$3'],
  [/(\d)\s?mm\b/g, '$1 millimetres'],
  [/(\d)\s?in\b(?!\s+\w+ing)/g, '$1 inches'],
  [/(\d)\s?s\b/g, '$1 seconds'],
  [/(\d)\s?min\b/g, '$1 minutes'],
  [/\u00b0\s?C\b|\bdegC\b/g, ' degrees Celsius'],
  [/\u00b0\s?F\b/g, ' degrees Fahrenheit'],
  [/\s?\u00d7\s?/g, ' by '],
]

/** A sentence of the screen as it is said aloud. */
export const aloudWords = (text: string): string =>
  SAID.reduce((words, [sign, said]) => words.replace(sign, said), text)
    .replace(/\s+/g, ' ')
    .trim()

/** The step to do now as it is read aloud: first what can hurt; without one, how far it is. */
export function stepAloud(
  step: Pick<Step, 'do' | 'check' | 'caution'> | undefined,
  index: number,
  left: number,
  region: Region,
): string {
  if (!step) return left === 0 ? 'Every step is done.' : 'This end is done.'
  const parts = [step.caution, `Step ${index + 1}. ${step.do}`, step.check && `Check: ${step.check}`]
  return parts.flatMap((part) => (part ? [speak(part, region)] : [])).join('. ')
}
