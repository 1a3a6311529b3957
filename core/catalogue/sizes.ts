/** Inch names from small to large. */
export const INCH_ORDER: readonly string[] = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '1', '1-1/4', '1-1/2', '2']

/** Metric outside diameters stocked as copper fittings, small to large. */
export const METRIC_COPPER_ORDER: readonly string[] = ['8', '10', '12', '15', '18', '22', '28', '35', '42', '54']
