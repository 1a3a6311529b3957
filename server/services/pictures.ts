import pLimit from 'p-limit'
import sharp from 'sharp'
import { fail } from '#core/base'
import { readPhotoKind } from '#core/record'
import { accepted, Problem } from '../http/problem'

/** Longest side kept, px: a print line can still be read. */
const LONGEST_PX = 2000
/** More pixels are not opened: the tablet sends at most 2000 px, a telephone's own photo has up to 50 million. */
const MOST_PIXELS = 50_000_000
/** One at a time, in one thread, a strip at a time: a picture unpacked takes four bytes a pixel. */
const inTurn = pLimit(1)
sharp.cache(false)
sharp.concurrency(1)
const QUALITY = 82

const unreadable = () =>
  accepted<never>(
    fail('impossible', 'photo', 'photo: it begins like a picture but cannot be opened. The file is damaged.'),
  )

interface Picture {
  data: Buffer
  width: number
  height: number
}

/** Problem 422 where a picture would be too large unpacked; its first bytes say so. */
async function checkPixels(bytes: Buffer) {
  const { width, height } = await sharp(bytes, { limitInputPixels: false }).metadata()
  if (width * height <= MOST_PIXELS) return
  const millions = (pixels: number) => Math.round(pixels / 1e6)
  accepted(
    fail(
      'too-many',
      'photo',
      `photo: ${width} x ${height} px are ${millions(width * height)} million; at most ${millions(MOST_PIXELS)} million are accepted.`,
    ),
  )
}

/** Made upright, on white, smaller, without metadata. */
async function redraw(bytes: Buffer): Promise<Picture> {
  const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true })
    .rotate()
    .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: QUALITY })
    .toBuffer({ resolveWithObject: true })
  return { data, width: info.width, height: info.height }
}

/**
 * A photo as it is kept: JPEG, upright, on white, at most 2000 px long, without metadata, so without where it was
 * taken. Photos are made one after another. Problem 422 at `photo` with the reason where it is none or too large.
 */
export async function preparePhoto(bytes: Buffer, name: string): Promise<Picture> {
  accepted(readPhotoKind(bytes, name))
  return inTurn(async () => {
    try {
      await checkPixels(bytes)
      return await redraw(bytes)
    } catch (error) {
      if (error instanceof Problem) throw error
      return unreadable()
    }
  })
}
