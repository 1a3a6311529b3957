import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { MOST_PHOTOS, type FindRecord, type JobRecord } from '#core/record'
import { call, get, post } from './client'

const FIND = { place: '', typed: '', by: 'calliper', answers: {}, pipe: null }
const picture = (width = 60, height = 40) => sharp({ create: { width, height, channels: 3, background: '#a5553f' } })
const base64 = (bytes: Buffer) => bytes.toString('base64')

async function newFind() {
  const { slug } = (await post<JobRecord>('/api/jobs', { name: 'Photo yard', place: '', region: 'gb' })).body
  const { id } = (await post<FindRecord>(`/api/jobs/${slug}/finds`, FIND)).body
  return { slug, at: `/api/jobs/${slug}/finds/${id}` }
}
const fetched = async (path: string) => {
  const reply = await fetch(ownBed().baseUrl + path)
  return {
    status: reply.status,
    type: reply.headers.get('content-type'),
    bytes: Buffer.from(await reply.arrayBuffer()),
  }
}

describe('photos of a find', () => {
  it.each(['jpeg', 'png', 'webp'] as const)('of kind %s are kept and given back as a picture', async (kind) => {
    const { slug, at } = await newFind()
    const added = await post<FindRecord>(`${at}/photos`, {
      name: `wall.${kind}`,
      data: base64(await picture().toFormat(kind).toBuffer()),
    })
    expect(added).toMatchObject({ status: 200, body: { photos: [{ name: `wall.${kind}`, width: 60, height: 40 }] } })
    const { status, type, bytes } = await fetched(`${at}/photos/${added.body.photos[0]!.id}`)
    expect([status, type]).toEqual([200, 'image/jpeg'])
    expect(await sharp(bytes).metadata()).toMatchObject({ format: 'jpeg', width: 60, height: 40 })
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds[0]!.photos).toEqual(added.body.photos)
  })

  it('lose where they were taken and all else the camera wrote, stand upright, and shrink to 2000', async () => {
    const { at } = await newFind()
    const taken = await picture(3000, 1500)
      .withExif({
        IFD0: { Make: 'camera', Copyright: 'someone' },
        IFD3: { GPSLatitude: '51/1 30/1 0/1', GPSLatitudeRef: 'N', GPSLongitude: '0/1 7/1 0/1', GPSLongitudeRef: 'W' },
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    expect((await sharp(taken).metadata()).exif).toBeDefined()
    const { photos } = (await post<FindRecord>(`${at}/photos`, { name: 'a.jpg', data: base64(taken) })).body
    expect(photos[0]).toMatchObject({ width: 1000, height: 2000 })
    const { bytes } = await fetched(`${at}/photos/${photos[0]!.id}`)
    const { exif, icc, xmp, iptc, orientation } = await sharp(bytes).metadata()
    expect([exif, icc, xmp, iptc, orientation]).toEqual([undefined, undefined, undefined, undefined, undefined])
    expect(bytes.includes('camera')).toBe(false)
  })

  it.each([
    ['a text', 'a.jpg', Buffer.from('not a picture at all'), /no picture/],
    ['a lying ending', 'a.jpg', null, /called \.jpg but holds a PNG/],
    ['a PDF', 'a.pdf', Buffer.from('%PDF-1.7 '), /a PDF/],
    ['a broken one', 'a.jpg', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4, 5, 6, 7, 8]), /damaged/],
    ['nothing', 'a.jpg', Buffer.alloc(0), /empty/],
  ])('are not %s: refused with the reason', async (_, name, bytes, words) => {
    const { slug, at } = await newFind()
    const data = base64(bytes ?? (await picture().png().toBuffer()))
    expect(await post(`${at}/photos`, { name, data })).toMatchObject({
      status: 422,
      body: { error: { path: 'photo', message: expect.stringMatching(words) } },
    })
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds[0]!.photos).toEqual([])
  })

  it('are not over 8 MB, and a body far over that is refused whole', async () => {
    const { at } = await newFind()
    const large = Buffer.alloc(8 * 1024 * 1024 + 1)
    Buffer.from([0xff, 0xd8, 0xff]).copy(large)
    expect(await post(`${at}/photos`, { name: 'a.jpg', data: base64(large) })).toMatchObject({
      status: 422,
      body: { error: { code: 'too-many', message: expect.stringContaining('Up to 8 MB') } },
    })
    expect(await post(`${at}/photos`, { name: 'a.jpg', data: 'x'.repeat(17_000_000) })).toMatchObject({ status: 413 })
  })

  it('come once however often they are sent, at most twelve, and go when taken off', async () => {
    const { slug, at } = await newFind()
    const data = base64(await picture().jpeg().toBuffer())
    const send = (key: string) =>
      call<FindRecord>(
        'POST',
        `${at}/photos`,
        { name: 'a.jpg', data, id: key },
        { 'Idempotency-Key': key, Hand: 'Wyn' },
      )
    const keys = Array.from({ length: MOST_PHOTOS }, (_, i) => `photo-key-${i}-${Date.now()}`)
    for (const key of keys) await send(key)
    expect((await send(keys[0]!)).body.photos.map(({ id, by }) => [id, by])).toEqual(keys.map((key) => [key, 'Wyn']))
    expect(await send(`one-more-${Date.now()}`)).toMatchObject({
      status: 422,
      body: { error: { code: 'too-many', path: 'photo' } },
    })
    const gone = await call<FindRecord>('DELETE', `${at}/photos/${keys[3]}`, {})
    expect(gone.body.photos).toHaveLength(MOST_PHOTOS - 1)
    expect((await fetched(`${at}/photos/${keys[3]}`)).status).toBe(404)
    expect((await call('DELETE', `${at}/photos/${keys[3]}`, {})).status).toBe(200)
    // The picture of one job is not given out under another's name.
    const other = await newFind()
    expect((await fetched(`${other.at}/photos/${keys[0]}`)).status).toBe(404)
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds[0]!.photos).toHaveLength(MOST_PHOTOS - 1)
  })
})

describe('what a find is kept as', () => {
  it('is on record with hand and time, and so is a correction', async () => {
    const { slug, at } = await newFind()
    const change = (body: object, hand: string) => call<FindRecord>('PATCH', at, body, { Hand: hand })
    await change({ version: 1, typed: '21.5', pipe: 'cu-en-x-22' }, 'Wyn')
    const { verdicts, notes } = (
      await change({ version: 2, notes: 'painted', cannot: ['magnet'], pipe: 'cu-bs-imp-3_4' }, 'Ola')
    ).body
    expect(verdicts).toMatchObject([
      { pipe: 'cu-en-x-22', by: 'Wyn' },
      { pipe: 'cu-bs-imp-3_4', by: 'Ola' },
    ])
    expect(verdicts[0]!.probability!).toBeLessThan(verdicts[1]!.probability!)
    expect(notes).toBe('painted')
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds[0]).toMatchObject({ cannot: ['magnet'], verdicts })
  })
})

describe('sheets at true size', () => {
  it('are PDF: the wrap strip of a region, the cards of a job', async () => {
    const strip = await fetched('/api/print/wrap-strip.pdf?region=us')
    expect([strip.status, strip.type, strip.bytes.subarray(0, 5).toString()]).toEqual([200, 'application/pdf', '%PDF-'])
    const cards = await fetched('/api/jobs/kiln-lane-bakehouse/diameter-cards.pdf')
    expect([cards.status, cards.bytes.subarray(0, 5).toString()]).toEqual([200, '%PDF-'])
  })
  it('say what is wrong where there is nothing to print', async () => {
    expect(await get('/api/print/wrap-strip.pdf?region=mars')).toMatchObject({
      status: 422,
      body: { error: { path: 'region' } },
    })
    expect(await get('/api/print/wrap-strip.pdf')).toMatchObject({
      status: 422,
      body: { error: { code: 'missing', path: 'region' } },
    })
    const { slug } = await newFind()
    expect(await get(`/api/jobs/${slug}/diameter-cards.pdf`)).toMatchObject({
      status: 422,
      body: { error: { code: 'missing', message: expect.stringContaining('Keep a find') } },
    })
  })
})
