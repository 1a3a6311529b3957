import { fail, ok, type Result } from '#core/base'
import { formatDecimal } from '#core/units'

const PHOTO_KINDS = ['jpeg', 'png', 'webp'] as const
export type PhotoKind = (typeof PHOTO_KINDS)[number]

/** Largest photo taken, bytes. */
export const MOST_PHOTO_BYTES = 8 * 1024 * 1024
/** Photos on one find. */
export const MOST_PHOTOS = 12

const KIND_WORDS: Readonly<Record<PhotoKind, string>> = { jpeg: 'JPEG', png: 'PNG', webp: 'WebP' }
/** Endings that go with each kind. */
const ENDINGS: Readonly<Record<string, PhotoKind>> = {
  jpg: 'jpeg',
  jpeg: 'jpeg',
  jpe: 'jpeg',
  jfif: 'jpeg',
  png: 'png',
  webp: 'webp',
}

/** First bytes by which each kind of file is known, at their place in it. */
const SIGNS: readonly { says: PhotoKind | string; at: number; bytes: readonly number[] }[] = [
  { says: 'jpeg', at: 0, bytes: [0xff, 0xd8, 0xff] },
  { says: 'png', at: 0, bytes: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] },
  { says: 'webp', at: 8, bytes: [0x57, 0x45, 0x42, 0x50] },
  { says: 'a HEIC picture: have the camera save JPEG', at: 4, bytes: [0x66, 0x74, 0x79, 0x70, 0x68, 0x65] },
  { says: 'a film', at: 4, bytes: [0x66, 0x74, 0x79, 0x70] },
  { says: 'a GIF', at: 0, bytes: [0x47, 0x49, 0x46, 0x38] },
  { says: 'a PDF', at: 0, bytes: [0x25, 0x50, 0x44, 0x46] },
]

const isKind = (says: string): says is PhotoKind => (PHOTO_KINDS as readonly string[]).includes(says)

/**
 * Kind of a photo by its first bytes; `size` is the whole file's, bytes. Fails at `photo` where it is empty, over 8 MB, no JPEG, PNG or WebP, or called by
 * the ending of another kind. That the rest of it is a picture is only known once it is opened.
 */
export function readPhotoKind(bytes: Uint8Array, name: string, size = bytes.length): Result<PhotoKind> {
  const wrong = (message: string, code: 'impossible' | 'too-many' = 'impossible') =>
    fail(code, 'photo', `photo: ${message}`)
  if (size === 0) return wrong('the file is empty.')
  if (size > MOST_PHOTO_BYTES)
    return wrong(`${formatDecimal(size / 1024 / 1024, 1)} MB is too large. Up to 8 MB is taken.`, 'too-many')
  const sign = SIGNS.find(({ at, bytes: first }) => first.every((byte, i) => bytes[at + i] === byte))
  if (!sign || !isKind(sign.says))
    return wrong(`that is ${sign ? sign.says : 'no picture'}. JPEG, PNG and WebP are taken.`)
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase()
  if (ending !== undefined && ENDINGS[ending] !== sign.says)
    return wrong(
      `the file is called .${ending.slice(0, 12)} but holds a ${KIND_WORDS[sign.says]}. Give it its own ending.`,
    )
  return ok(sign.says)
}
