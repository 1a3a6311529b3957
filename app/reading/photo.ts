import { fail, ok, type Result } from '#core/base'
import { readPhotoKind } from '#core/record'

/** Longest side kept, px: a print line can still be read, and it goes over a thin line. */
const LONGEST_PX = 2000
const QUALITY = 0.85

/** A photo as it waits to be sent: JPEG in base64, without the file's own metadata. */
export interface ReadPhoto {
  name: string
  data: string
  width: number
  height: number
}

/** Bytes as base64, in pieces small enough for a call's arguments. */
function toBase64(bytes: Uint8Array): string {
  const pieces: string[] = []
  for (let at = 0; at < bytes.length; at += 0x8000) pieces.push(String.fromCharCode(...bytes.subarray(at, at + 0x8000)))
  return btoa(pieces.join(''))
}

/**
 * A photo from a file or camera, drawn anew: upright, at most 2000 px long. What else the file holds, where it was taken
 * among it, never leaves this tablet. Fails at `photo` with the reason where it is none.
 */
export async function readPhoto(file: File): Promise<Result<ReadPhoto>> {
  // A file far too large is not read in at all.
  const bytes = new Uint8Array(await file.slice(0, 8 * 1024 * 1024 + 1).arrayBuffer())
  const kind = readPhotoKind(bytes, file.name, file.size)
  if (!kind.ok) return kind
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (!bitmap)
    return fail('impossible', 'photo', 'photo: it begins like a picture but cannot be opened. The file is damaged.')
  const shrink = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * shrink)),
    Math.max(1, Math.round(bitmap.height * shrink)),
  ]
  const canvas = new OffscreenCanvas(width, height)
  const draw = canvas.getContext('2d')!
  draw.fillStyle = '#fff'
  draw.fillRect(0, 0, width, height)
  draw.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
  return ok({
    name: `${file.name.replace(/\.[^.]*$/, '').slice(0, 190)}.jpg`,
    data: toBase64(new Uint8Array(await jpeg.arrayBuffer())),
    width,
    height,
  })
}
