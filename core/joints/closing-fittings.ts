import type { ThreadForm } from '#core/catalogue'
import { w } from '#core/speech'
import { fitting, LETTERS, SHUT, sizeName, socket, thread, words, type Fitting } from './fitting'
import { JOINT_METHODS } from './methods'
import type { Closer } from './methods/types'
import { methodsOf, systemOf, threadsAt, type SizeClass } from './size-classes'

/* What closes a line: caps, plugs and stop ends. */

const CLOSER_WORDS: Readonly<Record<Closer, string>> = { cap: 'cap', 'stop-end': w.stopEnd, plug: 'plug' }

/** On a tube of a class, by each method that has one. */
export function closersOn(size: SizeClass): Fitting[] {
  if (systemOf(size) === 'bs') return []
  return methodsOf(size).flatMap((method) => {
    const { closer } = JOINT_METHODS[method]
    if (!closer) return []
    const kind = closer === 'plug' ? 'plug' : 'cap'
    return [
      fitting(kind, `${words(method)} ${CLOSER_WORDS[closer]}`, sizeName(method, size), socket(method, size), SHUT),
    ]
  })
}

/** A cap over a male thread, a plug in a female one; a parallel thread by a washer. */
function threadClosers(form: ThreadForm, size: string): Fitting[] {
  const washer = form === 'bspp' ? ' with washer' : ''
  const swivel = form === 'bspp' ? { isSwivel: true as const } : {}
  return [
    fitting('cap', `${LETTERS[form]} cap${washer}`, size, { ...thread(form, size, 'female'), ...swivel }, SHUT),
    fitting('plug', `${LETTERS[form]} plug${washer}`, size, { ...thread(form, size, 'male'), ...swivel }, SHUT),
  ]
}

/** On the threads of an end, or of the adaptors of a tube. */
export const closersOnThreads = (
  classes: readonly SizeClass[],
  threads: readonly { form: ThreadForm; size: string }[],
): Fitting[] => threadsAt(classes, threads).flatMap(({ form, size }) => threadClosers(form, size))
