/** Who did something, and when, ISO 8601. */
export interface Hand {
  at: string
  by: string
}

/** What the next record of a kind on a job is numbered, and how many of them there are. */
export interface Next {
  number: number
  count: number
}
