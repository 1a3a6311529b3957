import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, it } from 'vitest'

const CORE = import.meta.dirname
const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
)
/** What a file imports of core, types too. */
const importsOf = (file: string): string[] =>
  [...readFileSync(path.join(CORE, file), 'utf8').matchAll(/from '(\.|#core\/)([^']*)'/g)].map(([, begin, rest]) => {
    const place = begin === '.' ? path.join(path.dirname(file), `.${rest}`) : rest!
    return existsSync(path.join(CORE, `${place}.ts`)) ? `${place}.ts` : path.join(place, 'index.ts')
  })

/** A way from a file back to itself, or null. */
function circleFrom(start: string, graph: ReadonlyMap<string, readonly string[]>): string[] | null {
  const seen = new Set<string>()
  const visit = (file: string, way: string[]): string[] | null => {
    for (const next of graph.get(file) ?? []) {
      if (next === start) return [...way, next]
      if (seen.has(next)) continue
      seen.add(next)
      const found = visit(next, [...way, next])
      if (found) return found
    }
    return null
  }
  return visit(start, [start])
}

it('has no circle of imports, types among them', () => {
  const graph = new Map(files.map((file) => [file, importsOf(file)]))
  expect([...graph.values()].flat().length).toBeGreaterThan(700)
  expect(files.flatMap((file) => circleFrom(file, graph) ?? [])).toEqual([])
})
