import { fileURLToPath } from 'node:url'
import type { NitroConfig } from 'nitropack/types'

const core = fileURLToPath(new URL('./core', import.meta.url))

/** Named, so that its own type is checked: the config's has only a part of it. */
const nitro = {
  compressPublicAssets: true,
  errorHandler: '~~/server/error-handler.ts',
} satisfies NitroConfig

export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@pinia/nuxt', '@nuxt/eslint'],
  // The pages are one shell that reads its job over HTTP: see docs/decisions/client-rendering.md.
  ssr: false,
  // A component's tag is its file's name, whatever folder it lies in.
  components: [{ path: '~/components', pathPrefix: false }],
  devtools: { enabled: false },
  app: {
    head: {
      htmlAttrs: { lang: 'en-GB' },
      title: 'Jolvet',
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'What is this pipe, what joins it, how deep does it go.' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  css: ['~/assets/css/main.css'],
  ui: { fonts: false },
  alias: { '#core': core },
  compatibilityDate: '2026-01-01',
  nitro: nitro as object,
  vite: { worker: { format: 'es' } },
  typescript: {
    strict: true,
    tsConfig: { include: ['../core/**/*.ts'] },
  },
  telemetry: { enabled: false },
  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: { scan: true, sizeLimitKb: 128 },
  },
})
