import { get } from 'node:http'
import { describe, expect, it } from 'vitest'
import { STATION_IDS, STATIONS } from '#core/record'
import { ownBed } from '../bed'

/* What is sent before any script has run. */

const base = () => ownBed().baseUrl
const pageAt = async (path: string) => (await fetch(base() + path)).text()
/** Files named in a page by what they are to it. */
const named = (html: string, rel: string): string[] =>
  [...html.matchAll(/<link ([^>]+)>/g)].flatMap(([, about]) =>
    about!.includes(`rel="${rel}"`) ? (/href="([^"]+)"/.exec(about!)?.[1] ?? []) : [],
  )

describe('a page', () => {
  it.each(STATION_IDS)('of %s has the frame in it, with its station marked, and nothing of the job', async (id) => {
    const html = await pageAt(`/jobs/kiln-lane-bakehouse/${id}`)
    expect(html).toContain('data-first-frame')
    expect(/<li class="here">.*?<b>([^<]+)/.exec(html)?.[1]).toBe(STATIONS[id].name)
    expect(html.toLowerCase()).not.toContain('bakehouse')
  })
  it('of the jobs has the frame without stations', async () => {
    const html = await pageAt('/')
    expect(html).toContain('data-first-frame')
    expect(html).not.toContain('first-stage')
  })
  it.each(STATION_IDS)('of %s names files of its own', async (id) => {
    expect(named(await pageAt(`/jobs/kiln-lane-bakehouse/${id}`), 'modulepreload').length).toBeGreaterThan(3)
  })
  it('names the files that it is made of, each of which is there, and not those of other stations', async () => {
    const [make, line] = await Promise.all(['make', 'line'].map((id) => pageAt(`/jobs/kiln-lane-bakehouse/${id}`)))
    const ofMake = named(make!, 'modulepreload')
    const ofLine = named(line!, 'modulepreload')
    expect(new Set(ofMake).size).toBe(ofMake.length)
    for (const file of [...ofMake, ...named(make!, 'stylesheet')])
      expect((await fetch(base() + file)).status, file).toBe(200)
    expect(ofLine.filter((file) => !ofMake.includes(file)).length).toBeGreaterThan(0)
    expect(ofMake.filter((file) => !ofLine.includes(file)).length).toBeGreaterThan(0)
    expect(named(make!, 'prefetch')).toEqual([])
  })
})

describe('what is sent', () => {
  it.each(['/', '/api/core', '/api/jobs/kiln-lane-bakehouse'])('%s goes compressed', async (path) => {
    for (const encoding of ['br', 'gzip']) {
      const reply = await fetch(base() + path, { headers: { 'Accept-Encoding': encoding } })
      expect(reply.headers.get('content-encoding')).toBe(encoding)
      expect(reply.headers.get('vary')).toMatch(/accept-encoding/i)
      await reply.text()
    }
  })
  it('is left as it is for who takes nothing else', async () => {
    const reply = await fetch(`${base()}/api/core`, { headers: { 'Accept-Encoding': 'identity' } })
    expect(reply.headers.get('content-encoding')).toBeNull()
    expect(await reply.json()).toBeTruthy()
  })
  it('goes out at once where it is told as it happens', async () => {
    const stop = new AbortController()
    const reply = await fetch(`${base()}/api/stream`, { signal: stop.signal })
    expect(reply.headers.get('content-type')).toMatch(/event-stream/)
    expect(reply.headers.get('content-encoding')).toBeNull()
    const { value } = await reply.body!.getReader().read()
    expect(value!.length).toBeGreaterThan(0)
    stop.abort()
  })
  it("says to those who list pages what is nobody's to list", async () => {
    const reply = await fetch(`${base()}/robots.txt`)
    expect(reply.headers.get('content-type')).toMatch(/text\/plain/)
    expect(await reply.text()).toContain('Disallow: /api/')
  })
})

/** What an address answers that is opened as a page, and its type. */
const opened = (path: string): Promise<{ status: number; type: string; text: string }> =>
  new Promise((resolve, reject) => {
    get(base() + path, { headers: { 'Sec-Fetch-Mode': 'navigate', Connection: 'close' } }, (reply) => {
      let text = ''
      reply.setEncoding('utf8')
      reply.on('data', (part: string) => (text += part))
      reply.on('end', () => {
        resolve({ status: reply.statusCode!, type: reply.headers['content-type'] ?? '', text })
      })
    }).on('error', reject)
  })

describe('a sheet that cannot be given', () => {
  it.each(['/api/order.pdf?job=none', '/api/jobs/none/depth-cards.pdf', '/api/jobs/none/lines/none/strips.pdf'])(
    '%s says so in words where it was opened, and as an issue where it was asked for',
    async (path) => {
      const page = await opened(path)
      expect(page.status).toBe(404)
      expect(page.type).toMatch(/^text\/plain/)
      expect(page.text).toMatch(/^There is nothing to show here\.\n\n.{10,}/)
      expect(page.text).not.toMatch(/[{}]/)
      const asked = await fetch(base() + path)
      expect(asked.status).toBe(404)
      expect(((await asked.json()) as { error: { message: string } }).error.message.length).toBeGreaterThan(10)
    },
  )
})
