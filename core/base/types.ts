/** Where the figures of one table come from. */
export interface Source {
  id: string
  standard: string
  subject: string
  /** Year or number of the edition; left out where it is not known here. Never from memory. */
  edition?: string
  /** Table or clause; left out where it is not known here. */
  clause?: string
  checked: Checked
}

/**
 * What its figures were checked against: every row is in two lists that were made apart and `agreed`; a `part` of them is,
 * and the range covers where they differ; or `one` list alone has them.
 */
export type Checked = 'agreed' | 'part' | 'one'

/** A reason, caution or warning: `code` for programs, `text` for people. */
export interface Note {
  code: string
  text: string
}

/** One line of a sum that can be checked by hand. */
export interface WorkingLine {
  text: string
  op: '+' | '-' | 'x' | '/' | '='
  value: number
  unit: string
  source?: string
}

/** A length in mm with the range it is met in; `value` is null where nothing is known and it has to be measured. */
export interface Figure {
  value: number | null
  lo: number | null
  hi: number | null
  source: string
}
