/** The next task of the page: what came meanwhile, such as a tap, is answered before it. */
export const nextTask = (): Promise<void> => new Promise((go) => setTimeout(go))
