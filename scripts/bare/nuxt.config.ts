import { fileURLToPath } from 'node:url'

/** The bare page that Jolvet's pages are measured against: the same stack, one button of the UI library, no store. */
export default defineNuxtConfig({
  modules: ['@nuxt/ui'],
  ssr: false,
  css: [fileURLToPath(new URL('./main.css', import.meta.url))],
  ui: { fonts: false },
  buildDir: '../../node_modules/.cache/jolvet-bare/.nuxt',
  nitro: {
    compressPublicAssets: true,
    output: { dir: fileURLToPath(new URL('../../node_modules/.cache/jolvet-bare/.output', import.meta.url)) },
  },
  icon: { provider: 'none', fallbackToApi: false },
  compatibilityDate: '2026-01-01',
  telemetry: { enabled: false },
  app: {
    head: { htmlAttrs: { lang: 'en-GB' }, title: 'Bare', meta: [{ name: 'description', content: 'A bare page.' }] },
  },
})
