import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const here = (name: string) => fileURLToPath(new URL(name, import.meta.url))

/** The thread as one text, which `new Worker(text, { eval: true })` runs: the server's bundle has one entry only. */
export async function bundleThread(): Promise<string> {
  const { outputFiles } = await build({
    entryPoints: [here('./questions.ts')],
    tsconfig: here('../../core/tsconfig.json'),
    bundle: true,
    minify: true,
    keepNames: true,
    write: false,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
  })
  return `export default ${JSON.stringify(outputFiles[0]!.text)}`
}
