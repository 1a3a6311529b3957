/** Codes a wrong question is answered with, on every surface. */
export type IssueCode =
  | 'json'
  | 'verb'
  | 'missing'
  | 'type'
  | 'range'
  | 'unknown-id'
  | 'unknown-field'
  | 'too-many'
  | 'impossible'
  | 'not-understood'

/**
 * One thing wrong with a question: `path` is dotted with 0-based indexes, `message` names the field and what is
 * accepted.
 */
export interface Issue {
  code: IssueCode
  message: string
  path: string
  /** Of a line that was not understood: the shapes that are, and the words understood up to there. */
  accepted?: string[]
  words?: { text: string; as: string }[]
  /** Of a word that may mean several things: each meaning, and the line that says it. */
  meanings?: { as: string; text: string }[]
}

export interface Failure {
  ok: false
  error: Issue
}
export type Result<T> = { ok: true; value: T } | Failure

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const issue = (code: IssueCode, path: string, message: string): Issue => ({ code, message, path })

export const fail = (code: IssueCode, path: string, message: string): Failure => ({
  ok: false,
  error: issue(code, path, message),
})
