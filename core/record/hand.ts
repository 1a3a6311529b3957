/** Who did something, and when, ISO 8601. */
export interface Hand {
  at: string
  by: string
  /** Whose clock says when; the server's where it is left out. */
  clock?: 'server' | 'tablet'
}

/** What the next record of a kind on a job is numbered, and how many of them there are. */
export interface Next {
  number: number
  count: number
}
