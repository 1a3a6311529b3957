/* Our own working assumptions for a line, mm; each is shown as such. */

/** Straight pipe between two bends under which a former or hand has little to hold. */
export const LITTLE_STRAIGHT_MM = 20
/**
 * A bend this near a joint, in outside diameters: metal holds its roundness sooner than plastic. Typical 1.5 to 3 and 5
 * to 10.
 */
export const NEAR_JOINT_OD = { metal: 1.5, plastic: 5 } as const
/** Half the breadth of a clip's saddle. */
export const HALF_CLIP_MM = 8
/**
 * The former's stop must grip straight pipe before a bend; less, and the end is left long and trimmed after. In outside
 * diameters.
 */
export const GRIP_OD = 2
/** A take-out's range wider than this on one piece is worth a measured fitting. */
export const WORTH_MEASURING_MM = 2
