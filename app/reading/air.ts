const LEAST_C = -40
const MOST_C = 60

/** Air where the work is done, degC, as it was typed; empty is not said. */
export function readAir(typed: string, most = MOST_C): { value: number | null; problem: string | null } {
  const text = typed.trim().replace('\u2212', '-').replace(',', '.')
  if (text === '') return { value: null, problem: null }
  const value = Number(text)
  return /^-?\d{1,3}(\.\d)?$/.test(text) && value >= LEAST_C && value <= most
    ? { value, problem: null }
    : { value: null, problem: `Degrees Celsius from \u2212${-LEAST_C} to ${most}, such as 14.` }
}
