import { expect } from 'vitest'
import { meets, type Box } from '../app/drawing/labels'

/** Expects labels to lie on a sheet, none over another. */
export function expectApart(boxes: readonly Box[], sheet: Box, words: string) {
  for (const [i, box] of boxes.entries()) {
    expect(box.x, words).toBeGreaterThanOrEqual(sheet.x)
    expect(box.y, words).toBeGreaterThanOrEqual(sheet.y)
    expect(box.x + box.width, words).toBeLessThanOrEqual(sheet.x + sheet.width)
    expect(box.y + box.height, words).toBeLessThanOrEqual(sheet.y + sheet.height)
    for (const other of boxes.slice(i + 1)) expect(meets(box, other), words).toBe(false)
  }
}
