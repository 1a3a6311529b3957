/** Names that are in as often as they were put in: a page that leaves takes out only its own. */
export function countedSet() {
  const counts = new Map<string, number>()
  return {
    has: (name: string): boolean => counts.has(name),
    all: (): string[] => [...counts.keys()],
    /** Puts a name in; what it answers takes it out again, once. */
    add(name: string): () => void {
      counts.set(name, (counts.get(name) ?? 0) + 1)
      let isIn = true
      return () => {
        if (!isIn) return
        isIn = false
        const left = counts.get(name)! - 1
        if (left > 0) counts.set(name, left)
        else counts.delete(name)
      }
    },
  }
}
