import type { Thread } from '../types'

/** Body of a manifold whose seat is a cone: G 3/4. EN 16313. */
export const CONE_THREAD = '3/4'

/** Whether a cone joint may be made on a threaded end: a male G 3/4 that is not known to be flat. */
export const mayBeCone = ({ form, size, gender, seat }: Thread): boolean =>
  form === 'bspp' && size === CONE_THREAD && gender === 'male' && seat !== 'flat'
