/** Where a job lies: worked on, waiting for something, handed over, or put away. */
export const SHELVES = ['open', 'waiting', 'handed', 'archive'] as const
export type Shelf = (typeof SHELVES)[number]
