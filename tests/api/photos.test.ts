import { createHash, randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import type { Issue } from '#core/base'
import { MOST_PHOTOS, type JobRecord } from '#core/record'
import { acting } from '../acts'
import { get } from './client'

const { act, begin, newJob, tryAct } = acting()
const picture = (width = 60, height = 40) => sharp({ create: { width, height, channels: 3, background: '#a5553f' } })

async function newFind() {
  const job = await newJob('Photo yard')
  const { id } = await begin('find/begin', job, {})
  return { job, slug: job.slug, id, at: `/api/jobs/${job.slug}/finds/${id}` }
}
type Upload = { digest: string; width: number; height: number } & { error: Issue }
/** A picture sent by the key of an act. */
async function send(key: string, name: string, bytes: Buffer): Promise<{ status: number; body: Upload }> {
  const reply = await fetch(`${ownBed().baseUrl}/api/photos/${key}?name=${encodeURIComponent(name)}`, {
    method: 'PUT',
    body: new Uint8Array(bytes),
  })
  return { status: reply.status, body: (await reply.json()) as Upload }
}
/** A picture sent and put to a find, as a tablet does. */
async function put({ job, id }: Awaited<ReturnType<typeof newFind>>, name: string, bytes: Buffer) {
  const key = randomUUID()
  const { body } = await send(key, name, bytes)
  return act('find/photo', job, id, { name, ...body }, { key })
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
    const find = await newFind()
    const { photos } = await put(find, `wall.${kind}`, await picture().toFormat(kind).toBuffer())
    expect(photos).toMatchObject([{ name: `wall.${kind}`, width: 60, height: 40 }])
    const { status, type, bytes } = await fetched(`${find.at}/photos/${photos[0]!.id}`)
    expect([status, type]).toEqual([200, 'image/jpeg'])
    expect(await sharp(bytes).metadata()).toMatchObject({ format: 'jpeg', width: 60, height: 40 })
    expect((await get<JobRecord>(`/api/jobs/${find.slug}`)).body.finds[0]!.photos).toEqual(photos)
  })

  it('lose where they were taken and all else the camera wrote, stand upright, and shrink to 2000', async () => {
    const find = await newFind()
    const taken = await picture(3000, 1500)
      .withExif({
        IFD0: { Make: 'camera', Copyright: 'someone' },
        IFD3: { GPSLatitude: '51/1 30/1 0/1', GPSLatitudeRef: 'N', GPSLongitude: '0/1 7/1 0/1', GPSLongitudeRef: 'W' },
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    expect((await sharp(taken).metadata()).exif).toBeDefined()
    const { photos } = await put(find, 'a.jpg', taken)
    expect(photos[0]).toMatchObject({ width: 1000, height: 2000 })
    const { bytes } = await fetched(`${find.at}/photos/${photos[0]!.id}`)
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
    const { job, id } = await newFind()
    const key = randomUUID()
    expect(await send(key, name, bytes ?? (await picture().png().toBuffer()))).toMatchObject({
      status: 422,
      body: { error: { path: 'photo', message: expect.stringMatching(words) } },
    })
    // What never came is put to no find.
    const said = { name, digest: '0'.repeat(64), width: 1, height: 1 }
    expect(await tryAct('find/photo', job, id, said, { key })).toMatchObject({ issue: { path: 'photo' } })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.finds[0]!.photos).toEqual([])
  })

  it('are not over 8 MB, and a body far over that is refused whole', async () => {
    const large = Buffer.alloc(8 * 1024 * 1024 + 1)
    Buffer.from([0xff, 0xd8, 0xff]).copy(large)
    expect(await send(randomUUID(), 'a.jpg', large)).toMatchObject({
      status: 422,
      body: { error: { code: 'too-many', message: expect.stringContaining('Up to 8 MB') } },
    })
    expect(await send(randomUUID(), 'a.jpg', Buffer.alloc(17_000_000))).toMatchObject({ status: 413 })
  })

  it('come once however often they are sent, at most twelve, and go when taken off', async () => {
    const { job, slug, id, at } = await newFind()
    const bytes = await picture().jpeg().toBuffer()
    const from = Date.now() - 60_000
    // Each was taken a second after the one before.
    const timeOf = (key: string) => new Date(from + keys.indexOf(key) * 1000).toISOString()
    const add = async (key: string) => {
      const { body } = await send(key, 'a.jpg', bytes)
      expect(body.digest).toBe(createHash('sha256').update(bytes).digest('hex'))
      return tryAct('find/photo', job, id, { name: 'a.jpg', ...body }, { key, by: 'Wyn', at: timeOf(key) })
    }
    const keys = Array.from({ length: MOST_PHOTOS }, (_, i) => `photo-key-${i}-${Date.now()}`)
    for (const key of keys) await add(key)
    expect((await add(keys[0]!)).record.photos.map((one) => [one.id, one.by])).toEqual(keys.map((key) => [key, 'Wyn']))
    expect(await add(`one-more-${Date.now()}`)).toMatchObject({
      status: 422,
      issue: { code: 'too-many', path: 'photo' },
    })
    const drop = () => act('find/drop-photo', job, id, { photo: keys[3]! })
    expect((await drop()).photos).toHaveLength(MOST_PHOTOS - 1)
    expect((await fetched(`${at}/photos/${keys[3]}`)).status).toBe(404)
    expect((await drop()).photos).toHaveLength(MOST_PHOTOS - 1)
    // A key is of one photo.
    expect(await send(`one-more-key-${Date.now()}`.slice(0, 40), 'a.jpg', bytes)).toMatchObject({ status: 200 })
    const key = randomUUID()
    await send(key, 'a.jpg', bytes)
    expect(await send(key, 'a.jpg', await picture(61).jpeg().toBuffer())).toMatchObject({
      status: 422,
      body: { error: { path: 'key' } },
    })
    // The picture of one job is not given out under another's name.
    const other = await newFind()
    expect((await fetched(`${other.at}/photos/${keys[0]}`)).status).toBe(404)
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds[0]!.photos).toHaveLength(MOST_PHOTOS - 1)
  })
})

describe('what a find is kept as', () => {
  it('is on record with hand and time, and so is a correction', async () => {
    const { job, slug, id } = await newFind()
    await act('find/change', job, id, { typed: '21.5', pipe: 'cu-en-x-22' }, { by: 'Wyn' })
    const { verdicts, notes } = await act(
      'find/change',
      job,
      id,
      { notes: 'painted', cannot: ['magnet'], pipe: 'cu-bs-imp-3_4' },
      { by: 'Ola' },
    )
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
