// Parts of the framework's own server entry that have no types.
declare module '#nitro-internal-pollyfills'
declare module 'nitropack/runtime/internal' {
  import type { Server } from 'node:http'
  import type { NitroApp } from 'nitropack/types'

  export function trapUnhandledNodeErrors(): void
  export function setupGracefulShutdown(server: Server, app: NitroApp): void
}
