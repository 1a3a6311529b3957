import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import { cardsOf, type JobRecord, type JointRecord, type MeasuredMinutes } from '#core/record'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { App } from './pages/app'

// What a firm knows of its own work in place of what is assumed: minutes, prices, hot work. Signed joints count over all
// jobs of a country's sizes: no other test signs any in these.
let app: App
let yard: JobRecord
const { act, ask, begin, newJob, read, job: jobOf } = acting()
const END = { pipe: 'cu-en-x-22' }

async function jointBy(method: string): Promise<JointRecord> {
  const { ways } = await ask<WaysAnswer>('ways', { region: 'eu', a: END, b: END })
  const way = ways.find(({ joints }) => joints.length === 2 && joints.every((joint) => joint.method === method))!
  return begin('joint/begin', yard, { a: END, b: END, wayId: way.id })
}
/** A joint with every step ticked so many seconds after the one before it, and signed. */
async function make(method: string, apart: number): Promise<void> {
  const joint = await jointBy(method)
  const steps = cardsOf(await jobOf(yard.slug), joint).flatMap(({ entry, answer }) =>
    answer.ok ? answer.value.steps.map(({ id }) => ({ entry, step: id })) : [],
  )
  let time = Date.now() - steps.length * apart * 1000 - 3_600_000
  for (const place of steps) {
    time += apart * 1000
    await act('joint/tick', yard, joint.id, place, { at: new Date(time).toISOString(), clock: 'server' })
  }
  await act('joint/sign', yard, joint.id, { initials: 'WY', seen: ['wait', 'watch', 'gauge'] })
}
const keep = async (css: string, text: string) => {
  await app.type(css, text)
  await app.press('\uE004')
}

beforeAll(async () => {
  app = await App.open(ownBed().baseUrl)
  yard = await newJob('Own figures', 'eu', 'the van')
  await act('kit/change', yard, yard.id, { tools: null })
})
afterAll(() => app.close())

describe('own minutes', () => {
  it('come from the joints that were signed, by their ticks, once there are three ends', async () => {
    await make('press', 20)
    const measured = async () => (await read<{ minutes: MeasuredMinutes[] }>('/api/minutes?region=eu')).minutes
    // Two ends are too few.
    expect((await measured()).filter(({ method, nominal }) => method === 'press' && nominal === '22')).toEqual([])
    await make('press', 20)
    const [own] = (await measured()).filter(({ method, nominal }) => method === 'press' && nominal === '22')
    // Seven or eight steps of a third of a minute: 2.3 to 2.7.
    expect(own).toMatchObject({ ends: 4, wait: 0 })
    expect(own!.work).toBeGreaterThan(2)
    expect(own!.work).toBeLessThan(3.1)
    await app.go(`/jobs/${yard.slug}/kit`)
    await app.waitForText('[data-test="my-minutes"]', /press 22[\s\S]*4 signed/)
  })

  it('that are typed win, and the working of a way says whose they are', async () => {
    const joint = await jointBy('press')
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.waitForText('[data-test="whose-minutes"]', /yours/)
    await app.go(`/jobs/${yard.slug}/kit`)
    await app.click('[data-test="minutes-method"] option[value="press"]')
    await app.type('[data-test="minutes-size"]', '22')
    await app.type('[data-test="minutes-work"]', 'quick')
    await app.click('[data-test="add-minutes"]')
    await app.waitForText('[data-test="minutes-problem"]', /0 to 10000 is accepted/)
    await app.waitForValue('[data-test="minutes-size"]', '22')
    await app.type('[data-test="minutes-work"]', '9')
    await app.click('[data-test="add-minutes"]')
    await app.waitForText('[data-test="minutes-row"]', /press 22[\s\S]*9[\s\S]*typed/)
    await app.saved()
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    const way = (await jobOf(yard.slug)).joints.find(({ id }) => id === joint.id)!.wayId!
    await app.click(`[data-way="${way}"]`)
    await app.waitForText(`[data-way="${way}"]`, /18/)
  })
})

describe('own prices', () => {
  it('come in from a list, a wrong row changes nothing, and a way then costs what its parts cost', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'jolvet-prices-'))
    const bring = async (text: string) => {
      const file = path.join(folder, 'prices.csv')
      writeFileSync(file, text)
      await (await app.find('[data-test="prices-in"]')).sendKeys(file)
    }
    await app.go(`/jobs/${yard.slug}/kit`)
    await bring('name,size,price\r\npress coupling,22,dear\r\n')
    await app.waitForText('[data-test="prices-said"]', /Row 2[\s\S]*Nothing was changed/)
    await bring('name,size,price\r\npress coupling,22,3.75\r\npress coupling,15,\r\n')
    await app.waitForText('[data-test="prices-said"]', /1 price taken in, 1 row without a price left out/)
    await app.waitForText('[data-test="price-row"]', /press coupling 22[\s\S]*3\.75/)
    await app.saved()
    const joint = (await jobOf(yard.slug)).joints.at(-1)!
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.click(`[data-way="${joint.wayId!}"]`)
    await app.waitForText('[data-test="parts-cost"]', /3\.75/)
    expect(await app.axe()).toEqual([])
  })
})

describe('hot work', () => {
  it('is priced by its own figures, and counts in the ways with a flame alone', async () => {
    const [cold, hot] = [await jointBy('press'), await jointBy('solder')]
    const minutesOf = async ({ id, wayId }: JointRecord) => {
      await app.go(`/jobs/${yard.slug}/joint?joint=${id}`)
      await app.click(`[data-way="${wayId!}"]`)
      return app.text(`[data-way="${wayId!}"]`)
    }
    const before = await minutesOf(cold)
    await app.go(`/jobs/${yard.slug}/kit`)
    await keep('[data-hot="permit:minutes"]', '31')
    await keep('[data-hot="mat:price"]', '2.50')
    await app.waitForText('[data-test="hot-work"]', /Now 31 min and €2\.50/)
    await app.saved()
    expect(await minutesOf(cold)).toBe(before)
    // Two ends of 4.5 and the permit.
    await app.waitForText(`[data-way="${cold.wayId!}"]`, /18/)
    await minutesOf(hot)
    await app.waitForText(`[data-way="${hot.wayId!}"]`, /40/)
    expect(await app.errors()).toEqual([])
  })
})
