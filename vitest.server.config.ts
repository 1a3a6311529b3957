import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

// API, end-to-end and fault tests run against the production build: see tests/beds.ts.
const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const shared = { resolve: { alias: { '#core': at('./core'), '~': at('./app') } } }
// A busy machine is slow, not wrong: limits only end what hangs. A whole series takes its time.
const isLong = process.env.JOLVET_LONG === '1'
const options = { environment: 'node' as const, testTimeout: isLong ? 3_600_000 : 180_000, hookTimeout: 240_000 }

export default defineConfig({
  test: {
    globalSetup: ['tests/beds.ts'],
    // Browsers and servers wait for each other a good part of the time: one more than there are cores.
    maxWorkers: Number(process.env.JOLVET_WORKERS ?? Math.min(4, availableParallelism() + 1)),
    projects: ['api', 'e2e', 'faults'].map((name) => ({
      ...shared,
      test: {
        ...options,
        name,
        include: [`tests/${name}/**/*.test.ts`],
        setupFiles: name === 'faults' ? [] : ['tests/fresh-rows.ts'],
      },
    })),
  },
})
