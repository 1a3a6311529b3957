import { describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import { cardsOf, type JobRecord, type JointInput, type JointRecord } from '#core/record'
import { acting } from '../acts'
import { get } from './client'

const { act, ask, begin, newJob, tryAct } = acting()

const COPPER = { pipe: 'cu-en-x-22' }

async function yard() {
  const job = await newJob('Safe yard')
  await act('kit/change', job, job.id, { tools: null })
  const { ways } = await ask<WaysAnswer>('ways', { region: 'gb', a: COPPER, b: COPPER })
  const wayOf = (method: string) => ways.find(({ joints }) => joints.every((joint) => joint.method === method))!.id
  const joint = (method: string, body: JointInput = {}) =>
    begin('joint/begin', job, { a: COPPER, b: COPPER, wayId: wayOf(method), ...body })
  const tick = ({ id }: JointRecord, entry: number, step: string | number, about = {}) =>
    tryAct('joint/tick', job, id, { entry, step }, about)
  return { job, wayOf, joint, tick }
}

describe('pipe in doubt', () => {
  it('is not cut over the network either, until its find says that it was traced', async () => {
    const { job, joint, tick } = await yard()
    const find = await begin('find/begin', job, { typed: '22', answers: { colour: 'copper' }, pipe: 'cu-en-x-22' })
    const suspect = await joint('press', { findA: find.id })
    expect(await tick(suspect, 0, 'cut')).toMatchObject({
      status: 422,
      issue: { code: 'impossible', path: 'step', message: expect.stringContaining('gas') },
    })
    // The other end is nobody's find.
    expect((await tick(suspect, 1, 'cut')).status).toBe(200)
    await act('find/change', job, find.id, { answers: { ...find.answers, traced: 'water' } })
    expect((await tick(suspect, 0, 'cut')).record.ticks).toHaveLength(2)
  })
})

describe('another way', () => {
  it('puts steps aside, and gives them back with their hands and times', async () => {
    const { job, joint, wayOf, tick } = await yard()
    const begun = await joint('solder')
    for (const step of ['cut', 'ream']) await tick(begun, 0, step, { by: 'Wyn' })
    const waiting = await act('joint/wait', job, begun.id, { entry: 1, step: 'wait' })
    const other = await act('joint/change', job, begun.id, { wayId: wayOf('press') })
    expect(other).toMatchObject({
      ticks: [],
      timers: [],
      aside: [{ wayId: begun.wayId, ticks: waiting.ticks, timers: waiting.timers }],
    })
    await tick(begun, 0, 'cut')
    const back = await act('joint/bring-back', job, begun.id, {})
    expect(back).toMatchObject({
      wayId: begun.wayId,
      ticks: waiting.ticks,
      timers: waiting.timers,
      aside: [{ wayId: wayOf('press'), ticks: [{ step: 'cut' }] }],
    })
    expect(back.ticks.map(({ by }) => by)).toEqual(['Wyn', 'Wyn'])
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.joints[0]).toEqual(back)
  })
  it('brings back nothing where nothing was put aside', async () => {
    const { job, joint } = await yard()
    const begun = await joint('press')
    expect(await act('joint/bring-back', job, begun.id, {})).toEqual(begun)
  })
})

describe('signing', () => {
  it('names what is left, is signed once it was seen, and keeps it on record and in the register', async () => {
    const { job, joint, tick } = await yard()
    const begun = await joint('solder')
    const places = cardsOf({ region: 'gb', year: null, policy: {}, tools: null, finds: [] }, begun).flatMap(
      ({ entry, answer }) => (answer.ok ? answer.value.steps.map(({ id }) => ({ entry, step: id })) : []),
    )
    for (const { entry, step } of places) await tick(begun, entry, step)
    const sign = (seen: string[]) => {
      const about = { seen: { depths: {}, wayId: begun.wayId } }
      return tryAct('joint/sign', job, begun.id, { initials: 'WY', seen }, about)
    }
    expect(await sign([])).toMatchObject({
      status: 422,
      issue: { path: 'seen', message: expect.stringMatching(/wait.*watch after the flame/i) },
    })
    const signed = (await sign(['wait', 'watch'])).record
    expect(signed.signoffs[0]!.remarks.map(({ code }) => code)).toEqual(['wait', 'watch', 'wait-short', 'quick'])
    expect((await get(`/api/jobs/${job.slug}/register.csv`)).body).toMatch(
      /The watch after the flame has 60 minutes to go/,
    )
    expect(await sign(['nothing'])).toMatchObject({ status: 422, issue: { code: 'unknown-id', path: 'seen.0' } })
  })
})

describe('a step that says something else since', () => {
  it('is ticked anew, once', async () => {
    const { job, joint, tick } = await yard()
    const begun = await joint('solder')
    await tick(begun, 1, 'protect')
    await act('joint/change', job, begun.id, { conditions: { combustibles: true } })
    const again = (await tick(begun, 1, 'protect')).record
    expect(again.ticks).toMatchObject([{ step: 'protect', did: expect.stringContaining('wood damped') }])
    expect((await tick(begun, 1, 'protect')).record.ticks).toEqual(again.ticks)
  })
})
