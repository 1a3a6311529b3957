import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import type { JobRecord, JointRecord } from '#core/record'
import { get, patch, post } from './client'

/** Lines of a calendar, long ones put together again (RFC 5545, 3.1). */
const linesOf = (text: string) => text.replace(/\r\n[ \t]/g, '').split('\r\n')
const raw = (path: string) => fetch(ownBed().baseUrl + path)

describe('a joint to come back to', () => {
  it('is booked, stands in the calendar of its job and of all, and is gone once it was come back to', async () => {
    const { slug } = (
      await post<JobRecord>('/api/jobs', { name: 'Dye works; north, yard', place: 'vat 3', region: 'gb' })
    ).body
    const body = {
      place: 'under the vat',
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'cu-en-x-22' },
      findA: null,
      conditions: { temporary: true },
      orientation: 'horizontal',
      wayId: null,
      depths: {},
    }
    const joint = (await post<JointRecord>(`/api/jobs/${slug}/joints`, body)).body
    // What a tablet with an earlier version sends has no such field.
    expect(joint.comeBack).toBeNull()
    const at = `/api/jobs/${slug}/joints/${joint.id}`
    expect(await patch(at, { version: 1, comeBack: '2026-02-31x' })).toMatchObject({
      status: 422,
      body: { error: { path: 'comeBack' } },
    })
    expect(await patch(at, { version: 1, comeBack: '2026-12-03' })).toMatchObject({
      status: 200,
      body: { comeBack: '2026-12-03', version: 2 },
    })
    const reply = await raw(`/api/jobs/${slug}/come-back.ics`)
    expect(reply.headers.get('content-type')).toMatch(/^text\/calendar/)
    const lines = linesOf(await reply.text())
    expect(lines[0]).toBe('BEGIN:VCALENDAR')
    expect(lines.filter((line) => line === 'BEGIN:VEVENT')).toHaveLength(1)
    expect(lines).toEqual(
      expect.arrayContaining([
        `UID:${joint.id}@jolvet`,
        'DTSTART;VALUE=DATE:20261203',
        'SUMMARY:Come back to J1\\, Dye works\\; north\\, yard',
        'BEGIN:VALARM',
      ]),
    )
    expect(linesOf(await (await raw('/api/come-back.ics')).text())).toContain(`UID:${joint.id}@jolvet`)
    await patch(at, { version: 2, comeBack: null })
    expect(linesOf(await (await raw(`/api/jobs/${slug}/come-back.ics`)).text())).toEqual([
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:jolvet',
      'END:VCALENDAR',
      '',
    ])
    expect(await get('/api/jobs/nowhere/come-back.ics')).toMatchObject({
      status: 404,
      body: { error: { path: 'job' } },
    })
  })
})
