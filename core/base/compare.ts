/** Order by code unit, so that it is the same on every machine: for `sort`. */
export function compareText(a: string, b: string): number {
  if (a === b) return 0
  return a < b ? -1 : 1
}
