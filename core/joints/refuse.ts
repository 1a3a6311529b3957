import { refuse } from './rules/ask'
import { refuseMethod } from './rules/threads'
import { METHODS, type Offer, type PartKind, type Refusal, type RefusalCode, type Situation } from './types'

/**
 * Codes that a fitting answers: one made for this very tube its size, one without a stop that the pipe need not be drawn
 * back.
 */
export const ANSWERED_BY: Readonly<Partial<Record<PartKind, ReadonlySet<RefusalCode>>>> = {
  converter: new Set(['size', 'no-figure']),
  slip: new Set(['play']),
}

/** Every method that cannot be made directly on an end, in the contract's order of methods. */
export function refusalsOn(offer: Offer, other: Offer, on: 'a' | 'b', situation: Situation): Refusal[] {
  return METHODS.flatMap((method): Refusal[] => {
    const refused = refuseMethod(method, offer, other, situation, (id) =>
      offer.kind === 'tube' ? refuse(id, offer.tube, situation) : null,
    )
    return refused ? [{ method, on, ...refused }] : []
  })
}
