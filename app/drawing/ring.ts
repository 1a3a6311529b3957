/** A ring as an SVG path: its outer circle one way round, its inner the other, so that the bore stays clear. px. */
export function ringPath(cx: number, cy: number, outer: number, inside: number): string {
  const circle = (r: number, sweep: 0 | 1) =>
    `M${cx - r} ${cy}a${r} ${r} 0 1 ${sweep} ${2 * r} 0a${r} ${r} 0 1 ${sweep} ${-2 * r} 0Z`
  return circle(outer, 0) + circle(inside, 1)
}
