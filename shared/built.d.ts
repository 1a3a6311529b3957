// Modules that the build makes, or that have no types of their own. Here the server and the pages, which see the types of
// its routes, both find them.

declare module '#question-thread' {
  /** `server/workers/questions.ts` as one text, made by `bundle.ts`. */
  const source: string
  export default source
}

declare module '#nitro-internal-virtual/server-handlers' {
  /** Every handler that the server was built with. */
  export const handlers: readonly { route?: string; method?: string }[]
}

declare module '#nitro-internal-pollyfills'

declare module 'nitropack/runtime/internal' {
  import type { Server } from 'node:http'
  import type { NitroApp } from 'nitropack/types'

  export function trapUnhandledNodeErrors(): void
  export function setupGracefulShutdown(server: Server, app: NitroApp): void
}
