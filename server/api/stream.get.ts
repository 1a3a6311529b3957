import { createEventStream, setResponseHeaders } from 'h3'
import { issue } from '#core/base'
import { Problem } from '~~/server/http/problem'
import { route } from '~~/server/http/route'
import { listen } from '~~/server/services/feed'
import { addStream, MOST_STREAMS, openStreams } from '~~/server/services/streams'

/** A line that is silent longer is cut off by what stands between, ms. */
const PING_MS = 15_000
/** So long a browser waits before it opens a stream anew, ms. */
const RETRY_MS = 1000

/** What happens to jobs and the rack, as server-sent events: `news` each, `ping` while there is none. */
export default route(async (event) => {
  if (openStreams() >= MOST_STREAMS)
    throw new Problem(
      503,
      issue('too-many', '', `${MOST_STREAMS} browsers listen already. It is tried again by itself.`),
    )
  const stream = createEventStream(event)
  setResponseHeaders(event, { 'Cache-Control': 'no-store, no-transform', 'X-Accel-Buffering': 'no' })
  const taken = addStream(stream)
  const stop = await listen((news) => void stream.push({ event: 'news', data: JSON.stringify(news) }))
  const ping = setInterval(() => void stream.push({ event: 'ping', data: '' }), PING_MS)
  stream.onClosed(() => {
    clearInterval(ping)
    stop()
    taken()
  })
  void stream.push({ event: 'ping', data: '', retry: RETRY_MS })
  await stream.send()
})
