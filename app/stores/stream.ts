import type { News } from '#core/acts'
import { pauseAfter } from './pauses'

const LOCK = 'jolvet-stream'

interface Around {
  onNews: (news: News) => void
  /** The line is there, for the first time or again: what was missed meanwhile is read. */
  onOpen: () => void
}

/**
 * Hears what others do. One page of a browser holds the line and passes on what it hears; when it is closed another takes
 * it up. Where a browser knows no locks, each page has its own.
 */
export function openStream({ onNews, onOpen }: Around): void {
  if (typeof EventSource === 'undefined') return
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(LOCK)
  const { locks } = navigator as Navigator & { locks?: LockManager }
  // Without locks each page has a line of its own, and passes nothing on.
  const shared = locks ? channel : undefined
  shared?.addEventListener('message', ({ data }: MessageEvent<News | 'open'>) => {
    if (data === 'open') onOpen()
    else onNews(data)
  })
  let failures = 0

  function connect() {
    const source = new EventSource('/api/stream')
    source.addEventListener('open', () => {
      failures = 0
      onOpen()
      shared?.postMessage('open')
    })
    source.addEventListener('news', ({ data }: MessageEvent<string>) => {
      const news = JSON.parse(data) as News
      onNews(news)
      shared?.postMessage(news)
    })
    source.addEventListener('error', () => {
      // A cut line the browser mends by itself; one that was refused it gives up.
      if (source.readyState !== EventSource.CLOSED) return
      setTimeout(connect, pauseAfter(failures++))
    })
  }

  if (!locks || !shared) connect()
  // Held as long as the page lives.
  else void locks.request(LOCK, () => new Promise<never>(() => connect()))
}
