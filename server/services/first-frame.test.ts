import { describe, expect, it } from 'vitest'
import { STATION_IDS, STATIONS } from '#core/record'
import { hintsOf, pageOf, stageOf } from './first-frame'
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
  it('are of what a page imports, without what every page names; a page of a job has the rules too', () => {
    const pages = pageFiles(manifest)
    expect(pages).toEqual({
      index: { scripts: ['index.js', 'shared.js'], styles: ['index.css', 'shared.css'] },
      'jobs/[job]/make': { scripts: ['make.js', 'rules.js', 'shared.js'], styles: ['make.css', 'shared.css'] },
    })
  })
  it('name nothing twice', () => {
    const head = '<link rel="stylesheet" href="/_nuxt/index.css">'
    const hints = hintsOf(pageFiles(manifest).index!, (file) => head.includes(file))
    expect(hints.match(/href="[^"]+"/g)).toEqual(
      ['shared.css', 'index.js', 'shared.js'].map((file) => `href="/_nuxt/${file}"`),
    )
  })
})
