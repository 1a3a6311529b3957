import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOST_PHOTO_BYTES, readPhotoKind } from '#core/record'

const bytes = (...first: number[]) => Uint8Array.from([...first, ...new Array<number>(32).fill(0)])
const JPEG = bytes(0xff, 0xd8, 0xff, 0xe0)
const PNG = bytes(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)
const WEBP = bytes(0x52, 0x49, 0x46, 0x46, 1, 0, 0, 0, 0x57, 0x45, 0x42, 0x50)
const said = (picture: Uint8Array, name: string) => {
  const result = readPhotoKind(picture, name)
  return result.ok ? result.value : result.error.message
}

describe('readPhotoKind', () => {
  it.each([
    [JPEG, 'a.jpg', 'jpeg'],
    [JPEG, 'A.JPEG', 'jpeg'],
    [PNG, 'stub.png', 'png'],
    [WEBP, 'x.webp', 'webp'],
    [PNG, 'no ending', 'png'],
  ])('knows a picture by its first bytes', (picture, name, kind) => {
    expect(said(picture, name)).toBe(kind)
  })

  it('refuses a lying ending and says what it holds', () => {
    expect(said(PNG, 'wall.jpg')).toBe('photo: the file is called .jpg but holds a PNG. Give it its own ending.')
    expect(said(JPEG, 'wall.pdf')).toContain('called .pdf but holds a JPEG')
  })

  it.each([
    [bytes(0x25, 0x50, 0x44, 0x46), 'a PDF'],
    [bytes(0, 0, 0, 24, 0x66, 0x74, 0x79, 0x70, 0x68, 0x65, 0x69, 0x63), 'HEIC'],
    [bytes(0x4d, 0x5a), 'no picture'],
    [new Uint8Array(), 'empty'],
  ])('names what is no photo', (file, word) => {
    expect(said(file, 'p.jpg')).toContain(word)
  })

  it('takes 8 MB and not a byte more', () => {
    const most = new Uint8Array(MOST_PHOTO_BYTES)
    most.set(JPEG)
    expect(said(most, 'a.jpg')).toBe('jpeg')
    const over = new Uint8Array(MOST_PHOTO_BYTES + 1)
    over.set(JPEG)
    expect(said(over, 'a.jpg')).toContain('Up to 8 MB')
  })

  it('takes no bytes for a picture by chance', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 40 }), (file) => {
        const isJpeg = [0xff, 0xd8, 0xff].every((byte, i) => file[i] === byte)
        expect(readPhotoKind(file, 'p.jpg').ok && !isJpeg).toBe(false)
      }),
    )
  })
})
