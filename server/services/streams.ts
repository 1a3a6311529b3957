/** Streams that are open; they end with the process, which would wait for them else. */
const open = new Set<{ close: () => Promise<void> }>()

/** Most streams of one process: each browser holds one. */
export const MOST_STREAMS = 400
export const openStreams = (): number => open.size

/** Counts a stream until it is closed. Gives what takes it out. */
export function addStream(stream: { close: () => Promise<void> }): () => void {
  open.add(stream)
  return () => open.delete(stream)
}
export const closeStreams = (): void => {
  for (const stream of open) void stream.close()
}
