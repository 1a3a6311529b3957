import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

// API and end-to-end tests share one production server on a database of its own: see tests/server.ts.
export default defineConfig({
  resolve: { alias: { '#core': fileURLToPath(new URL('./core', import.meta.url)) } },
  test: {
    environment: 'node',
    globalSetup: ['tests/server.ts'],
    fileParallelism: false,
    testTimeout: 60_000,
    hookTimeout: 120_000,
    projects: [
      { extends: true, test: { name: 'api', include: ['tests/api/**/*.test.ts'] } },
      { extends: true, test: { name: 'e2e', include: ['tests/e2e/**/*.test.ts'] } },
    ],
  },
})
