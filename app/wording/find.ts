/** How much a check tells beside the most telling one, in a few words. Both as the expected information, bits. */
export function tellingWords(bits: number, most: number): string {
  if (bits < 0.01) return 'tells nothing more'
  if (bits >= most * 0.75) return 'tells most'
  return bits >= most * 0.3 ? 'tells some' : 'tells little'
}

/** How many checks as telling as the best one left would settle it; `doubt` and `best` in bits. */
export function checksToGo(doubt: number, best: number | undefined): string {
  if (doubt < 0.3) return 'hardly a doubt left'
  if (best === undefined || best < 0.05) return 'no check left that tells more'
  const checks = Math.min(9, Math.max(1, Math.round(doubt / best)))
  return `about ${checks} ${checks === 1 ? 'check' : 'checks'} to go`
}
