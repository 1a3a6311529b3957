import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Running } from '../faults/running'
import { ownBed } from '../bed'
import { certificateIn, NAME } from '../certificate'
import { App } from './pages/app'

// Jolvet as a crew's tablet reaches it, by a name on a network; and what a browser asks for meanwhile.
describe('a tablet on the network', () => {
  let run: Running
  let tablet: App
  beforeAll(async () => {
    run = await Running.on()
  })
  afterAll(async () => {
    await tablet.close()
    await run.remove()
  })
  const open = { HOST: '0.0.0.0', JOLVET_HOSTS: NAME }
  const make = '/jobs/kiln-lane-bakehouse/make'

  it('over plain HTTP says on each page what does not work', async () => {
    await run.begin(open, '--plain')
    tablet = await App.open(`http://${NAME}:${run.port}`, { names: [NAME] })
    for (const at of ['/', make, '/sizes']) {
      await tablet.go(at)
      await tablet.waitForText('[data-test="plain-http"]', /Plain HTTP: no reload in a cellar/)
    }
    expect(await tablet.axe()).toEqual([])
    expect(await tablet.driver.executeScript('return "serviceWorker" in navigator')).toBe(false)
    await tablet.close()
  })

  it('over TLS, by a certificate of the firm, goes on without the server, over a reload', async () => {
    expect(run.script('certificate', [NAME]).text).toMatch(/A certificate for jolvet\.test, until .*fingerprint/s)
    const { certificate, authority, trusted } = certificateIn(run.folder)
    expect(certificate.checkHost(NAME)).toBe(NAME)
    expect(certificate.verify(authority.publicKey)).toBe(true)
    expect([authority.ca, certificate.ca]).toEqual([true, false])

    await run.begin(open)
    expect(run.output).toMatch(/Jolvet is at https:\/\/jolvet\.test:\d+/)
    tablet = await App.open(`https://${NAME}:${run.port}`, { names: [NAME], trusted })
    await tablet.go(make)
    expect(await tablet.count('[data-test="plain-http"]')).toBe(0)
    await tablet.shellKept()
    await tablet.find('[data-test="depth-figure"]')
    await run.end()
    await tablet.type('[data-test="measured-depth"]', '21,5')
    await tablet.waitForText('[data-saved="kept"]', /1 kept on this tablet/)
    await tablet.reload()
    await tablet.waitForText('[data-test="depth-figure"]', /21\.5/)
    await tablet.go('/')
    await tablet.find('[data-job="kiln-lane-bakehouse"]')
    await run.begin(open)
    await tablet.saved()
    const depths = await tablet.driver.executeScript<string>(
      'return fetch("/api/jobs/kiln-lane-bakehouse").then((reply) => reply.json()).then(({ joints }) => JSON.stringify(joints.map(({ depths }) => depths)))',
    )
    expect(depths).toContain('21,5')
  })
})

describe('the running product', () => {
  let app: App
  beforeAll(async () => {
    app = await App.open(ownBed().baseUrl, { isWatched: true })
  })
  afterAll(() => app.close())

  /** The hosts asked for since the last look. */
  async function hostsAsked(): Promise<string[]> {
    const log = await app.driver.manage().logs().get('performance')
    const urls = log.flatMap(({ message }) => {
      const { method, params } = (JSON.parse(message) as { message: { method: string; params: never } }).message
      return method === 'Network.requestWillBeSent' ? [(params as { request: { url: string } }).request.url] : []
    })
    return [...new Set(urls.filter((url) => /^(https?|wss?):/.test(url)).map((url) => new URL(url).hostname))]
  }

  it('reaches nothing but its own machine', async () => {
    const job = '/jobs/kiln-lane-bakehouse'
    for (const at of [
      '/',
      '/sizes',
      '/gauge',
      ...['find', 'line', 'joint', 'cut', 'fix', 'make', 'handover', 'kit', 'look'].map((page) => `${job}/${page}`),
    ])
      await app.go(at)
    expect(await hostsAsked()).toEqual(['127.0.0.1'])
    // The watch sees what is asked of others, and the browser gets none of it.
    await app.driver.get('http://elsewhere.example/').catch(() => undefined)
    expect(await hostsAsked()).toContain('elsewhere.example')
  })
})
