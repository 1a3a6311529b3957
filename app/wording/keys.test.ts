import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { KEY_WORDS, keyLabel } from './keys'

const APP = path.resolve(import.meta.dirname, '..')
const sources = readdirSync(APP, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.vue'))
  .map((file) => readFileSync(path.join(APP, file), 'utf8'))

/** Keys that are bound by name in the components, read from their source so that none can be forgotten here. */
function boundKeys(): Set<string> {
  const keys = new Set<string>()
  for (const text of sources)
    for (const [, block] of text.matchAll(/useKeys\(\s*\{([\s\S]*?)\}\s*(?:,\s*\{ first: true[\s\S]*?\},?\s*)?\)\n/g))
      for (const [, quoted, bare] of block!
        .split(/\},\s*\{\s*words:/)[0]!
        .matchAll(/(?:^|[\n,{]) *(?:'((?:\\.|[^'])+)'|([A-Za-z]+))(?=: )/g))
        keys.add((quoted ?? bare)!.replace('\\\\', '\\'))
  return keys
}

describe('the keys sheet', () => {
  it('has words for every key that is bound, and none for one that is not', () => {
    const bound = boundKeys()
    expect(bound.size).toBeGreaterThan(25)
    expect([...bound].sort()).toEqual(Object.keys(KEY_WORDS).sort())
  })
  it('writes keys as they stand on a keyboard', () => {
    expect([' ', 'Escape', 'j', '\\', 'ArrowLeft', 'U'].map(keyLabel)).toEqual(['Space', 'Esc', 'J', '\\', '←', '⇧U'])
  })
})
