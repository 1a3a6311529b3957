import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = {
  '#core': fileURLToPath(new URL('./core', import.meta.url)),
  '~': fileURLToPath(new URL('./app', import.meta.url)),
}
// A busy machine is slow, not wrong: limits only end what hangs.
const limits = {
  testTimeout: 120_000,
  hookTimeout: 120_000,
  environment: 'node' as const,
  // A test that asks nothing, such as one over a list that has become empty, has not passed.
  expect: { requireAssertions: true },
}

export default defineConfig({
  test: {
    projects: [
      // Pure functions without state: one module graph serves all of their files.
      { resolve: { alias }, test: { ...limits, name: 'core', isolate: false, include: ['core/**/*.test.ts'] } },
      // Verbs against each other: JOLVET_LONG=1 asks for the whole series.
      { resolve: { alias }, test: { ...limits, name: 'agree', isolate: false, include: ['tests/agree/**/*.test.ts'] } },
      {
        resolve: { alias },
        test: { ...limits, name: 'app', setupFiles: ['app/outbox/rules.setup.ts'], include: ['app/**/*.test.ts'] },
      },
      {
        resolve: { alias },
        test: {
          ...limits,
          name: 'server',
          include: ['server/{services,print,workers,guard}/**/*.test.ts', 'scripts/*.test.ts'],
        },
      },
    ],
  },
})
