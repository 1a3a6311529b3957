import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { acting } from '../acts'
import { get } from './client'

const { act, begin, newJob, tryAct } = acting()

/** Lines of a calendar, long ones put together again (RFC 5545, 3.1). */
const linesOf = (text: string) => text.replace(/\r\n[ \t]/g, '').split('\r\n')
const raw = (path: string) => fetch(ownBed().baseUrl + path)

describe('a joint to come back to', () => {
  it('is booked, stands in the calendar of its job and of all, and is gone once it was come back to', async () => {
    const job = await newJob('Dye works; north, yard', 'gb', 'vat 3')
    const { slug } = job
    const joint = await begin('joint/begin', job, {
      place: 'under the vat',
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'cu-en-x-22' },
      conditions: { temporary: true },
    })
    // What a tablet with an earlier version sends has no such field.
    expect(joint.comeBack).toBeNull()
    // No day that there is: 30 February stood in the calendar.
    for (const comeBack of ['2026-02-31x', '2026-02-30', '2027-02-29', '2026-13-01', '2026-04-31', ''])
      expect(await tryAct('joint/change', job, joint.id, { comeBack }, { version: 1 })).toMatchObject({
        status: 422,
        issue: { path: 'comeBack', message: expect.stringContaining('a day that there is') },
      })
    expect(await act('joint/change', job, joint.id, { comeBack: '2026-12-03' })).toMatchObject({
      comeBack: '2026-12-03',
      version: 2,
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
    await act('joint/change', job, joint.id, { comeBack: null })
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
