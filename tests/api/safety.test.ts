import { describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import { cardsOf, type FindRecord, type JobRecord, type JointRecord } from '#core/record'
import { call, get, patch, post } from './client'

const COPPER = { pipe: 'cu-en-x-22' }

async function yard() {
  const { slug, version } = (await post<JobRecord>('/api/jobs', { name: 'Safe yard', place: '', region: 'gb' })).body
  await patch(`/api/jobs/${slug}`, { version, tools: null })
  const { ways } = (await post<WaysAnswer>('/api/core/ways', { region: 'gb', a: COPPER, b: COPPER })).body
  const wayOf = (method: string) => ways.find(({ joints }) => joints.every((joint) => joint.method === method))!.id
  const joint = async (method: string, body: object = {}) =>
    (
      await post<JointRecord>(`/api/jobs/${slug}/joints`, {
        place: '',
        a: COPPER,
        b: COPPER,
        findA: null,
        conditions: {},
        orientation: 'horizontal',
        wayId: wayOf(method),
        depths: {},
        ...body,
      })
    ).body
  return { slug, wayOf, joint, at: ({ id }: JointRecord) => `/api/jobs/${slug}/joints/${id}` }
}
const tick = (at: string, entry: number, step: string | number, headers = {}) =>
  call<JointRecord>('PUT', `${at}/ticks`, { entry, step }, headers)

describe('pipe in doubt', () => {
  it('is not cut over the network either, until its find says that it was traced', async () => {
    const { slug, joint, at } = await yard()
    const find = (
      await post<FindRecord>(`/api/jobs/${slug}/finds`, {
        place: 'wall',
        notes: '',
        typed: '22',
        by: 'calliper',
        answers: { colour: 'copper' },
        cannot: [],
        pipe: 'cu-en-x-22',
      })
    ).body
    const suspect = await joint('press', { findA: find.id })
    expect(await tick(at(suspect), 0, 'cut')).toMatchObject({
      status: 422,
      body: { error: { code: 'impossible', path: 'step', message: expect.stringContaining('gas') } },
    })
    // The other end is nobody's find.
    expect((await tick(at(suspect), 1, 'cut')).status).toBe(200)
    await patch(`/api/jobs/${slug}/finds/${find.id}`, {
      version: find.version,
      answers: { ...find.answers, traced: 'water' },
    })
    expect((await tick(at(suspect), 0, 'cut')).body.ticks).toHaveLength(2)
  })
})

describe('another way', () => {
  it('puts steps aside, and gives them back with their hands and times', async () => {
    const { joint, wayOf, at } = await yard()
    const begun = await joint('solder')
    for (const step of ['cut', 'ream']) await tick(at(begun), 0, step, { Hand: 'Wyn' })
    const waiting = (await call<JointRecord>('PUT', `${at(begun)}/timers`, { entry: 0, step: 'wait' })).body
    const other = (await patch<JointRecord>(at(begun), { version: waiting.version, wayId: wayOf('press') })).body
    expect(other).toMatchObject({
      ticks: [],
      timers: [],
      aside: [{ wayId: begun.wayId, ticks: waiting.ticks, timers: waiting.timers }],
    })
    await tick(at(begun), 0, 'cut')
    const back = (await call<JointRecord>('DELETE', `${at(begun)}/aside`, {})).body
    expect(back).toMatchObject({
      wayId: begun.wayId,
      ticks: waiting.ticks,
      timers: waiting.timers,
      aside: [{ wayId: wayOf('press'), ticks: [{ step: 'cut' }] }],
    })
    expect(back.ticks.map(({ by }) => by)).toEqual(['Wyn', 'Wyn'])
    expect((await get<JobRecord>(`/api/jobs/${at(begun).split('/')[3]}`)).body.joints[0]).toEqual(back)
  })
  it('brings back nothing where nothing was put aside', async () => {
    const { joint, at } = await yard()
    const begun = await joint('press')
    expect((await call<JointRecord>('DELETE', `${at(begun)}/aside`, {})).body).toEqual(begun)
  })
})

describe('signing', () => {
  it('names what is left, is signed once it was seen, and keeps it on record and in the register', async () => {
    const { slug, joint, at } = await yard()
    const begun = await joint('solder')
    const places = cardsOf({ region: 'gb', year: null, policy: {}, tools: null, finds: [] }, begun).flatMap(
      ({ entry, answer }) => (answer.ok ? answer.value.steps.map(({ id }) => ({ entry, step: id })) : []),
    )
    for (const { entry, step } of places) await tick(at(begun), entry, step)
    expect(await post(`${at(begun)}/signoffs`, { initials: 'WY', seen: [] })).toMatchObject({
      status: 422,
      body: { error: { path: 'seen', message: expect.stringMatching(/wait.*watch after the flame/i) } },
    })
    const signed = (await post<JointRecord>(`${at(begun)}/signoffs`, { initials: 'WY', seen: ['wait', 'watch'] })).body
    expect(signed.signoffs[0]!.remarks.map(({ code }) => code)).toEqual(['wait', 'watch', 'wait-short', 'quick'])
    expect((await get(`/api/jobs/${slug}/register.csv`)).body).toMatch(/The watch after the flame has 60 minutes to go/)
    expect(await post(`${at(begun)}/signoffs`, { initials: 'WY', seen: ['nothing'] })).toMatchObject({
      status: 422,
      body: { error: { code: 'unknown-id', path: 'seen.0' } },
    })
  })
})

describe('a step that says something else since', () => {
  it('is ticked anew, once', async () => {
    const { joint, at } = await yard()
    const begun = await joint('solder')
    const ticked = (await tick(at(begun), 0, 'protect')).body
    await patch(at(begun), { version: ticked.version, conditions: { combustibles: true } })
    const again = (await tick(at(begun), 0, 'protect')).body
    expect(again.ticks).toMatchObject([{ step: 'protect', did: expect.stringContaining('wood damped') }])
    expect((await tick(at(begun), 0, 'protect')).body.ticks).toEqual(again.ticks)
  })
})
