import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { start, stop } from '../../scripts/db.mjs'
import { App } from './pages/app'

// The path of a first visit: a pipe is found, joined, made and handed over, surviving a reload at every step.
let app: App
const base = () => ownBed().baseUrl

beforeAll(async () => {
  app = await App.open(base())
})
afterAll(() => app.close())

interface Register {
  joints: { joint: string; marksMm: string; madeBy: string; status: string }[]
}
const register = async (): Promise<Register> => {
  const reply = await fetch(`${base()}/api/jobs/kiln-lane-bakehouse/register.json`)
  // The server may still be finding its database again.
  return reply.ok ? (reply.json() as Promise<Register>) : register()
}

describe('a first joint, end to end', () => {
  it('opens on the demo jobs with what to do next, and goes into Kiln Lane', async () => {
    await app.go('/')
    await app.waitForText('[data-job="kiln-lane-bakehouse"]', /Make J3[\s\S]*22\.5/)
    await app.waitForText('[data-job="glaze-kiln-room"]', /Rule out gas first/)
    await app.click('[data-shelf="handed"]')
    await app.waitForText('[data-job="net-loft-drying-coil"]', /Handed over 19 Nov/)
    await app.click('[data-shelf="open"]')
    await app.click('[data-job="kiln-lane-bakehouse"]')
    await app.find('[data-station="find"]')
    await app.press('1')
    await app.find('[data-test="new-find"]')
  })

  it('finds 22 copper from a typed diameter and a colour', async () => {
    await app.click('[data-test="new-find"]')
    await app.waitForValue('#diameter', '')
    await app.type('#diameter', '22,0 mm')
    await app.click('[data-by="calliper"]')
    await app.waitForText('[data-candidate="cu-en-x-22"]', /in 100/)
    await app.click('[data-check="colour"]')
    await app.click('[data-answer="colour:copper"]')
    await app.waitForText('[data-candidate]', /22 × 0\.9 copper/)
    expect(await app.text('svg[aria-label="Diameter ruler"]')).toContain('measured 22')
    await app.find('[data-caution="gas"]')
    await app.press('y')
    await app.waitForCount('[data-caution="gas"]', 0)
    await app.saved()
    await app.reload()
    expect(await app.value('#diameter')).toBe('22,0 mm')
    await app.click('[data-keep="cu-en-x-22"]')
    await app.click('[data-test="to-joint"]')
  })

  it('joins it to 15 copper: ways that work with their depths, and why others are refused', async () => {
    await app.waitForText('[data-end="a"]', /22 × 0\.9 copper/)
    await app.click('[data-end="b"]')
    await app.click('[data-series="cu-en-x"]')
    await app.click('[data-pipe="cu-en-x-15"]')
    await app.waitForText('[data-way]', /reducing coupling 22 x 15/)
    await app.click('[data-condition="wet"]')
    await app.waitForText('[data-refused="solder-a"]', /will not take/)
    await app.click('[data-condition="wet"]')
    await app.click('[data-service="hot"]')
    await app.click('[data-condition="combustibles"]')
    await app.saved()
    await app.reload()
    expect(await (await app.find('[data-condition="combustibles"]')).getAttribute('aria-checked')).toBe('true')
    await app.click('[data-way^="solder.en:22~solder.en:15"]')
    await app.waitForText('[data-depth="0"]', /15\.4/)
    await app.waitForText('[data-depth="1"]', /10\.6/)
    await app.waitForText('[data-note="fire"]', /60 minutes/)
    await app.click('[data-depth="0"]')
    await app.waitForText('[role="dialog"]', /EN 1254-1/)
    await app.waitForText(
      '[data-test="source"]',
      /capillary soldering.*[Ee]dition not known here.*two lists made apart/,
    )
    await app.press(Key.ESCAPE)
    await app.waitForCount('[role="dialog"]', 0)
    await app.click('[data-test="take-way"]')
  })

  it('makes it: the mark on the drawing, steps ticked, a cool-down by the clock, initials', async () => {
    await app.waitForText('[data-test="depth-figure"]', /15\.4/)
    await app.find('[data-caution="fire"]')
    for (const entry of [0, 1]) {
      await app.click(`[data-entry="${entry}"]`)
      await app.find('[data-step]')
      const steps = await app.count('[data-step]')
      for (let step = 0; step < steps; step++) {
        const code = await (await app.find('[data-step].now')).getAttribute('data-step')
        if (code === 'wait' && entry === 1) {
          await app.click('[data-test="start-wait"]')
          await app.waitForText('[data-test="clock"]', /^4:5\d$/)
          await app.reload()
          await app.waitForText('[data-test="clock"]', /^4:[45]\d$/)
          await app.click('[data-test="early"]')
        } else if (step % 2 === 0) {
          await app.click('[data-test="tick-current"]')
        } else {
          await app.click(`[data-tick="${step}"]`)
        }
        // After its last step the card of the next end may come up by itself.
        if (step < steps - 1)
          await app.until(
            async () => (await (await app.find(`[data-tick="${step}"]`)).getAttribute('aria-checked')) === 'true',
            `step ${step} is not ticked`,
          )
      }
      await app.find(`[data-entry="${entry}"][data-done="true"]`)
    }
    await app.reload()
    await app.sign('QZ')
    await app.until(async () => (await register()).joints.some((joint) => joint.madeBy === 'QZ'), 'not signed')
  })

  it('stands in the register with depth, method, time and hands, after the database was restarted too', async () => {
    const dir = ownBed().databaseFolder
    const { port } = await start({ dir })
    await stop({ dir })
    await start({ dir, port })
    await app.go('/jobs/kiln-lane-bakehouse/handover')
    const joint = (await register()).joints.find(({ madeBy }) => madeBy === 'QZ')!
    expect(joint).toMatchObject({ marksMm: '15.4, 10.6', status: 'made' })
    await app.waitForText('[data-test="chain"]', /\d+ entries, each chained to the one before: the log is whole/)
    await app.waitForText('[data-test="chain-head"]', /([\da-f]{8} ){7}[\da-f]{8}/)
    const row = `[data-register="${joint.joint.slice(1)}"]`
    await app.waitForText(row, /15\.4\s*,\s*10\.6/)
    await app.waitForText(row, /solder[\s\S]*QZ/)
    const csv = await (
      await fetch((await (await app.find('[data-test="export-csv"]')).getAttribute('href')) ?? '')
    ).text()
    expect(csv).toContain('"15.4, 10.6",no,made,QZ')
    expect(await app.errors()).toEqual([])
  })
})

describe('bad input at the pipe', () => {
  it.each([
    ['abc', /not a length/],
    ['-3', /more than 0/],
    ['0', /more than 0/],
    ['1e9', /not a length/],
    ['0.875', /0\.875 in is 22\.2\d mm/],
    ['200', /200[\s\S]*63\.66 mm across/],
  ])('%s is said in words and kept as typed', async (typed, words) => {
    await app.go('/jobs/glaze-kiln-room/find')
    await app.type('#diameter', typed)
    await app.waitForText('#diameter-note', words)
    expect(await app.value('#diameter')).toBe(typed)
    await app.saved()
    await app.reload()
    expect(await app.value('#diameter')).toBe(typed)
  })

  it('a worn print line is read piece by piece, kept as typed, and settles the wall', async () => {
    await app.go('/jobs/glaze-kiln-room/find')
    await app.type('#diameter', '22')
    await app.click('[data-check="print"]')
    await app.type('[data-test="print"]', 'en 10?7 R2?0 22x0 hello')
    await app.waitForText(
      '[data-test="print-tokens"]',
      /EN 1057: metric copper tube[\s\S]*22 outside, wall not readable/i,
    )
    await app.waitForText('.checks', /Not understood: hello/)
    await app.waitForText('[data-candidate]', /22 × 0\.9 copper[\s\S]*Printed on it/)
    await app.saved()
    await app.reload()
    expect(await app.value('[data-test="print"]')).toBe('en 10?7 R2?0 22x0 hello')
    await app.type('[data-test="print"]', '')
    await app.saved()
  })

  it('an empty field leaves the drawing bare; a right one brings it back', async () => {
    await app.go('/jobs/glaze-kiln-room/find')
    await app.type('#diameter', '21.5')
    await app.waitForText('[data-candidate]', /old copper/)
    await app.saved()
  })

  it('two sizes that seem alike are drawn beside each other, and what differs is said', async () => {
    await app.go('/jobs/glaze-kiln-room/find')
    await app.find('[data-test="compare"]')
    await app.press('x')
    await app.waitForText('[data-test="comparison"]', /apart outside: no mouth takes both/)
    await app.go('/sizes?a=cu-en-x-15&b=cu-l-1_2')
    await app.waitForText('[data-test="comparison"]', /0\.88 mm apart[\s\S]*does not seal/)
    await app.click('[data-family="bs7291"]')
    await app.click('[data-pipe="bs7291-15"]')
    await app.waitForText('[data-test="comparison"]', /The same outside: 15 mm/)
    await app.reload()
    await app.waitForText('[data-test="comparison"]', /The same outside: 15 mm/)
  })

  it('a job that is not there says so and leads back', async () => {
    await app.go('/jobs/nowhere/find')
    await app.waitForText('main', /no job "nowhere"[\s\S]*All jobs/)
    await app.errors()
  })
})
