/** Made by the build (nuxt.config.ts). */
declare module '#page-files' {
  import type { PageFiles } from './services/page-files'

  export const pages: Readonly<Record<string, PageFiles | undefined>>
}
