import { readdirSync } from 'node:fs'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { planAsTablet } from '../cuts'
import { readPdf } from '../pdf'
import type { Way } from '#core/joints'
import type { JobRecord } from '#core/record'
import { hasMarks, TERMS } from '#core/speech'
import { App } from './pages/app'

// Every page, print and file of a US job is in US units and words, and those of a British job in its own.
let app: App
const base = () => ownBed().baseUrl
const { job: jobAt, begin, act, ask } = acting()

/** Pages from the route table: each file of a job's stations, and those outside a job. */
const stations = readdirSync('app/pages/jobs/[job]')
  .map((file) => path.basename(file, '.vue'))
  .filter((name) => name !== 'index')
const outside = readdirSync('app/pages')
  .filter((file) => file.endsWith('.vue'))
  .map((file) => path.basename(file, '.vue'))
/** Files that a job gives out, from the server's routes. */
const files = readdirSync('server/api/jobs/[job]').flatMap(
  (file) => /^(.*\.(?:pdf|csv|ics))\.get\.ts$/.exec(file)?.[1] ?? [],
)

const ESCAPE = '\uE00C'
const METRIC =
  /\d\u202f?\s?mm\b|\bmm\b|\d\s?m?bar\b|\(m?bar\)|\bmbar\b|\u00b0\s?C|\bdegC\b|\d\s?(?:m|l|cm|km|K)\b(?![/\u00b0])|\bl\/s\b|\bm\/s\b|\blit(?:re|er)s?\b|\bmet(?:re|er)s? (?:from|of)\b/
const AMERICAN = /\bpsi\b|\u00b0\s?F|\bdegF\b|\bgpm\b|\d\s?(?:ft|gal)\b|\bft\/s\b/
const BRITISH = new RegExp(
  `\\b(?:${Object.values(TERMS)
    .filter(({ gb, us }) => gb !== us && !['tap', 'taps', 'earth', 'an earth', 'van', 'spoilt'].includes(gb))
    .map(({ gb }) => gb)
    .join('|')})\\b`,
  'i',
)
/** A metric figure that stands beside its inches, a pipe by its metric name, and the standard's own size of a card. */
const BESIDE = [/\bin\b[^\n]*?\d\s?mm\b/g, /\b\d+(?:\.\d)? \u00d7 \d+(?:\.\d+)?\b/g]

const withoutBeside = (line: string): string => BESIDE.reduce((text, pattern) => text.replace(pattern, ''), line)
const wrongIn = (region: 'us' | 'gb', lines: readonly string[]): string[] =>
  lines.filter((line) => {
    if (hasMarks(line)) return true
    return region === 'us' ? METRIC.test(withoutBeside(line)) || BRITISH.test(line) : AMERICAN.test(line)
  })

/** All that a page says: what is seen, what is drawn, and what is read out. */
const READ = `
  const lines = document.body.innerText.replace(/\\bin\\n(?=[\\d.]+ mm)/g, 'in ').split('\\n')
  for (const text of document.querySelectorAll('svg text, svg desc, svg title')) lines.push(text.textContent.replace(/\\s+/g, ' '))
  for (const name of ['aria-label', 'placeholder', 'title', 'alt'])
    for (const element of document.querySelectorAll('[' + name + ']')) lines.push(element.getAttribute(name))
  for (const field of document.querySelectorAll('option')) lines.push(field.textContent)
  return [...new Set(lines.map((line) => line.trim()).filter(Boolean))]
`
/** Titles and headings that begin or end with a comma or a semicolon. */
const LOOSE = `
  return [...document.querySelectorAll('h1, h2, h3, .zone-heading, p, [role=dialog] header *')]
    .map((element) => element.innerText.trim())
    .filter((text) => /^[,;]|[,;]$/.test(text))
`
const read = () => app.driver.executeScript<string[]>(READ)
const loose = () => app.driver.executeScript<string[]>(LOOSE)

/** Each figure that shows its working, opened and read, the first few of a page. */
async function workings(): Promise<string[]> {
  const said: string[] = []
  const count = Math.min(4, await app.count('main button.figure-button'))
  for (let i = 0; i < count; i++) {
    const isOpened = await app.driver.executeScript<boolean>(
      'const button = document.querySelectorAll("main button.figure-button")[arguments[0]]; button?.click(); return !!button',
      i,
    )
    if (!isOpened || (await app.count('[role=dialog]')) === 0) continue
    said.push(...(await read()))
    await app.press(ESCAPE)
    await app.until(async () => (await app.count('[role=dialog]')) === 0, 'the working never closed')
  }
  return said
}

async function walk(region: 'us' | 'gb', addresses: readonly string[]): Promise<Record<string, string[]>> {
  const found: Record<string, string[]> = {}
  for (const address of addresses) {
    await app.go(address)
    const wrong = [
      ...wrongIn(region, [...(await read()), ...(await workings())]),
      ...(await loose()).map((text) => `loose: ${text}`),
    ]
    if (wrong.length > 0) found[address] = [...new Set(wrong)]
  }
  return found
}

/** Every page of a job, each record of it in turn. */
const pagesOf = ({ slug, finds, lines, cuts, joints }: JobRecord): string[] => {
  const of: Record<string, string[]> = {
    find: finds.map(({ id }) => `?find=${id}`),
    line: lines.map(({ id }) => `?line=${id}`),
    fix: lines.map(({ id }) => `?line=${id}`),
    cut: cuts.map(({ id }) => `?cut=${id}`),
    joint: joints.map(({ id }) => `?joint=${id}`),
    make: joints.map(({ id }) => `?joint=${id}`),
  }
  return stations.flatMap((station) => (of[station] ?? ['']).map((query) => `/jobs/${slug}/${station}${query}`))
}

/** What a line or a cut sheet is given out as, by what its address says of itself. */
async function exportsAt(at: string): Promise<string[]> {
  const { error } = (await (await fetch(`${base()}${at}/nothing`)).json()) as { error: { message: string } }
  return [...error.message.matchAll(/[\w-]+\.(?:pdf|csv|svg)/g)].map(([name]) => `${at}/${name}`)
}
async function textOf(address: string): Promise<string[]> {
  const reply = await fetch(base() + address)
  expect([address, reply.status]).toEqual([address, 200])
  if (!address.includes('.pdf')) {
    const text = await reply.text()
    return address.endsWith('.svg')
      ? [...text.matchAll(/<text[^>]*>([^<]*)</g)].map(([, words]) => words!)
      : text.split(/\r?\n/)
  }
  const pages = await readPdf(new Uint8Array(await reply.arrayBuffer()))
  return pages.flatMap(({ words }) => words.map(({ text }) => text))
}
async function printed(region: 'us' | 'gb', job: JobRecord): Promise<Record<string, string[]>> {
  const at = `/api/jobs/${job.slug}`
  const addresses = [
    ...files.map((file) => `${at}/${file}`),
    `/api/print/wrap-strip.pdf?region=${region}`,
    ...(await Promise.all(job.lines.map(({ id }) => exportsAt(`${at}/lines/${id}`)))).flat(),
    ...(await Promise.all(job.cuts.map(({ id }) => exportsAt(`${at}/cuts/${id}`)))).flat(),
  ]
  expect(addresses.length).toBeGreaterThan(8)
  const found: Record<string, string[]> = {}
  for (const address of addresses) {
    const wrong = wrongIn(region, await textOf(address))
    if (wrong.length > 0) found[address] = wrong
  }
  return found
}

beforeAll(async () => {
  app = await App.open(base())
})
afterAll(() => app.close())

describe('a US job', () => {
  const slug = 'boat-shed-wash-down'
  let job: JobRecord
  beforeAll(async () => {
    job = await jobAt(slug)
    // What its demo has not: a cut sheet with a wrong cut's stock, and a soldered joint.
    const cut = await begin('cut/begin', job, {
      name: 'bench',
      pipe: 'pex-cts-3_4',
      sources: [{ job: job.id, line: job.lines[0]!.id }],
      extras: [{ id: 'x', name: 'spare', length: '24', quantity: 2 }],
      cutter: 'shears',
      kerf: '',
      keep: '',
      spare: '',
      prefer: 'longest-left',
      stock: [{ id: 'stick', length: '20 ft', quantity: null, price: 12.5 }],
      leave: [],
    })
    await act('cut/plan', job, cut.id, planAsTablet(await jobAt(slug), cut.id))
    const joint = await begin('joint/begin', job, {
      a: { pipe: 'cu-l-3_4' },
      b: { pipe: 'cu-l-1_2' },
      conditions: { service: 'hot', combustibles: true },
    })
    const ways = await ask<{ ways: Way[] }>('ways', {
      region: 'us',
      a: joint.a,
      b: joint.b,
      conditions: joint.conditions,
    })
    await act('joint/change', job, joint.id, {
      wayId: ways.ways.find(({ joints }) => joints[0]!.method === 'solder')!.id,
    })
    job = await jobAt(slug)
  })
  it('has no metric figure without its inches on any page', async () => {
    expect(await walk('us', pagesOf(job))).toEqual({})
  })
  it('nor in any print or file, read back by another library', async () => {
    expect(await printed('us', job)).toEqual({})
  })
  it('nor in what opens over a page: the line at the top, the heat along a tube, the tasks of a line', async () => {
    await app.go(`/jobs/${slug}/line?line=${job.lines[0]!.id}`)
    const said: string[] = []
    for (const line of [
      '3/4 copper to 1/2 pex',
      'od .875 copper',
      '3/4 copper 3 gpm 30 ft',
      'clips 3/4 copper',
      'bend radius 3/4 copper',
      '22',
      'nonsense',
    ]) {
      await app.press('/')
      await app.type('[data-test="ask"]', line)
      await app.until(
        async () => (await app.count('[data-test="ask-answer"], [data-test="ask-issue"]')) > 0,
        'no answer',
      )
      said.push(...(await read()).filter((text) => text !== line))
      await app.press(ESCAPE)
    }
    await app.click('[data-panel="guides"]')
    const guides = await app.driver.executeScript<number>(
      'return document.querySelectorAll("[data-test=guide] option").length',
    )
    expect(guides).toBeGreaterThan(5)
    for (let i = 0; i < guides; i++) {
      await app.click(`[data-test="guide"] option:nth-of-type(${i + 1})`)
      said.push(...(await read()))
    }
    const soldered = job.joints.find(({ way }) => way?.joints[0]!.method === 'solder')!
    await app.go(`/jobs/${slug}/make?joint=${soldered.id}`)
    await app.find('[data-test="open-heat"]')
    await app.press('h')
    await app.type('[data-test="heat-distance"]', '4')
    await app.find('[data-test="heat-verdict"]')
    said.push(...(await read()))
    expect([...new Set(wrongIn('us', said))]).toEqual([])
  })
  it('nor outside a job on a tablet that is used there', async () => {
    await app.driver.executeScript('localStorage.setItem("jolvet-region", "us")')
    expect(await walk('us', ['/sizes', '/gauge'])).toEqual({})
    await app.driver.executeScript('localStorage.removeItem("jolvet-region")')
  })
})

describe('a British job', () => {
  it('has no American unit on any page, nor in any print or file', async () => {
    await app.driver.executeScript('localStorage.setItem("jolvet-region", "gb")')
    const job = await jobAt('kiln-lane-bakehouse')
    expect(
      await walk('gb', [...pagesOf(job), ...outside.map((name) => (name === 'index' ? '/' : `/${name}`))]),
    ).toEqual({})
    expect(await printed('gb', job)).toEqual({})
  })
})
