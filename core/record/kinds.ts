/** Kinds of records, by the name of their list on a job; `jobs` is the job itself, `rack` the offcuts of the van. */
export const KINDS = ['jobs', 'finds', 'lines', 'cuts', 'joints', 'rack', 'looks'] as const
export type Kind = (typeof KINDS)[number]
/** Records that a job has lists of. */
export type ListKind = Exclude<Kind, 'jobs'>
