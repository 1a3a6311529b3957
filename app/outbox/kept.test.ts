import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { createKeeper } from './kept'
import type { Entry } from './entry'
import { memoryStorage, type Storage } from './storage'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const kept = (): Storage => ({ ...memoryStorage(), isKept: true })

it('tries again what failed once, and keeps to the storage', async () => {
  const onLost = vi.fn()
  const keeper = createKeeper(kept(), () => [], onLost)
  let tries = 0
  const work = async () => {
    tries++
    if (tries === 1) throw new Error('QuotaExceededError')
  }
  expect(await keeper.keep(work)).toBe(true)
  expect([tries, keeper.isKept]).toEqual([2, true])
  expect(onLost).not.toHaveBeenCalled()
})

it('goes on in memory, and says so, where it fails twice', async () => {
  const onLost = vi.fn()
  const keeper = createKeeper(kept(), () => [], onLost)
  const broken = () => Promise.reject(new Error('gone'))
  expect(await keeper.keep(broken)).toBe(false)
  expect(keeper.isKept).toBe(false)
  expect(onLost).toHaveBeenCalledOnce()
  expect(await keeper.keep(async (storage) => storage.add({ key: 'a' } as never))).toBe(true)
})

it('does not wait for ever on a storage that never answers', async () => {
  const keeper = createKeeper(
    kept(),
    () => [],
    () => undefined,
  )
  const done = keeper.keep(() => new Promise(() => undefined))
  await vi.advanceTimersByTimeAsync(3001)
  expect(await done).toBe(false)
  expect(keeper.isKept).toBe(false)
})

it('does one thing after another', async () => {
  vi.useRealTimers()
  const keeper = createKeeper(
    kept(),
    () => [],
    () => undefined,
  )
  const order: string[] = []
  const slow = async () => {
    await new Promise((resolve) => setTimeout(resolve, 20))
    order.push('slow')
  }
  void keeper.keep(slow)
  void keeper.keep(async () => order.push('quick'))
  await keeper.idle()
  expect(order).toEqual(['slow', 'quick'])
})

it('tells a storage that was only slow what follows, so that it keeps nothing that was sent', async () => {
  vi.useRealTimers()
  const slow = kept()
  const entry = { key: 'a', act: { body: { place: 'b' } }, isSealed: false } as unknown as Entry
  await slow.add(entry)
  let answers: () => void = () => undefined
  const stuck = new Promise<void>((resolve) => {
    answers = resolve
  })
  // Each change of it waits for the one before, as a browser's database has it.
  const late: Storage = {
    ...slow,
    replace: (...about) => stuck.then(() => slow.replace(...about)),
    seal: (key) => stuck.then(() => slow.seal(key)),
    remove: (key) => stuck.then(() => slow.remove(key)),
  }
  vi.useFakeTimers()
  const keeper = createKeeper(
    late,
    () => [entry],
    () => undefined,
  )
  const whole = { ...entry, act: { body: { place: 'behind' } } } as unknown as Entry
  const changed = keeper.keep((storage) => storage.replace('a', whole, true))
  await vi.advanceTimersByTimeAsync(3001)
  expect(await changed).toBe(false)
  let sealed: Entry | undefined
  await keeper.keep(async (storage) => {
    sealed = await storage.seal('a')
  })
  expect(sealed).toMatchObject({ key: 'a', isSealed: true })
  await keeper.keep((storage) => storage.remove('a'))
  answers()
  await vi.advanceTimersByTimeAsync(0)
  expect(await slow.all()).toEqual([])
})
