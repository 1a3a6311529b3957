import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { JobList } from '#core/acts'
import type { WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { makeCertificate, NAME } from '../certificate'
import { openProxy, type Proxy } from '../proxy'
import { App } from './pages/app'

// A tablet on a network that can be cut, over TLS by a name as a crew's tablets have it, and a phone that always has it, at work on one job.
let network: Proxy
let tablet: App
let phone: App
let slug: string
let yard: JobRecord
const { act, ask, begin, newJob, job: jobOf, read } = acting()
const base = () => ownBed().baseUrl

const saved = () => jobOf(slug)
const savedJoint = async (id: string) => (await saved()).joints.find((joint) => joint.id === id)!

async function takenJoint(place: string): Promise<JointRecord> {
  const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
  const { ways } = await ask<WaysAnswer>('ways', { region: 'gb', ...ends })
  const wayId = ways.find(({ parts }) => parts[0]!.name === 'press coupling')!.id
  return begin('joint/begin', yard, {
    place,
    ...ends,
    findA: null,
    conditions: {},
    orientation: 'horizontal',
    wayId,
    depths: {},
  })
}

beforeAll(async () => {
  const secure = makeCertificate()
  network = await openProxy(base(), secure)
  tablet = await App.open(network.url, { names: [NAME], trusted: secure.trusted })
  phone = await App.open(base(), { width: 390, height: 844 })
  yard = await newJob('Two hands', 'gb', 'hall')
  slug = yard.slug
})
// One that fails leaves the others their network.
afterEach(() => {
  network.isDown = false
})
afterAll(async () => {
  await tablet.close()
  await phone.close()
  await network.close()
})

describe('without a server', () => {
  it('everything goes on: found, typed, ticked and signed, over a reload and a closed page', async () => {
    const joint = await takenJoint('cut line')
    await tablet.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await tablet.shellKept()
    await tablet.find('[data-test="depth-figure"]')
    network.isDown = true
    await tablet.type('[data-test="measured-depth"]', '22,5')
    await tablet.click('[data-tick="0"]')
    await tablet.click('[data-tick="1"]')
    await tablet.waitForText('[data-saved="kept"]', /\d kept on this tablet, last copy \d\d:\d\d/)
    await tablet.reload()
    await tablet.waitForText('[data-test="depth-figure"]', /22\.5/)
    await tablet.go('/')
    await tablet.click(`[data-job="${slug}"]`)
    await tablet.go(`/jobs/${slug}/make?joint=${joint.id}`)
    for (const entry of [0, 1]) {
      await tablet.click(`[data-entry="${entry}"]`)
      await tablet.find('[data-step]')
      for (let step = entry === 0 ? 2 : 0; step < (await tablet.count('[data-step]')); step++) {
        await tablet.click(`[data-tick="${step}"]`)
        await tablet.find(`[data-tick="${step}"][aria-checked="true"], [data-entry="${entry}"][data-done="true"]`)
      }
      await tablet.find(`[data-entry="${entry}"][data-done="true"]`)
    }
    await tablet.sign('WY')
    await tablet.waitForText('[data-saved="kept"]', /kept on this tablet/)
    expect((await savedJoint(joint.id)).signoffs).toEqual([])

    // The page is closed and another opened before the server is back.
    await tablet.driver.get('about:blank')
    network.isDown = false
    await tablet.go(`/jobs/${slug}/handover`)
    await tablet.saved()
    const done = await savedJoint(joint.id)
    expect(done).toMatchObject({
      depths: { 0: '22,5' },
      signoffs: [{ initials: 'WY', marks: [{ mm: 22.5, measured: true }, {}] }],
    })
    expect(done.signoffs).toHaveLength(1)
  })

  it('a job, a find and a joint are begun and come to the server once, when it is back', async () => {
    await tablet.go('/')
    await tablet.shellKept()
    network.isDown = true
    await tablet.click('[data-test="new-job"]')
    await tablet.type('[role="dialog"] input', 'Far barn')
    await tablet.click('[role="dialog"] [data-region="gb"]')
    await tablet.click('[role="dialog"] button[type="submit"]')
    await tablet.click('[data-test="first-find"]')
    await tablet.type('#diameter', '22')
    await tablet.click('[data-keep="cu-en-x-22"]')
    await tablet.click('[data-test="to-joint"]')
    await tablet.waitForText('[data-end="a"]', /22 × 0\.9 copper/)
    network.isDown = false
    await tablet.saved()
    const { jobs } = await read<JobList>('/api/jobs?q=Far+barn')
    expect(jobs).toHaveLength(1)
    expect(await jobOf(jobs[0]!.slug)).toMatchObject({
      slug: 'far-barn',
      finds: [{ typed: '22', pipe: 'cu-en-x-22' }],
      joints: [{ number: 1, a: { pipe: 'cu-en-x-22' } }],
    })
  })
})

describe('two hands on one joint', () => {
  it('on different fields: both are kept and nobody is asked', async () => {
    const joint = await takenJoint('two fields')
    await tablet.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await phone.go(`/jobs/${slug}/joint?joint=${joint.id}`)
    await tablet.find('[data-test="measured-depth"]')
    network.isDown = true
    await tablet.type('[data-test="measured-depth"]', '22,5')
    await phone.type('.place input', 'behind the boiler')
    await phone.saved()
    network.isDown = false
    await tablet.saved()
    expect(await savedJoint(joint.id)).toMatchObject({ place: 'behind the boiler', depths: { 0: '22,5' } })
  })

  it('on one depth: both stand side by side with what decides; the one picked is saved and both are in the log', async () => {
    const joint = await takenJoint('one depth')
    const at = `/jobs/${slug}/make?joint=${joint.id}`
    for (const [one, name] of [
      [tablet, 'Wyn'],
      [phone, 'Ola'],
    ] as const) {
      await one.go(at)
      await one.click('[data-saved]')
      await one.type('[data-test="hand"]', name)
      await one.press('\uE00C')
    }
    network.isDown = true
    await tablet.type('[data-test="measured-depth"]', '22')
    await phone.type('[data-test="measured-depth"]', '20')
    await phone.saved()
    network.isDown = false
    await tablet.waitForText('[data-side="mine"]', /Wyn, on this tablet[\s\S]*22 mm/)
    await tablet.waitForText('[data-side="theirs"]', /Ola[\s\S]*20 mm/)
    await tablet.waitForText(
      '[data-test="clash"]',
      /To the stop it is 22\.5 mm by the table: 22 mm is 0\.5 mm short, 20 mm is 2\.5 mm short/,
    )
    expect((await savedJoint(joint.id)).depths).toEqual({ 0: '20' })
    // Put off, it stays held and in sight; the rest of the job goes on.
    await tablet.click('[data-test="clash-later"]')
    await tablet.click('[data-test="open-clash"]')
    expect(await tablet.axe()).toEqual([])
    await tablet.press('1')
    await tablet.saved()
    expect((await savedJoint(joint.id)).depths).toEqual({ 0: '22' })
    expect((await saved()).clashes.at(-1)).toMatchObject({
      record: joint.id,
      kept: 'mine',
      fields: [{ path: 'depths.0', mine: { by: 'Wyn', value: '22' }, theirs: { by: 'Ola', value: '20' } }],
    })
    await tablet.go(`/jobs/${slug}/handover`)
    await tablet.waitForText('[data-test="clash-log"]', /22 mm[\s\S]*Wyn[\s\S]*20 mm[\s\S]*Ola/)
    await tablet.errors()
  })
})

describe('two pages of one browser', () => {
  it('show what the other did before it is sent, and never meet each other', async () => {
    const joint = await takenJoint('two pages')
    await tablet.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await tablet.find('[data-test="depth-figure"]')
    const { driver } = tablet
    const first = await driver.getWindowHandle()
    await driver.switchTo().newWindow('tab')
    const second = await driver.getWindowHandle()
    await tablet.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await tablet.find('[data-test="depth-figure"]')
    network.isDown = true
    await tablet.type('[data-test="measured-depth"]', '21,5')
    await tablet.waitForText('[data-saved="kept"]', /1 kept on this tablet/)
    await driver.switchTo().window(first)
    await tablet.waitForText('[data-test="depth-figure"]', /21\.5/)
    await tablet.waitForText('[data-saved="kept"]', /1 kept on this tablet/)
    await tablet.type('[data-test="measured-depth"]', '22,5')
    await tablet.waitForText('[data-saved="kept"]', /2 kept on this tablet/)
    network.isDown = false
    await tablet.saved()
    expect(await savedJoint(joint.id)).toMatchObject({ depths: { 0: '22,5' } })
    await driver.switchTo().window(second)
    await tablet.waitForText('[data-test="depth-figure"]', /22\.5/)
    await tablet.saved()
    await driver.close()
    await driver.switchTo().window(first)
    await tablet.errors()
  })
})

describe('a line that another hand has just changed', () => {
  it('is not taken out unseen: what is there now is shown, and it may still be done', async () => {
    const line = await begin('line/begin', yard, { pipe: 'cu-en-x-22', method: 'solder', legs: ['e 640'] })
    await tablet.go(`/jobs/${slug}/line?line=${line.id}`)
    await tablet.waitForText('main', /e 640/)
    network.isDown = true
    await tablet.click('[data-panel="line"]')
    await tablet.click('[data-test="drop-line"]')
    await tablet.click('[data-test="drop-line-yes"]')
    await tablet.waitForText('[data-saved="kept"]', /kept/)
    await act('line/change', yard, line.id, { legs: ['e 640', 'u 900'] }, { by: 'Ola, phone' })
    network.isDown = false
    await tablet.click('[data-saved="refused"]')
    await tablet.waitForText('[data-entry-state="refused"]', /line taken out[\s\S]*Someone else changed this line/)
    expect((await saved()).lines.map(({ id }) => id)).toContain(line.id)
    await tablet.waitForText('[data-test="retry"]', /Do it all the same/)
    await tablet.click('[data-test="retry"]')
    await tablet.saved()
    expect((await saved()).lines.map(({ id }) => id)).not.toContain(line.id)
    await tablet.errors()
  })
})

describe('a browser that keeps nothing', () => {
  it('says so, works on, and asks before the page is left', async () => {
    const { driver } = tablet
    const send = (command: string, about: object) =>
      (
        driver as typeof driver & { sendAndGetDevToolsCommand: (command: string, about: object) => Promise<unknown> }
      ).sendAndGetDevToolsCommand(command, about)
    // A storage that never answers.
    const { identifier } = (await send('Page.addScriptToEvaluateOnNewDocument', {
      source: 'indexedDB.open = () => new EventTarget()',
    })) as { identifier: string }
    await tablet.go(`/jobs/${slug}/find`)
    await tablet.find('[data-test="first-find"], [data-test="new-find"]')
    network.isDown = true
    await tablet.click('[data-test="first-find"], [data-test="new-find"]')
    await tablet.waitForText('[data-saved="kept"]', /1 not sent: keep this page open/)
    const asks = () =>
      driver.executeScript<boolean>(
        'const e = new Event("beforeunload", { cancelable: true }); window.dispatchEvent(e); return e.defaultPrevented',
      )
    expect(await asks()).toBe(true)
    network.isDown = false
    await tablet.saved()
    expect(await asks()).toBe(false)
    await send('Page.removeScriptToEvaluateOnNewDocument', { identifier })
    await tablet.go(`/jobs/${slug}/find`)
    await tablet.errors()
  })
})

describe('what the server refuses', () => {
  it('comes back with its reason and what was typed, and can be let go', async () => {
    const joint = await takenJoint('refused')
    await tablet.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await tablet.waitForText('.about', /refused/)
    network.isDown = true
    await tablet.click('[data-tick="0"]')
    await tablet.waitForText('[data-saved="kept"]', /kept/)
    // Meanwhile another way is taken, so that step is no step of it.
    const { ways } = await ask<WaysAnswer>('ways', {
      region: 'gb',
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'cu-en-x-22' },
    })
    await act('joint/change', yard, joint.id, {
      wayId: ways.find(({ parts }) => parts[0]!.name === 'compression coupling')!.id,
    })
    network.isDown = false
    await tablet.click('[data-saved="refused"]')
    await tablet.waitForText('[data-entry-state="refused"]', /step "cut" done[\s\S]*Another way was taken/)
    expect(await tablet.axe()).toEqual([])
    await tablet.click('[data-test="let-go"]')
    await tablet.saved()
    expect((await savedJoint(joint.id)).ticks).toEqual([])
    await tablet.errors()
  })
})
