import { expect, it } from 'vitest'
import { countedSet } from './counted-set'

it('keeps a name until everybody who put it in has taken it out, whoever goes first', () => {
  const viewed = countedSet()
  const [joint, make] = [viewed.add('job-1'), viewed.add('job-1')]
  joint()
  expect([viewed.has('job-1'), viewed.all()]).toEqual([true, ['job-1']])
  // The same page takes out no second one.
  joint()
  expect(viewed.has('job-1')).toBe(true)
  make()
  expect([viewed.has('job-1'), viewed.all()]).toEqual([false, []])
})
