/** What may be left when a joint is signed: a wait, the watch after a flame, a gauge that has not passed. */
export const LEFT_CODES = ['wait', 'watch', 'gauge'] as const
export type LeftCode = (typeof LEFT_CODES)[number]
