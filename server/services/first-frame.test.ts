import { describe, expect, it } from 'vitest'
import { STATION_IDS, STATIONS } from '#core/record'
import { afterInk, hintsOf, pageOf, stageOf, wordOf } from './first-frame'
import { pageFiles } from './page-files'

describe('the page behind an address', () => {
  it.each([
    ['/', 'index'],
    ['/sizes', 'sizes'],
    ['/jobs/kiln-lane', 'jobs/[job]/index'],
    ['/jobs/kiln-lane/make', 'jobs/[job]/make'],
    ['/jobs/kiln-lane/make/', 'jobs/[job]/make'],
    ['/jobs/', ''],
    ['/jobs/kiln-lane/make/more', ''],
    ['/sizes/more', ''],
  ])('%s is %s', (address, page) => {
    expect(pageOf(address)).toBe(page)
  })
})

describe('the stage line that is sent', () => {
  it('names every station with its digit, in the order of the work', () => {
    const line = stageOf('/jobs/kiln-lane/joint')
    const names = [...line.matchAll(/<span class="note">(\d)<\/span> <b>([^<]+)<\/b>/g)].map(([, key, name]) => [
      key,
      name,
    ])
    expect(names).toEqual(STATION_IDS.map((id) => [String(STATIONS[id].key), STATIONS[id].name]))
  })
  it.each(STATION_IDS)('marks %s, and it alone, where it is opened', (id) => {
    const here = [...stageOf(`/jobs/a-job/${id}`).matchAll(/<li class="here">.*?<b>([^<]+)</g)].map(([, name]) => name)
    expect(here).toEqual([STATIONS[id].name])
  })
  it('marks none on the kit, and is left out beside the jobs', () => {
    expect(stageOf('/jobs/a-job/kit')).not.toContain('here')
    expect(stageOf('/')).toBe('')
    expect(stageOf('/sizes')).toBe('')
  })
  it('takes nothing from the address into the page', () => {
    expect(stageOf('/jobs/<script>/"><b>')).not.toMatch(/script|"><b>/)
  })
})

describe('the words where the page comes', () => {
  it.each(STATION_IDS)('say what %s is for, in letters large enough to be seen first', (id) => {
    expect(wordOf(`/jobs/a-job/${id}`)).toMatch(/^[A-Z].{70,120}\.$/)
  })
  it('say what the list of jobs is for; other pages open', () => {
    expect(wordOf('/')).toMatch(/^Your jobs/)
    for (const other of ['/sizes', '/jobs/a-job', '/jobs/a-job/kit', '/jobs/a/<b>'])
      expect(wordOf(other)).toBe('Opening.')
  })
})

describe('the app', () => {
  const head = '<script nonce="n" type="module" src="/_nuxt/a.js" crossorigin></script><link href="/x.css">'
  const plain = head.replace(' nonce="n"', '')
  it('begins once the frame is drawn, from the same file', () => {
    const late = afterInk(plain)
    expect(late).toContain('import("/_nuxt/a.js")')
    expect(late).not.toContain('src=')
    expect(late).toContain('<link href="/x.css">')
  })
  it('is left as it is where the framework names it otherwise', () => {
    expect(afterInk('<script src="/other.js"></script>')).toBe('<script src="/other.js"></script>')
  })
})

describe('hints', () => {
  const manifest = {
    'entry.ts': { file: 'entry.js', isEntry: true, imports: ['vue.ts'] },
    'vue.ts': { file: 'vue.js' },
    'shared.ts': { file: 'shared.js', css: ['shared.css'], imports: ['vue.ts'] },
    'app/outbox/core-rules.ts': { file: 'rules.js', imports: ['shared.ts'] },
    'app/pages/index.vue': { file: 'index.js', css: ['index.css'], imports: ['shared.ts', 'entry.ts'] },
    'app/pages/jobs/[job]/make.vue': { file: 'make.js', css: ['make.css'] },
    'app/components/Sheet.vue': { file: 'sheet.js' },
  }
  it('come in the order in which one builds on the other', () => {
    for (const { scripts } of Object.values(pageFiles(manifest)))
      for (const [i, file] of scripts.entries()) {
        const [, { imports = [] } = {}] = Object.entries(manifest).find(([, one]) => one.file === file) as [
          string,
          { imports?: string[] },
        ]
        const later = scripts.slice(i + 1)
        const needed = imports.map((name) => manifest[name as keyof typeof manifest].file)
        expect(later.filter((one) => needed.includes(one))).toEqual([])
      }
  })
  it('are of what a page imports, without what every page names; a page of a job has the rules too', () => {
    const pages = pageFiles(manifest)
    expect(pages).toEqual({
      index: { scripts: ['shared.js', 'index.js'], styles: ['shared.css', 'index.css'] },
      'jobs/[job]/make': { scripts: ['shared.js', 'rules.js', 'make.js'], styles: ['shared.css', 'make.css'] },
    })
  })
  it('name nothing twice', () => {
    const head = '<link rel="stylesheet" href="/_nuxt/index.css">'
    const hints = hintsOf(pageFiles(manifest).index!, (file) => head.includes(file))
    expect(hints.match(/href="[^"]+"/g)).toEqual(
      ['shared.css', 'shared.js', 'index.js'].map((file) => `href="/_nuxt/${file}"`),
    )
  })
})
