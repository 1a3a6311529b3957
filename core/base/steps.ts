/** Work in steps: what asks for it may see to something else between two of them. */
export type Steps<T> = Generator<void, T, void>

/** All of it at once. */
export function finish<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
