export { fail, issue, ok } from './result'
export type { Failure, Issue, IssueCode, Result } from './result'
export type { Figure, Note, Source, WorkingLine } from './types'
