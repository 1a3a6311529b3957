import { createHash } from 'node:crypto'
import { existsSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs'
import path from 'node:path'
import { start, stop, url } from '../scripts/db.mjs'
import { runMigrations } from '../scripts/migrate.mjs'
import { root, tsx } from '../scripts/setup.mjs'
import { keepRows } from './demo-rows'

const CACHE = path.join(root, 'node_modules/.cache/jolvet-test')
/** What the demo's rows come of. */
const SOURCES = ['core', 'server', 'scripts', 'package-lock.json', 'tests/template.ts', 'tests/demo-rows.ts']

const files = (entry: string): string[] =>
  statSync(entry).isDirectory() ? readdirSync(entry).flatMap((name) => files(path.join(entry, name))) : [entry]

/** Names the state of the sources, and the day: some of the demo's times are counted back from now. */
function digest(): string {
  const hash = createHash('sha256').update(new Date().toISOString().slice(0, 10))
  for (const file of SOURCES.flatMap((entry) => files(path.join(root, entry))))
    if (!file.endsWith('.test.ts')) hash.update(file).update(readFileSync(file))
  return hash.digest('hex').slice(0, 16)
}

/**
 * The folder of a stopped database that holds the demo jobs, made once for a state of the sources. Begun beside and
 * named when it is whole, so that runs beside each other find it whole or not at all.
 */
export async function demoTemplate(): Promise<string> {
  const name = `demo-${digest()}`
  const ready = path.join(CACHE, name)
  if (existsSync(ready)) return ready
  const dir = mkdtempSync(path.join(CACHE, 'making-'))
  try {
    const connection = await start({ dir })
    await runMigrations(url(connection))
    tsx('scripts/demo.ts', ['--if-empty'], { DATABASE_URL: url(connection) })
    await keepRows(url(connection))
    await stop({ dir })
    for (const old of readdirSync(CACHE).filter((entry) => entry.startsWith('demo-')))
      rmSync(path.join(CACHE, old), { recursive: true, force: true })
    renameSync(dir, ready)
  } catch (error) {
    await stop({ dir })
    rmSync(dir, { recursive: true, force: true })
    if (!existsSync(ready)) throw error
  }
  return ready
}
