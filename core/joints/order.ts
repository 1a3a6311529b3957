import { OUTSIDE_OF } from '#core/catalogue'
import { formatLength, unitSystemOf, type Region } from '#core/units'
import type { Part, Way } from './types'

/**
 * One line of an order, in the supplier's order of naming: how many, what, then large x small, run x branch, tube x
 * thread.
 */
export interface OrderLine {
  quantity: number
  name: string
  size: string
}

/** Inch tube by its outside with the nominal beside it: "5/8 OD (1/2 nominal)". */
export const outsideName = (nominal: string): string =>
  OUTSIDE_OF[nominal] ? `${OUTSIDE_OF[nominal]} OD (${nominal} nominal)` : nominal

/** A part as it is called at the counter: with what it is of, where its name does not say so. */
export const orderName = ({ name, material }: Pick<Part, 'name' | 'material'>): string =>
  material && !name.includes(material) ? `${name}, ${material}` : name

/** What a way needs, as it is ordered; a tail is tube by its cut length, mm. */
export const orderList = ({ parts }: Pick<Way, 'parts'>, region: Region): OrderLine[] =>
  parts.map(({ kind, name, size, quantity, length, material }) =>
    kind === 'tail'
      ? {
          quantity,
          name: name.replace(/^tail of /, ''),
          size: length === undefined ? 'length by the measured sockets' : formatLength(length, unitSystemOf(region)),
        }
      : { quantity, name: orderName({ name, material }), size },
  )
