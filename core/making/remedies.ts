import { ALL_METHODS, type Apart, type Method, type Remedy, type StepCode } from '#core/joints'
import { speak, speakAll } from '#core/speech'
import type { Region } from '#core/units'

/** What to do where the check of a step fails: never nothing. */
export const remedyOf = (method: Method, code: StepCode, region: Region): Remedy =>
  speakAll(
    ALL_METHODS[method].remedies[code] ?? { do: 'Put it right and do this step again', again: 'step', reuses: false },
    region,
  )

/**
 * What to do about an end that weeps, by how often it has wept before: once it may be nipped where its method allows,
 * then it is begun anew.
 */
export function weepOf(method: Method, times: number, region: Region): Remedy {
  const { once, then } = ALL_METHODS[method].weeps
  return once !== undefined && times === 0
    ? { do: speak(once, region), again: 'step', reuses: false }
    : { do: speak(then, region), again: 'end', reuses: false }
}

/** How an end comes apart again, and what of it is used again. */
export const apartOf = (method: Method, region: Region): Apart => speakAll(ALL_METHODS[method].apart, region)
