import { pipesNear, type Pipe } from '#core/catalogue'
import { parseLength, unitSystemOf, type Region } from '#core/units'

/** Pipes of a region called by what was typed, or that measure as much outside, nearest first. */
export function pipesCalled(typed: string, region: Region): Pipe[] {
  const length = parseLength(typed, unitSystemOf(region))
  return pipesNear(typed, length.ok ? length.value.mm : null, region)
}
