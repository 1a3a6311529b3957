declare module '#nitro-internal-virtual/server-handlers' {
  /** Every handler that the server was built with. */
  export const handlers: readonly { route?: string; method?: string }[]
}
