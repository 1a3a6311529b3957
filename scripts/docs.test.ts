import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { glossaryPage } from './glossary-page'

const pages = [
  'README.md',
  'CONTRIBUTING.md',
  'CHANGELOG.md',
  ...readdirSync('docs', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.md'))
    .map((file) => path.join('docs', file)),
]
const textOf = (page: string) => readFileSync(page, 'utf8')
/** Links of a page to files of the project, without the place in them. */
const linksOf = (page: string): string[] =>
  [...textOf(page).matchAll(/\]\(([^)#\s]+)(?:#[^)]*)?\)/g)].map(([, to]) => to!).filter((to) => !/^[a-z]+:/.test(to))

describe('the pages', () => {
  it('are found', () => expect(pages.length).toBeGreaterThan(10))
  it.each(pages)('%s: every link leads to a file that is there', (page) => {
    expect(linksOf(page).filter((to) => !existsSync(path.join(path.dirname(page), to)))).toEqual([])
  })
  it('name no file of the code that is gone', () => {
    const named = pages.flatMap((page) =>
      [...textOf(page).matchAll(/`((?:core|app|server|tests|scripts)\/[\w./-]+\.(?:ts|mjs|vue))`/g)].map(
        ([, file]) => file!,
      ),
    )
    expect(named.length).toBeGreaterThan(20)
    expect(named.filter((file) => !existsSync(file))).toEqual([])
  })
  it('hold the words of each region as the tables have them', () => {
    const glossary = textOf('docs/glossary.md')
    expect(glossary).toBe(glossaryPage(glossary))
  })
  it('name every table of the catalogue, and say which edition is known of it', () => {
    const sources = textOf('docs/sources.md')
    const tables = readdirSync('core/catalogue/tables').filter((file) => file !== 'index.ts')
    expect(tables.length).toBeGreaterThan(40)
    expect(tables.filter((file) => !sources.includes(`tables/${file}`))).toEqual([])
    expect(sources).toMatch(/edition/i)
  })
  it('show every picture that is kept, and keep fewer than twenty', () => {
    const pictures = readdirSync('docs/screenshots')
    expect(pictures.length).toBeGreaterThan(10)
    expect(pictures.length).toBeLessThan(20)
    expect(pictures.filter((file) => !textOf('README.md').includes(file))).toEqual([])
  })
})
