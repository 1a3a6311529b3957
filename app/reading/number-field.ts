/**
 * A number of 0 or more as it is typed, with a point or a comma: 0 where nothing is typed, null where it is none or over
 * `most`.
 */
export function readNumber(text: string, most: number): number | null {
  const value = Number(text.trim().replace(',', '.'))
  return Number.isFinite(value) && value >= 0 && value <= most ? value : null
}
