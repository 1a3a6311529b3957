import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { End, WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { App } from './pages/app'

// What could hurt: pipe that may be gas, a way changed half way, a joint signed before it is cold.
let app: App
let slug: string
let yard: JobRecord
const { act, ask, begin, newJob, job: jobOf } = acting()
const COPPER = { pipe: 'cu-en-x-22' }

async function addJoint(method: string, body: object = {}, region = 'gb', end: End = COPPER): Promise<JointRecord> {
  const { ways } = await ask<WaysAnswer>('ways', { region, a: end, b: end })
  const wayId = ways.find(({ joints }) => joints.every((joint) => joint.method === method))!.id
  return begin('joint/begin', yard, {
    place: method,
    a: end,
    b: end,
    findA: null,
    conditions: {},
    orientation: 'horizontal',
    wayId,
    depths: {},
    ...body,
  })
}
const make = (joint: JointRecord) => app.go(`/jobs/${slug}/make?joint=${joint.id}`)

beforeAll(async () => {
  yard = await newJob('Pump house', 'gb', 'what could hurt')
  slug = yard.slug
  await act('kit/change', yard, yard.id, { tools: null })
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

describe('pipe that may be gas', () => {
  it('stops its cut on the card until it is traced, and the find knows it then', async () => {
    const find = await begin('find/begin', yard, {
      place: 'low, north',
      notes: '',
      typed: '22',
      by: 'calliper',
      answers: { colour: 'copper', flex: 'rigid' },
      cannot: [],
      pipe: 'cu-en-x-22',
    })
    const joint = await addJoint('press', { findA: find.id })
    await make(joint)
    await app.waitForText('[data-suspect="a:gas"]', /22 × 0\.9 copper: could it be gas\?/)
    expect(await (await app.find('[data-step="cut"] .tick')).isEnabled()).toBe(false)
    expect(await (await app.find('[data-test="tick-current"]')).isEnabled()).toBe(false)
    await app.press(' ')
    expect(await app.axe()).toEqual([])
    await app.click('[data-test="traced-water"]')
    await app.click('[data-test="tick-current"]')
    await app.find('[data-step="cut"].done')
    await app.saved()
    const { finds, joints } = await jobOf(slug)
    expect(finds.find(({ id }) => id === find.id)!.answers.traced).toBe('water')
    expect(joints.find(({ id }) => id === joint.id)!.ticks).toHaveLength(1)
  })
  it('holds every way on Joint for it', async () => {
    const joint = await addJoint('press', { a: { ...COPPER, traced: 'unknown' } })
    await app.go(`/jobs/${slug}/joint?joint=${joint.id}`)
    await app.find('[data-note="gas"]')
    await app.click('[data-test="traced-water"]')
    await app.waitForText('[aria-label="Working"]', /way \d+, fits/)
  })
})

describe('another way', () => {
  it('asks before it puts ticked steps aside, names them, and undo brings them back', async () => {
    const joint = await addJoint('solder')
    await make(joint)
    for (const step of ['cut', 'ream', 'deburr']) {
      await app.click('[data-test="tick-current"]')
      await app.find(`[data-step="${step}"].done`)
    }
    await app.go(`/jobs/${slug}/joint?joint=${joint.id}`)
    await app.click('.way')
    await app.click('[data-test="take-way"]')
    await app.waitForText(
      '[data-test="keep-steps"]',
      /solder, 3 done\s+Cut square with a wheel cutter\s+Ream the inside/,
    )
    expect(await app.axe()).toEqual([])
    await app.click('[data-test="keep"]')
    await app.waitForText('[aria-label="Working"]', /Take way/)
    await app.click('[data-test="take-way"]')
    await app.click('[data-test="put-aside"]')
    await app.waitForText('[data-test="aside"]', /3 ticked steps of the way before were put aside/)
    expect(await app.count('[data-step].done')).toBe(0)
    await app.click('[data-test="bring-back"]')
    await app.find('[data-step="deburr"].done')
    await app.saved()
    const { joints } = await jobOf(slug)
    expect(joints.find(({ id }) => id === joint.id)).toMatchObject({
      wayId: joint.wayId,
      ticks: [{ step: 'cut' }, { step: 'ream' }, { step: 'deburr' }],
      aside: [],
    })
  })
  it('asks for a condition that drops the way too, and leaves all as it is at Escape', async () => {
    const joint = await addJoint('solder')
    await act('joint/tick', yard, joint.id, { entry: 0, step: 'cut' })
    await app.go(`/jobs/${slug}/joint?joint=${joint.id}`)
    await app.click('[data-condition="wet"]')
    await app.find('[data-test="keep-steps"]')
    await app.press(Key.ESCAPE)
    await app.waitForText('[aria-label="Working"]', /is taken/)
  })
})

describe('a step that says something else than when it was ticked', () => {
  it('shows both and asks to be looked at again', async () => {
    const joint = await addJoint('solder')
    await act('joint/tick', yard, joint.id, { entry: 0, step: 'cut' })
    // Both ends are made in one heat: the second card has it.
    for (const step of ['cut', 'protect']) await act('joint/tick', yard, joint.id, { entry: 1, step })
    await act('joint/change', yard, joint.id, { conditions: { combustibles: true } })
    await make(joint)
    await app.click('[data-entry="1"]')
    await app.waitForText(
      '[data-step="protect"]',
      /wood damped[\s\S]*says something else[\s\S]*then: Open an outlet on both sides; mat behind; seals and plastic away/,
    )
    expect(await app.axe()).toEqual([])
    await app.click('[data-step="protect"] [data-test="still-right"]')
    await app.find('[data-step="protect"].done')
  })
})

describe('signing before it is cold', () => {
  it('says what is left, wants it seen, and keeps it with the entry', async () => {
    const joint = await addJoint('solder')
    const prepared = ['cut', 'ream', 'deburr', 'clean', 'mark']
    for (const step of prepared) await act('joint/tick', yard, joint.id, { entry: 0, step })
    for (const step of [...prepared, 'flux', 'assemble', 'protect', 'heat', 'feed', 'hold', 'wait', 'wipe', 'flush'])
      await act('joint/tick', yard, joint.id, { entry: 1, step })
    await make(joint)
    await app.click('[data-test="open-sign"]')
    await app.waitForText('[data-test="left"]', /A wait has [\s\S]*The watch after the flame has 60 minutes to go/)
    expect(await app.axe()).toEqual([])
    await app.type('[data-test="initials"]', 'OL')
    await app.press(Key.ENTER)
    await app.waitForText('#sign-problem', /say that you have seen it/)
    await app.click('[data-test="seen"]')
    await app.click('[data-test="sign"]')
    await app.saved()
    await make(joint)
    await app.waitForText('[data-test="remarks"]', /watch after the flame[\s\S]*steps were ticked within 5 seconds/)
    await app.go(`/jobs/${slug}/handover`)
    await app.find('[data-test="log-remark"]')
  })
})

describe('on a phone, in the cellar', () => {
  it('the stop stands above the figure, with its answer in reach of the thumb', async () => {
    const joint = await addJoint('press', { a: { ...COPPER, traced: 'unknown' } })
    await app.setSize(390, 844)
    await app.setTheme(true)
    await make(joint)
    const key = await (await app.find('[data-test="traced-water"]')).getRect()
    expect(key.width >= 120 && key.height >= 44 && key.x + key.width <= 390).toBe(true)
    expect(await app.axe()).toEqual([])
    expect(await app.errors()).toEqual([])
  })
})
