import { fileURLToPath } from 'node:url'
import type { NitroConfig } from 'nitropack/types'
import { pageFiles, type Manifest } from './server/services/page-files'
import { bundleThread } from './server/workers/bundle'

const core = fileURLToPath(new URL('./core', import.meta.url))
const serverEntry = fileURLToPath(new URL('./server/entry.ts', import.meta.url))

/** Files of each page, known once the browser's part is built. */
let pages: ReturnType<typeof pageFiles> = {}

/** Named, so that its own type is checked: the config's has only a part of it. */
const nitro = {
  virtual: { '#question-thread': bundleThread, '#page-files': () => `export const pages = ${JSON.stringify(pages)}` },
  // The face of printed sheets, as whole TrueType files: only these two of the package are taken along. The screen's own
  // package will not do: its one variable file cannot be embedded, and its static ones part a name's letters over two.
  serverAssets: [
    {
      baseName: 'fonts',
      dir: fileURLToPath(new URL('./node_modules/@expo-google-fonts/atkinson-hyperlegible-next', import.meta.url)),
      pattern: '{400Regular,700Bold}/*.ttf',
    },
  ],
  compressPublicAssets: true,
  errorHandler: '~~/server/error-handler.ts',
} satisfies NitroConfig

/** Plugins of the UI library for what is not used of it: its palette written by script, and its icons fetched by name. */
const UNUSED_PLUGINS = [
  '@nuxt/ui/dist/runtime/plugins/colors',
  '@nuxt/icon/dist/runtime/plugin',
  'nuxt/dist/app/plugins/revive-payload.client',
]

/** No file of the core does anything when it is merely read in, so a station brings along only what it calls. */
const treeshake = { moduleSideEffects: (id: string) => !id.startsWith(`${core}/`) }

export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@pinia/nuxt', '@nuxt/eslint', 'nuxt-security', '@vite-pwa/nuxt'],
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
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  css: ['~/assets/css/main.css'],
  // Colours are the sheet's own (assets/css), by the theme that is picked here.
  ui: { fonts: false, colorMode: false, experimental: { componentDetection: true } },
  alias: { '#core': core },
  compatibilityDate: '2026-01-01',
  nitro: nitro as object,
  // Nothing is rendered on the server, so no payload comes with the page.
  experimental: {
    renderJsonPayloads: false,
    payloadExtraction: false,
    appManifest: false,
    // The next station comes when a finger goes for it, not all seven at once.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  hooks: {
    'build:manifest': (manifest) => {
      pages = pageFiles(manifest as Manifest)
      // What other pages are made of is kept for later by the worker (app/plugins/keep-shell.client.ts).
      for (const file of Object.values(manifest)) file.prefetch = false
    },
    'app:resolve': (app) => {
      app.plugins = app.plugins.filter(({ src }) => !UNUSED_PLUGINS.some((name) => src.includes(name)))
    },
    // While developing, the framework's own entry reloads the server.
    'nitro:config': (config) => {
      const nitroConfig = config as NitroConfig
      if (!nitroConfig.dev) nitroConfig.entry = serverEntry
    },
  },
  vite: { worker: { format: 'es', rollupOptions: { treeshake } }, build: { rollupOptions: { treeshake } } },
  typescript: { strict: true },
  telemetry: { enabled: false },
  security: {
    nonce: true,
    headers: {
      // The default blocks module workers without a word.
      crossOriginEmbedderPolicy: 'unsafe-none',
      // Served over plain HTTP on loopback, or behind a proxy that sets its own.
      strictTransportSecurity: false,
      xFrameOptions: 'DENY',
      referrerPolicy: 'same-origin',
      contentSecurityPolicy: {
        'default-src': ["'self'"],
        'script-src': ["'self'", "'nonce-{{nonce}}'"],
        // Charts write their tooltips with style attributes: docs/security.md.
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'worker-src': ["'self'", 'blob:'],
        'object-src': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
        'script-src-attr': ["'none'"],
        'upgrade-insecure-requests': false,
      },
    },
    // Bodies, origins and methods are checked by our own routes, which say in words what is wrong.
    requestSizeLimiter: false,
    rateLimiter: false,
    xssValidator: false,
    corsHandler: false,
  },
  pwa: {
    // A new version waits for the next page; a page in use is never reloaded under the hand.
    registerType: 'prompt',
    // app/plugins/keep-shell.client.ts
    injectRegister: false,
    client: { registerPlugin: false },
    manifest: {
      name: 'Jolvet',
      short_name: 'Jolvet',
      description: 'What is this pipe, what joins it, how deep does it go.',
      lang: 'en-GB',
      start_url: '/',
      display: 'standalone',
      background_color: '#f3ecdd',
      theme_color: '#f3ecdd',
      icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2,svg}'],
      skipWaiting: true,
      clientsClaim: true,
      cleanupOutdatedCaches: true,
      navigateFallback: null,
      // Every address is the same shell: the newest one the server gave opens any of them without it, or the one kept
      // at the first visit.
      additionalManifestEntries: [{ url: '/?shell', revision: String(Date.now()) }],
      runtimeCaching: [
        {
          // A photo never changes, so one that was seen is there without a server too.
          urlPattern: ({ url }) => /^\/api\/jobs\/[^/]+\/finds\/[^/]+\/photos\//.test(url.pathname),
          handler: 'CacheFirst',
          options: { cacheName: 'photos', expiration: { maxEntries: 200 } },
        },
        {
          urlPattern: ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
          handler: 'NetworkFirst',
          options: {
            cacheName: 'shell',
            networkTimeoutSeconds: 4,
            precacheFallback: { fallbackURL: '/?shell' },
            plugins: [
              {
                cacheKeyWillBeUsed: async () => '/',
                // A job's page names its own station and files; the list's opens any address.
                cacheWillUpdate: async ({ request, response }) =>
                  new URL(request.url).pathname === '/' ? response : null,
              },
            ],
          },
        },
      ],
    },
  },
  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: { scan: true, sizeLimitKb: 128 },
  },
})
