import { ALL_METHODS, type Method, type Remedy, type StepCode } from '#core/joints'
import { speakAll } from '#core/speech'
import type { Region } from '#core/units'

/** What to do where the check of a step fails: never nothing. */
export const remedyOf = (method: Method, code: StepCode, region: Region): Remedy =>
  speakAll(
    ALL_METHODS[method].remedies[code] ?? { do: 'Put it right and do this step again', again: 'step', reuses: false },
    region,
  )
