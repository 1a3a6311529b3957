import type { FixCode } from './words'
import type { Note } from '#core/base'
import type { Pipe, Spacing, SupportCode } from '#core/catalogue'
import type { Service } from '#core/joints'
import type { Region } from '#core/units'

/** One straight leg, mm along its centre line from its start. */
export interface FixLeg {
  /** What it is called in rules; its number where left out. */
  name?: string
  length: number
  run: 'horizontal' | 'vertical'
  /** Corners of bends on it. */
  bends?: readonly number[]
  /** Where joints are. */
  joints?: readonly number[]
}

export interface FixQuestion {
  region: Region
  code?: SupportCode
  pipe: string
  service: Service
  /** What the pipe comes to, and what it was when it was fixed, degC. */
  temperature: number
  installedAt: number
  legs: readonly FixLeg[]
  /** The maker's own distances, mm: they win over the code's. */
  given?: { horizontal?: number; vertical?: number }
}

/** `guide` holds the pipe to its line and lets it slide; `anchor` holds it still. */
export interface Support {
  leg: number
  at: number
  kind: 'clip' | 'guide' | 'anchor'
}

/**
 * What a leg grows (shortens where negative), and the free arm its ends need across it, mm; null where no constant is
 * held.
 */
export interface Expansion {
  leg: number
  change: number
  changeLo: number
  changeHi: number
  arm: number | null
  lo: number | null
  hi: number | null
}

export interface FixRule extends Note {
  leg?: number
  at?: number
}
/** One of the verb's own. */
export interface FixAdvice extends FixRule {
  code: FixCode
}

export interface FixAnswer {
  spacing: { horizontal: number | null; vertical: number | null }
  source: string
  supports: Support[]
  expansion: Expansion[]
  rules: FixAdvice[]
}

/** A question with what was looked up for it. */
export interface FixContext {
  question: FixQuestion
  pipe: Pipe
  spacing: Spacing | null
  /** Between a support and a joint or bend, mm. */
  clear: number
}
