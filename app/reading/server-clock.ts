/** A difference under this is the `Date` header's own coarseness, ms. */
const COARSE_MS = 1500
/** The header is cut to the second: on average it is half a second early, ms. */
const HALF_MS = 500

/**
 * How far the server's clock is ahead of this tablet's, ms, by the `Date` header of an answer that came just now. Times on
 * record are the server's, so that a wait runs right on a tablet whose clock is not. Null where there is nothing to go by.
 */
export function clockOffset(header: string | null, now: number): number | null {
  const server = header === null ? NaN : Date.parse(header)
  if (Number.isNaN(server)) return null
  const ahead = server + HALF_MS - now
  return Math.abs(ahead) < COARSE_MS ? 0 : ahead
}
