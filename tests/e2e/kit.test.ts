import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { JobRecord } from '#core/record'
import { App } from './pages/app'

// The van and its schools, the line at the top, a joint that is there already: all of them change or tell what can be
// joined.
let app: App
const base = () => ownBed().baseUrl
const slug = 'drying-shed'
const job = async (): Promise<JobRecord> => (await (await fetch(`${base()}/api/jobs/${slug}`)).json()) as JobRecord
beforeAll(async () => {
  await acting().newJob('Drying shed', 'eu', 'coil')
  app = await App.open(base())
})
afterAll(() => app.close())

describe('the line at the top', () => {
  const type = async (text: string) => {
    await app.press('/')
    await app.type('[data-test="ask"]', text)
  }
  it('reads shorthand, echoes each word, and starts the joint', async () => {
    await app.go(`/jobs/${slug}/find`)
    await type('22 cu to 22 cu hot')
    await app.waitForText('[data-test="ask-words"]', /22 × 0\.9 copper[\s\S]*service: hot/)
    await app.waitForText('[data-test="ask-answer"]', /Press coupling 22/)
    await app.press(Key.ENTER)
    await app.waitForText('[data-end="a"]', /22 × 0\.9 copper/)
    expect(
      (await (await app.find('[data-service="hot"]')).getAttribute('aria-pressed')) ??
        (await (await app.find('[data-service="hot"]')).getAttribute('aria-checked')),
    ).toBe('true')
    await app.saved()
    expect((await job()).joints).toMatchObject([
      { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, conditions: { service: 'hot' } },
    ])
  })
  it('says what it understood and what it accepts; a word can be changed', async () => {
    await type('22 cu to 15 banana')
    await app.waitForText('[data-test="ask-issue"]', /"22 cu to 15" is understood[\s\S]*not "banana"/)
    await app.type('[data-test="ask"]', '22 cu to 15 cu')
    await app.click('[data-test="ask-words"] .other')
    await app.waitForText('[data-test="ask-words"]', /22 × 1 copper/)
    await app.type('[data-test="ask"]', '22 ')
    await app.press(Key.TAB)
    await app.waitForValue('[data-test="ask"]', '22 copper ')
    await app.press(Key.ESCAPE)
  })
  it('turns a diameter into a find', async () => {
    await type('od 21,5 copper')
    await app.waitForText('[data-test="ask-answer"]', /3\/4 in old copper/)
    await app.press(Key.ENTER)
    await app.waitForValue('#diameter', '21.5 mm')
    await app.saved()
  })
})

describe('the van', () => {
  it('limits the ways to its tools and sizes; its measured depth wins; its school is named', async () => {
    await app.go(`/jobs/${slug}/kit`)
    await app.click('[data-test="name-tools"]')
    await app.click('[data-tool="press"] [role="switch"]')
    await app.click('[data-tool="press"] [data-size="15"]')
    await app.type('[data-test="fitting-size"]', '22')
    await app.type('[data-test="fitting-depth"]', 'deep')
    await app.click('[data-test="add-fitting"]')
    await app.waitForText('[data-test="fitting-problem"]', /Depth: "deep" is not a length/)
    await app.type('[data-test="fitting-depth"]', '21,5')
    await app.click('[data-test="add-fitting"]')
    await app.waitForText('[data-test="fitting"]', /coupling 22[\s\S]*21\.5 mm/)
    await app.click('[data-policy="threadSeal"] [data-choice="tape"]')
    await app.saved()
    expect(await job()).toMatchObject({
      tools: [{ method: 'press', sizes: ['15'] }],
      fittings: [{ insertion: 21.5 }],
      policy: { threadSeal: 'tape' },
    })
    await app.go(`/jobs/${slug}/joint`)
    await app.waitForText('[data-refused="press-a"]', /press tool on the van has no 22/)
    await app.press('v')
    await app.click('[data-tool="press"] [data-size="22"]')
    await app.go(`/jobs/${slug}/joint`)
    await app.click('[data-way^="press.en:22~press.en:22"]')
    await app.waitForText('[data-depth="0"]', /21\.5/)
    await app.waitForText('section[aria-label="Working"]', /measured/)
  })
  it('says when a check is over its date', async () => {
    await app.go('/jobs/boat-shed-wash-down/kit')
    await app.waitForText('[data-test="kit-state"]', /1 check over date/)
    await app.waitForText('[data-tool="crimp"]', /Over its date/)
    await app.go('/jobs/boat-shed-wash-down/make')
    await app.waitForText('[data-caution="tool-check"]', /check of this crimp tool ended/)
  })
})

describe('a joint on the table', () => {
  it('gives the next best way when a part is not on the shelf', async () => {
    await app.go(`/jobs/${slug}/joint`)
    await app.find('[data-way]')
    const first = () => app.driver.executeScript<string>('return document.querySelector("[data-way]").dataset.way')
    const best = await first()
    await app.click(`[data-way="${best}"]`)
    await app.click('[data-test="out-of-stock"]')
    await app.waitForText('[data-test="lacks"]', /Not in stock: .* 22/)
    expect(await first()).not.toBe(best)
    await app.click('[data-test="out-of-stock"]')
    expect(await first()).toBe(best)
  })
  it('charts its ways, gives out the order, and takes a thread and the details of an end', async () => {
    await app.go(`/jobs/${slug}/joint`)
    await app.click('[data-test="chart"]')
    await app.find('[data-test="ways-chart"] svg')
    const csv = decodeURIComponent((await (await app.find('[data-test="order-csv"]')).getAttribute('href')) ?? '')
    expect(csv).toContain('quantity,name,size\r\n1,')
    await app.click('[data-facts="a"] [data-fact="temper"]')
    await app.click('[data-detail="temper:soft"]')
    await app.waitForText('[data-refused="push-fit-a"]', /Soft copper/)
    await app.click('[data-end="b"]')
    await app.click('[data-thread="bspt"]')
    await app.click('[data-gender="male"]')
    await app.click('[data-thread-size="3/4"]')
    await app.waitForText('[data-end="b"]', /3\/4 BSPT male/)
    await app.waitForText('[data-way]', /female BSP adaptor 22 x 3\/4/)
    await app.saved()
    expect(await app.errors()).toEqual([])
  })
  it('that is there already is looked at: what is seen, what it says, what to do', async () => {
    await app.click('[data-test="look"]')
    await app.click('[data-method="crimp"]')
    await app.click('[data-seen="gauge:fails"]')
    await app.waitForText('[data-test="inspect"]', /It is wrong[\s\S]*Never squeeze one ring twice/)
    await app.type('[data-look="ringDistance"] input', 'far')
    await app.waitForText('[data-look="ringDistance"]', /not a length/)
    await app.type('[data-look="ringDistance"] input', '4,8')
    await app.waitForText('[data-finding="ringDistance"]', /4\.8 mm from the end, in the band/)
    // Kept, it stands on the job with what it came to, and another one can be looked at.
    await app.type('[data-test="look-place"]', 'under the vat')
    await app.click('[data-test="keep-look"]')
    await app.waitForText('[data-kept="1"]', /under the vat[\s\S]*(squeeze|gauge)/i)
    expect(await app.count('[data-finding]')).toBe(0)
    await app.saved()
    expect((await job()).looks).toMatchObject([{ verdict: 'wrong', look: { place: 'under the vat', method: 'crimp' } }])
    expect(await app.axe()).toEqual([])
    expect(await app.errors()).toEqual([])
  })
})
