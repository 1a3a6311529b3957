import sharp from 'sharp'
import { fail } from '#core/base'
import { readPhotoKind } from '#core/record'
import { accepted } from '../http/problem'

/** Longest side kept, px: a print line can still be read. */
const LONGEST_PX = 2000
/** More pixels than a camera takes are not opened. */
const MOST_PIXELS = 120_000_000
const QUALITY = 82

const unreadable = () =>
  accepted<never>(
    fail('impossible', 'photo', 'photo: it begins like a picture but cannot be opened. The file is damaged.'),
  )

/**
 * A photo as it is kept: JPEG, upright, on white, at most 2000 px long, without metadata, so without where it was
 * taken. Problem 422 at `photo` with the reason where it is none.
 */
export async function preparePhoto(
  bytes: Buffer,
  name: string,
): Promise<{ data: Buffer; width: number; height: number }> {
  accepted(readPhotoKind(bytes, name))
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true })
    return { data, width: info.width, height: info.height }
  } catch {
    return unreadable()
  }
}
