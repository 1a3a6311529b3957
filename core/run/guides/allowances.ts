/* Our own working assumptions for starting a line, mm; each is shown as such and can be typed over. */

/** Left between a repair piece and the old pipe at each end, so that it drops in. */
export const DROP_IN_MM = 1
/** Warm space that the seat of an outdoor tap lies in, behind the wall. */
export const WARM_MM = 50
/** Fall of an outdoor tap towards the outside over its length: 1 in 30. */
export const FALL = 1 / 30
/** Kept clear of an obstacle. */
export const CLEAR_MM = 10
