import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By, Key } from 'selenium-webdriver'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { FindRecord, JobRecord } from '#core/record'
import { App } from './pages/app'

// A find kept whole: what is seen, photographed, noted, settled by a key, corrected later; and the gauges made for it.
let app: App
let folder: string
const base = () => ownBed().baseUrl
const slug = 'smoke-house'
const find = async (): Promise<FindRecord> =>
  ((await (await fetch(`${base()}/api/jobs/${slug}`)).json()) as JobRecord).finds[0]!

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'jolvet-photos-'))
  await acting().newJob('Smoke house', 'gb', 'by the quay')
  app = await App.open(base())
})
afterAll(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})

/** Chooses a file as a hand would in the browser's own dialog. */
async function choose(name: string, bytes: Buffer) {
  const file = path.join(folder, name)
  writeFileSync(file, bytes)
  await (await app.find('[data-test="photo-file"]')).sendKeys(file)
}

describe('a find with all that belongs to it', () => {
  it('is settled by keys: each says what it would make of the pipe', async () => {
    await app.go(`/jobs/${slug}/find`)
    await app.click('[data-test="first-find"]')
    await app.type('#diameter', '21.5')
    await app.waitForText('[data-settle="copper"]', /3\/4 in old copper (over )?\d\d/)
    await app.click('[data-settle="copper"]')
    await app.waitForText('[data-candidate="cu-bs-imp-3_4"]', /9\d/)
  })

  it('says in words which checks contradict each other, and opens the one to make again', async () => {
    await app.click('[data-check="magnet"]')
    await app.click('[data-answer="magnet:true"]')
    await app.waitForText(
      '[data-test="contradiction"]',
      /Hardly any pipe has both[\s\S]*magnet that holds[\s\S]*shows copper[\s\S]*Make the scratch check again first/,
    )
    await app.click('[data-test="contradiction"] button')
    await app.find('[data-check="scratch"][aria-expanded="true"]')
    await app.click('[data-check="magnet"]')
    await app.click('[data-answer="magnet:false"]')
    await app.waitForCount('[data-test="contradiction"]', 0)
  })

  it('proposes no check that cannot be made here, until it can', async () => {
    await app.click('[data-check="flex"]')
    await app.click('[data-bar="flex"]')
    await app.waitForText('[data-check="flex"]', /cannot be checked here/)
    await app.saved()
    expect((await find()).cannot).toEqual(['flex'])
    await app.click('[data-bar="flex"]')
    await app.waitForText('[data-check="flex"]', /tells (?:most|some|little|nothing)/)
  })

  it('refuses a file that is no photo with the reason, keeps one that is, over a reload', async () => {
    const picture = sharp({ create: { width: 400, height: 300, channels: 3, background: '#a5553f' } })
    await choose('stub.jpg', await picture.png().toBuffer())
    await app.waitForText('[data-test="photo-problem"]', /called \.jpg but holds a PNG/)
    await choose('letter.txt', Buffer.from('dear sir'))
    await app.waitForText('[data-test="photo-problem"]', /no picture/)
    await choose('broken.webp', Buffer.concat([Buffer.from('RIFF0000WEBP'), Buffer.alloc(40)]))
    await app.waitForText('[data-test="photo-problem"]', /damaged/)
    await choose('stub.png', await picture.png().toBuffer())
    await app.waitForCount('[data-photo]', 1)
    expect(await app.count('[data-test="photo-problem"]')).toBe(0)
    await app.type('[data-test="notes"]', 'Painted twice, old solder.')
    await app.saved()
    await app.reload()
    await app.waitForValue('[data-test="notes"]', 'Painted twice, old solder.')
    const shown = await app.find('[data-photo] img')
    await app.until(
      () => app.driver.executeScript('return arguments[0].naturalWidth === 400', shown),
      'the photo does not show',
    )
    expect((await find()).photos).toMatchObject([{ name: 'stub.jpg', width: 400, height: 300 }])
  })

  it('can be photographed without a network, and is sent once there is one', async () => {
    await app.setOffline(true)
    await choose(
      'away.jpg',
      await sharp({ create: { width: 80, height: 60, channels: 3, background: '#345' } })
        .jpeg()
        .toBuffer(),
    )
    await app.waitForCount('[data-photo]', 2)
    await app.find('[data-saved="kept"]')
    await app.setOffline(false)
    await app.saved()
    // What could not go out meanwhile is no error of ours.
    await app.errors()
    expect((await find()).photos.map(({ name }) => name)).toEqual(['stub.jpg', 'away.jpg'])
    await app.click('[data-photo]:nth-of-type(2)')
    await app.click('[data-test="drop-photo"]')
    await app.click('[data-test="drop-photo-sure"]')
    await app.waitForCount('[data-photo]', 1)
    await app.saved()
    expect((await find()).photos).toHaveLength(1)
  })

  it('is corrected later: what rested on it is flagged till it is looked at', async () => {
    await app.click('[data-keep="cu-bs-imp-3_4"]')
    await app.click('[data-test="to-joint"]')
    await app.waitForText('[data-end="a"]', /3\/4 in old copper/)
    await app.click('[data-end="b"]')
    await app.click('[data-series="cu-en-x"]')
    await app.click('[data-pipe="cu-en-x-22"]')
    await app.saved()
    await app.go(`/jobs/${slug}/find`)
    await app.waitForText('[data-test="resting"]', /J1\s*rests on this find/)
    await app.type('#diameter', '22')
    await app.click('[data-keep="cu-en-x-22"]')
    await app.waitForText('[data-test="verdicts"]', /3\/4 in old copper[\s\S]*22 × 0\.9 copper/)
    await app.waitForText('[data-test="resting"]', /J1\s*was chosen for another pipe/)
    await app.saved()
    await app.go('/')
    await app.waitForText(`[data-job="${slug}"]`, /Look at J1 again/)
    await app.go(`/jobs/${slug}/joint`)
    await app.waitForText('[data-shifted="a"]', /Chosen for 3\/4 in old copper[\s\S]*kept as 22 × 0\.9 copper since/)
    await app.click('[data-test="follow"]')
    await app.waitForText('[data-end="a"]', /22 × 0\.9 copper/)
    await app.waitForCount('[data-shifted]', 0)
    await app.saved()
  })
})

describe('the screen as a gauge', () => {
  it('is set by a bank card once, draws the disc at true size, and gives its figure to the find', async () => {
    await app.go(`/jobs/${slug}/find`)
    await app.click('[data-by="gauge"]')
    await app.click('[data-test="screen-gauge"]')
    await app.find('[data-test="card-fits"]')
    for (let i = 0; i < 10; i++) await app.press(Key.ARROW_UP)
    for (let i = 0; i < 5; i++) await app.press(Key.ARROW_RIGHT)
    // 96 px an inch begin it: 323.5 px, rounded, and 105 more, are 5.01 px a mm over 85.60.
    const card = Math.round((96 / 25.4) * 85.6) + 105
    await app.press(Key.ENTER)
    const disc = await app.find('[data-test="disc"]')
    expect(Number(await disc.getAttribute('data-diameter-px'))).toBeCloseTo((22 * card) / 85.6, 1)
    await app.press(Key.ARROW_LEFT)
    await app.press('k')
    await app.waitForText('[data-test="gauge-figure"]', /21\.49/)
    await app.click('[data-step-by="1"]')
    await app.waitForText('[data-test="gauge-figure"]', /21\.6/)
    await app.click('[data-test="take-gauge"]')
    await app.waitForValue('#diameter', '21.6 mm')
    expect(await (await app.find('[data-by="gauge"]')).getAttribute('aria-pressed')).toBe('true')
    await app.saved()
    expect(await find()).toMatchObject({ typed: '21.6 mm', by: 'gauge' })
    // Kept on this device: the next time it is a disc at once.
    await app.click('[data-test="screen-gauge"]')
    await app.find('[data-test="disc"]')
    await app.click('[data-test="gauge-back"]')
  })

  it('has a strip to print beside it, read as a diameter', async () => {
    await app.click('[data-by="strip"]')
    const address = (await (await app.find('[data-test="print-strip"]')).getAttribute('href')) ?? ''
    expect(await (await fetch(address)).text()).toMatch(/^%PDF-/)
    await app.type('#diameter', '22')
    await app.waitForText('svg[aria-label="The pipe end"]', /wrap strip ± 0\.2/)
    expect(await app.errors()).toEqual([])
  })
})

describe('the catalogue', () => {
  it('is looked up by family, by a name and by what a pipe measures', async () => {
    await app.go('/sizes?a=cu-en-x-22&b=cu-bs-imp-3_4')
    await app.click('[data-family="pe"]')
    await app.find('[data-pipe="pe-en-25"]')
    await app.type('[data-test="wanted-size"]', '21,4')
    await app.until(
      async () =>
        (await app.count('[data-pipe="cu-bs-imp-3_4"]')) === 1 &&
        (await app.count('[data-pipe="st-en-1_2"]')) === 1 &&
        (await app.count('[data-pipe="pe-en-25"]')) === 0,
      'not what is near 21.4',
    )
    await app.type('[data-test="wanted-size"]', '999')
    await app.waitForText('[data-test="no-size"]', /No pipe here is called or measures 999/)
    await app.type('[data-test="wanted-size"]', '22')
    await app.click('[data-pipe="bs7291-22"]')
    await app.waitForText(
      '[data-test="facts"]',
      /look out[\s\S]*A liner in every end[\s\S]*used for[\s\S]*takes[\s\S]*12\s*bar/,
    )
    expect(await app.driver.findElements(By.css('[data-test="facts"] i'))).not.toHaveLength(0)
  })
})
