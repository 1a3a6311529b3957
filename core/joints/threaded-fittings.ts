import { hasThread, INCH_ORDER, type ThreadForm } from '#core/catalogue'
import { w } from '#core/speech'
import { fitting, LETTERS, mouthId, socket, thread, type Fitting } from './fitting'
import { methodsOf, nominalOf, systemOf, type SizeClass } from './size-classes'
import type { Thread } from './types'

/* What is screwed on a threaded end, or stands between two. */

/** Thread sizes in order, and how many steps down a bush is made. */
const THREAD_ORDER = ['1/8', '1/4', '3/8', '1/2', '3/4', '1', '1-1/4', '1-1/2', '2'] as const
const BUSH_REDUCES = 3

const smallerThan = (size: string): readonly string[] => {
  const at = THREAD_ORDER.indexOf(size as '1/2')
  return at < 0 ? [] : THREAD_ORDER.slice(Math.max(0, at - BUSH_REDUCES), at)
}

const reducingBush = (form: ThreadForm, large: string, small: string): Fitting =>
  fitting(
    'bush',
    `${LETTERS[form]} reducing bush`,
    `${large} x ${small}`,
    thread(form, large, 'male'),
    thread(form, small, 'female'),
  )

/**
 * What is screwed on a threaded end: socket, union, nipple, and pieces that reduce it; in a parallel thread only what
 * seals by a washer.
 */
export function onThread({ form, size }: Pick<Thread, 'form' | 'size'>, classes: readonly SizeClass[]): Fitting[] {
  if (form === 'bspp') return []
  const female = thread(form, size, 'female')
  return [
    fitting('coupling', `${LETTERS[form]} socket`, size, female, female),
    { ...fitting('union', `${LETTERS[form]} union`, size, female, female), id: `union.${mouthId(female)}` },
    fitting('nipple', `${LETTERS[form]} brass nipple`, size, thread(form, size, 'male'), thread(form, size, 'male')),
    ...smallerThan(size).flatMap((small) => [
      reducingBush(form, size, small),
      fitting(
        'reducer',
        `${LETTERS[form]} reducing socket`,
        `${size} x ${small}`,
        female,
        thread(form, small, 'female'),
      ),
    ]),
    ...(form === 'npt'
      ? classes
          .filter((one) => systemOf(one) === 'cts' && methodsOf(one).includes('solder'))
          .map((one) =>
            fitting(
              'union',
              'dielectric union, female NPT x solder',
              `${size} x ${nominalOf(one)}`,
              female,
              socket('solder', one),
            ),
          )
      : []),
  ]
}

/** Bushes between the adaptors of two ends that have no thread in common. */
export function bushesBetween(ends: readonly { form: ThreadForm; sizes: readonly string[] }[]): Fitting[] {
  const [one, other] = ends
  if (!one || !other || one.form !== other.form || one.sizes.some((size) => other.sizes.includes(size))) return []
  return [
    ...one.sizes.flatMap((size) => other.sizes.map((small) => [size, small] as const)),
    ...other.sizes.flatMap((size) => one.sizes.map((small) => [size, small] as const)),
  ]
    .filter(([size, small]) => smallerThan(size).includes(small))
    .map(([size, small]) => reducingBush(one.form, size, small))
}

/** Listed adaptors between the two thread families, which never mate directly. */
export function threadConverters(): Fitting[] {
  const sizes = INCH_ORDER.filter((size) => hasThread('npt', size) && hasThread('bspt', size))
  return sizes.flatMap((size) => [
    fitting(
      'converter',
      `female NPT x male BSP ${w.adaptor}`,
      size,
      thread('npt', size, 'female'),
      thread('bspt', size, 'male'),
    ),
    fitting(
      'converter',
      `male NPT x female BSP ${w.adaptor}`,
      size,
      thread('npt', size, 'male'),
      thread('bspt', size, 'female'),
    ),
  ])
}
