import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobList } from '#core/acts'
import type { WaysAnswer } from '#core/joints'
import type { JobRecord } from '#core/record'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { openProxy, type Proxy } from '../proxy'
import { App } from './pages/app'

// The list of jobs, jobs themselves, and what is taken back, on a tablet whose network can be cut.
let network: Proxy
let app: App
let yard: JobRecord
const { ask, begin, newJob, job: jobOf, read } = acting()
const row = (slug: string) => `[data-job="${slug}"]`

beforeAll(async () => {
  network = await openProxy(ownBed().baseUrl)
  app = await App.open(network.url)
  yard = await newJob('Cooper yard', 'gb', 'steam chest')
})
afterAll(async () => {
  await app.close()
  await network.close()
})

describe('the list of jobs', () => {
  it('shows what another hand does as it is done, without being asked again', async () => {
    await app.go('/')
    await app.waitForText(row(yard.slug), /Measure the first pipe/)
    await begin('find/begin', yard, { place: 'by the door', typed: '21.5' }, undefined, { by: 'Ola' })
    await app.waitForText(row(yard.slug), /21\.5[\s\S]*Settle what this pipe is[\s\S]*Ola/)
    const other = await newJob('Ropery shed')
    await app.waitForText(row(other.slug), /Ropery shed/)
  })
  it('is searched on every shelf, by keys alone', async () => {
    await app.press('f')
    await app.type('[data-test="search"]', 'steam chest')
    await app.waitForCount('[data-job="kiln-lane-bakehouse"]', 0)
    await app.waitForText(row(yard.slug), /open/)
    await app.type('[data-test="search"]', '%')
    await app.waitForText('[data-test="empty"]', /No job with "%" on any shelf/)
    expect(await app.axe()).toEqual([])
    await app.type('[data-test="search"]', '')
    await app.find('[data-job="kiln-lane-bakehouse"]')
  })
  it('puts a job to the archive, and takes that back', async () => {
    await app.go('/')
    await app.type('[data-test="search"]', 'cooper')
    await app.waitForCount('[data-job="kiln-lane-bakehouse"]', 0)
    await app.click('[data-test="archive"]')
    await app.waitForText(row(yard.slug), /archive/)
    await app.saved()
    expect((await jobOf(yard.slug)).archivedAt).not.toBeNull()
    await app.click('[data-test="take-back"]')
    await app.waitForText(row(yard.slug), /open/)
    await app.saved()
    expect((await jobOf(yard.slug)).archivedAt).toBeNull()
  })
  it('draws no more rows than are in sight, and goes on to the next page', async () => {
    for (let i = 0; i < 60; i++) await newJob(`Mill race ${i}`)
    await app.go('/')
    await app.waitForText('[data-shelf="open"]', /6\d/)
    const drawn = 'return document.querySelectorAll("[data-job]").length'
    expect(await app.driver.executeScript<number>(drawn)).toBeLessThan(40)
    for (const _ of [1, 2, 3, 4]) await app.driver.executeScript('window.scrollTo(0, document.body.scrollHeight)')
    await app.until(async () => {
      await app.driver.executeScript('window.scrollTo(0, document.body.scrollHeight)')
      return app.driver.executeScript<boolean>(
        'return document.querySelector("[data-job=\\"glaze-kiln-room\\"]") !== null',
      )
    }, 'the last page never came')
    expect(await app.driver.executeScript<number>(drawn)).toBeLessThan(40)
  })
})

describe('a job itself', () => {
  it('is renamed, waits, and is copied without what was made on it', async () => {
    await app.go(`/jobs/${yard.slug}/find`)
    await app.click('[data-test="open-job"]')
    await app.type('[data-test="job-name"]', 'Cooper yard, north')
    await app.type('[data-test="waits-for"]', 'the plasterer')
    await app.press('\uE004')
    await app.find('[data-test="waits-until"]')
    await app.saved()
    expect(await jobOf(yard.slug)).toMatchObject({
      name: 'Cooper yard, north',
      waits: { for: 'the plasterer', until: null },
    })
    await app.click('[data-test="copy-job"]')
    await app.waitForText('[data-test="open-job"]', /Cooper yard, north copy/)
    await app.saved()
    const { jobs } = await read<JobList>('/api/jobs?q=north+copy')
    expect(await jobOf(jobs[0]!.slug)).toMatchObject({ place: 'steam chest', finds: [], waits: null })
  })
  it('is deleted with its name typed, its file offered first; a page that has it open is told', async () => {
    const other = await App.open(ownBed().baseUrl)
    const gone = await newJob('Slag heap')
    await other.go(`/jobs/${gone.slug}/find`)
    await app.go(`/jobs/${gone.slug}/find`)
    await app.click('[data-test="open-job"]')
    await app.click('[data-test="delete-job"]')
    await app.find('[data-test="job-file"]')
    await app.type('[data-test="delete-name"]', 'Slag heap')
    await app.click('[data-test="delete-now"]')
    await app.find('[data-test="search"]')
    await other.waitForText('main', /"Slag heap" was deleted/)
    await other.close()
  })
})

describe('what was done last', () => {
  it('is taken back in words at every station, also without a network', async () => {
    const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
    const { ways } = await ask<WaysAnswer>('ways', { region: 'gb', ...ends })
    const joint = await begin('joint/begin', yard, { place: 'riser', ...ends, wayId: ways[0]!.id })
    const saved = async () => (await jobOf(yard.slug)).joints.find(({ id }) => id === joint.id)!
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await app.click('[data-tick="0"]')
    await app.waitForText('[data-test="take-back"]', /take back: J1: step "cut" done/)
    await app.saved()
    await app.reload()
    network.isDown = true
    await app.find('[data-test="take-back"]')
    await app.press('u')
    await app.waitForCount('[data-tick="0"][aria-pressed="true"]', 0)
    network.isDown = false
    await app.saved()
    expect((await saved()).ticks).toEqual([])
  })
})

describe('a pipe measured without a job', () => {
  it('is kept on this tablet, over a reload, and goes to a job with what was found', async () => {
    await app.go('/')
    await app.press('n')
    await app.click('[data-test="measure-first"]')
    await app.type('#diameter', '28')
    await app.waitForText('[data-test="loose-band"]', /In no job yet/)
    await app.reload()
    await app.find('#diameter')
    expect(await app.driver.executeScript('return document.querySelector("#diameter").value')).toBe('28')
    expect((await read<JobList>('/api/jobs?q=not+in+a+job+yet')).jobs).toEqual([])
    await app.click('[data-test="keep-loose"]')
    await app.type('[data-test="loose-name"]', 'Tide mill')
    await app.click('[role="dialog"] button[type="submit"]')
    await app.waitForText('[data-test="open-job"]', /Tide mill/)
    await app.saved()
    expect(await jobOf('tide-mill')).toMatchObject({ name: 'Tide mill', finds: [{ typed: '28' }] })
  })
  it('goes to a job that there is', async () => {
    await app.go('/')
    await app.press('n')
    await app.click('[data-test="measure-first"]')
    await app.type('#diameter', '15')
    await app.click('[data-test="keep-loose"]')
    await app.click('[data-keep-to="tide-mill"]')
    await app.waitForText('[data-test="open-job"]', /Tide mill/)
    await app.saved()
    expect((await jobOf('tide-mill')).finds.map(({ typed }) => typed)).toEqual(['28', '15'])
  })
})
