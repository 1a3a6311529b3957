/** Inch names from small to large. */
export const INCH_ORDER: readonly string[] = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '1', '1-1/4', '1-1/2', '2']

/** Metric outside diameters stocked as copper fittings, small to large. */
export const METRIC_COPPER_ORDER: readonly string[] = ['8', '10', '12', '15', '18', '22', '28', '35', '42', '54']

/** Inch tube by its outside: an eighth over its nominal size. ASTM B88. */
export const OUTSIDE_OF: Readonly<Record<string, string>> = {
  '1/8': '1/4',
  '1/4': '3/8',
  '3/8': '1/2',
  '1/2': '5/8',
  '5/8': '3/4',
  '3/4': '7/8',
  '1': '1-1/8',
}

/** The name in copper tube sizes of what is called by its outside. */
export const NOMINAL_OF_OUTSIDE: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(OUTSIDE_OF).map(([nominal, outside]) => [outside, nominal]),
)

/** Inches that a nominal size says: 1.25 for `1-1/4`. */
export const inchesOf = (nominal: string): number =>
  nominal.split('-').reduce((sum, part) => {
    const [over, under = '1'] = part.split('/') as [string, string?]
    return sum + Number(over) / Number(under)
  }, 0)
