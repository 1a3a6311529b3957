import { expect, it } from 'vitest'
import { ringPath } from './ring'

it('draws the bore the other way round, so that it stays clear', () => {
  expect(ringPath(50, 40, 30, 20)).toBe(
    'M20 40a30 30 0 1 0 60 0a30 30 0 1 0 -60 0ZM30 40a20 20 0 1 1 40 0a20 20 0 1 1 -40 0Z',
  )
})
