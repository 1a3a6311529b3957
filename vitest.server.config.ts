import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

// API and end-to-end tests run against the production build with a database of their own: see tests/server.ts.
const shared = { resolve: { alias: { '#core': fileURLToPath(new URL('./core', import.meta.url)) } } }
const options = {
  environment: 'node' as const,
  globalSetup: ['tests/server.ts'],
  fileParallelism: false,
  testTimeout: 60_000,
  hookTimeout: 120_000,
}

export default defineConfig({
  test: {
    projects: [
      { ...shared, test: { ...options, name: 'api', include: ['tests/api/**/*.test.ts'] } },
      { ...shared, test: { ...options, name: 'e2e', include: ['tests/e2e/**/*.test.ts'] } },
      // These start and hurt servers of their own.
      { ...shared, test: { ...options, globalSetup: [], name: 'faults', include: ['tests/faults/**/*.test.ts'] } },
    ],
  },
})
