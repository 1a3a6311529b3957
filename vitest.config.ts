import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = {
  '#core': fileURLToPath(new URL('./core', import.meta.url)),
  '~': fileURLToPath(new URL('./app', import.meta.url)),
}

export default defineConfig({
  test: {
    projects: [
      { resolve: { alias }, test: { name: 'core', environment: 'node', include: ['core/**/*.test.ts'] } },
      { resolve: { alias }, test: { name: 'app', environment: 'node', include: ['app/**/*.test.ts'] } },
      // Verbs against each other: JOLVET_LONG=1 asks for the whole series.
      { resolve: { alias }, test: { name: 'agree', environment: 'node', include: ['tests/agree/**/*.test.ts'] } },
      {
        resolve: { alias },
        test: { name: 'server', environment: 'node', include: ['server/{services,print}/**/*.test.ts'] },
      },
    ],
  },
})
