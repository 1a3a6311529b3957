import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { News } from '#core/acts'
import { openStream } from './stream'

class Source extends EventTarget {
  static readonly CLOSED = 2
  static all: Source[] = []
  readyState = 0
  constructor(readonly url: string) {
    super()
    Source.all.push(this)
  }
  say(type: string, data?: unknown) {
    this.dispatchEvent(Object.assign(new Event(type), { data: JSON.stringify(data) }))
  }
}
/** Channel and lock that the pages of one browser share. */
const channels = new Set<Channel>()
class Channel extends EventTarget {
  constructor() {
    super()
    channels.add(this)
  }
  postMessage(data: unknown) {
    for (const other of channels)
      if (other !== this) other.dispatchEvent(Object.assign(new Event('message'), { data: structuredClone(data) }))
  }
}
const NEWS: News = { jobs: [], gone: ['job-1'], isRack: false }
let heard: string[]
const open = (name: string) =>
  openStream({
    onNews: ({ gone }) => heard.push(`${name} hears ${gone.join()}`),
    onOpen: () => heard.push(`${name} opens`),
  })

beforeEach(() => {
  vi.useFakeTimers()
  heard = []
  Source.all = []
  channels.clear()
  let isHeld = false
  vi.stubGlobal('EventSource', Source)
  vi.stubGlobal('BroadcastChannel', Channel)
  vi.stubGlobal('navigator', {
    locks: {
      request: (_: string, work: () => Promise<never>) => {
        if (!isHeld) void work()
        isHeld = true
      },
    },
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the line to the server', () => {
  it('is held by one page of a browser, which passes on what it hears', () => {
    open('first')
    open('second')
    expect(Source.all.map(({ url }) => url)).toEqual(['/api/stream'])
    Source.all[0]!.say('open')
    Source.all[0]!.say('news', NEWS)
    expect(heard).toEqual(['first opens', 'second opens', 'first hears job-1', 'second hears job-1'])
  })
  it('is each page’s own where a browser knows no locks, and nothing is heard twice', () => {
    vi.stubGlobal('navigator', {})
    open('first')
    open('second')
    for (const source of Source.all) source.say('news', NEWS)
    expect(heard).toEqual(['first hears job-1', 'second hears job-1'])
  })
  it('is begun again after growing pauses where it was refused, and at once grows no more once it is there', () => {
    open('first')
    const refuse = () => {
      Source.all.at(-1)!.readyState = Source.CLOSED
      Source.all.at(-1)!.say('error')
    }
    refuse()
    vi.advanceTimersByTime(1000)
    expect(Source.all).toHaveLength(2)
    refuse()
    vi.advanceTimersByTime(1999)
    expect(Source.all).toHaveLength(2)
    vi.advanceTimersByTime(1)
    expect(Source.all).toHaveLength(3)
    Source.all.at(-1)!.say('open')
    refuse()
    vi.advanceTimersByTime(1000)
    expect(Source.all).toHaveLength(4)
  })
  it('that is only cut is left to the browser, which mends it', () => {
    open('first')
    Source.all[0]!.say('error')
    vi.advanceTimersByTime(60_000)
    expect(Source.all).toHaveLength(1)
  })
  it('is not asked for where a browser has none such', () => {
    vi.stubGlobal('EventSource', undefined)
    expect(() => open('first')).not.toThrow()
  })
})
