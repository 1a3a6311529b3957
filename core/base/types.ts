/** Where the figures of one table come from. */
export interface Source {
  id: string
  standard: string
  subject: string
}

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
