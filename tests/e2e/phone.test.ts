import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { App } from './pages/app'

// The same work one-handed at 390 x 844, in inches, on a job begun there.
let app: App
beforeAll(async () => {
  app = await App.open(ownBed().baseUrl, { width: 390, height: 844 })
})
afterAll(() => app.close())

describe('a new job on the phone, in inches', () => {
  it('begins with its name; a nameless one is not begun', async () => {
    await app.go('/')
    await app.click('[data-test="new-job-thumb"]')
    await app.click('[role="dialog"] button[type="submit"]')
    await app.waitForText('#new-job-problem', /needs a name/)
    await app.type('[role="dialog"] input', 'Rope walk')
    await app.click('[role="dialog"] .choice:last-of-type')
    await app.click('[role="dialog"] button[type="submit"]')
    await app.click('[data-test="first-find"]')
  })

  it('reads a fraction as a calliper would show it, with the mm beside', async () => {
    await app.type('#diameter', '5/8')
    await app.waitForText('svg[aria-label="The pipe end"]', /0\.625[\s\S]*15\.88 mm/)
    await app.click('[data-check="colour"]')
    await app.click('[data-answer="colour:red"]')
    await app.waitForText('[data-candidate="pex-cts-1_2"]', /1\/2 in PEX/)
    await app.click('[data-keep="pex-cts-1_2"]')
    await app.click('[data-test="to-joint"]')
  })

  it('joins it to copper by a ring, depths as the tape reads them', async () => {
    await app.waitForText('[data-end="a"]', /1\/2 in PEX/)
    await app.click('[data-end="b"]')
    await app.click('[data-series="cu-l"]')
    await app.click('[data-pipe="cu-l-1_2"]')
    await app.click('[data-way^="crimp.cts:1_2~press"], [data-way^="press.cts:1_2~crimp"]')
    await app.waitForText('[data-way][aria-pressed="true"]', /5\s*\/?\s*8[\s\S]*9\/16 to\s+11\/16 in/)
    await app.click('[data-test="take-way"]')
  })

  it("makes it with a measure of one's own, which wins", async () => {
    // The pressed end comes first; the ring is on the plastic one.
    await app.click('[data-entry="0"]')
    await app.find('[data-step="ring"]')
    await app.waitForText('.side', /0\.715/)
    await app.type('[data-test="measured-depth"]', 'soon')
    await app.waitForText('#depth-problem', /not a length/)
    await app.type('[data-test="measured-depth"]', '11/16')
    await app.waitForText('[data-test="depth-figure"]', /11\s*\/?\s*16/)
    await app.saved()
    await app.reload()
    await app.click('[data-entry="0"]')
    expect(await app.value('[data-test="measured-depth"]')).toBe('11/16')
    await app.waitForText('.about', /17\.5 mm\) deep[\s\S]*your own measure/)
    expect(await (await app.find('[data-test="open-sign"]')).isEnabled()).toBe(false)
    expect(await app.errors()).toEqual([])
  })
})

describe('no way is right', () => {
  it('says so, with what would have to change', async () => {
    await app.setSize(1280, 800)
    await app.go('/jobs/rope-walk/joint')
    await app.click('[data-test="new-joint"]')
    for (const [end, series, pipe] of [
      ['a', 'pe-en', 'pe-en-25'],
      ['b', 'cu-en-x', 'cu-en-x-22'],
    ]) {
      await app.click(`[data-end="${end}"]`)
      await app.click(`[data-series="${series}"]`)
      await app.click(`[data-pipe="${pipe}"]`)
    }
    await app.find('[data-way]')
    await app.click('[data-service="heating"]')
    await app.waitForText('[data-test="no-way"]', /Other pipe is wanted here[\s\S]*not made for that heat/)
    await app.waitForText('[data-refused="pe-compression-a"]', /not made for that heat/)
    await app.click('[data-test="all-refused"]')
    await app.waitForText('[data-refused="crimp-b"]', /PEX/)
    await app.click('[data-service="cold"]')
    await app.find('[data-way]')
    await app.saved()
  })
})
