import { getRequestIP, setResponseHeader, type H3Event } from 'h3'
import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible'
import { issue } from '#core/base'
import { Problem } from '../http/problem'

interface Rate {
  /** What is counted, as it is said. */
  what: string
  calls: number
  seconds: number
  takes: (method: string, path: string) => boolean
}

/** Calls of one address; the first that takes a call counts it. Far over what hands do, under what a loop does. */
const RATES: readonly Rate[] = [
  { what: 'acts', calls: 400, seconds: 10, takes: (method, path) => method === 'POST' && path === '/api/acts' },
  {
    what: 'photos',
    calls: 60,
    seconds: 60,
    takes: (method, path) => method === 'PUT' && path.startsWith('/api/photos/'),
  },
  {
    what: 'prints and files',
    calls: 120,
    seconds: 60,
    takes: (_, path) => /\.(pdf|csv|ics|json|svg|dxf)$/.test(path) && path.startsWith('/api/'),
  },
]

export const rateOf = (method: string, path: string): Rate | undefined => RATES.find(({ takes }) => takes(method, path))

/** So many times more is taken: for a bench, or where many tablets come through one proxy. */
const times = Number(process.env.JOLVET_RATE_TIMES ?? 1) || 1
const limiters = new Map(
  RATES.map((rate) => [rate, new RateLimiterMemory({ points: rate.calls * times, duration: rate.seconds })]),
)

/** Problem 429 with `Retry-After` where an address calls oftener than is taken. */
export async function checkRate(event: H3Event, path: string) {
  const rate = rateOf(event.method, path)
  if (!rate) return
  const refused = await limiters
    .get(rate)!
    .consume(getRequestIP(event) ?? 'unknown')
    .then(
      () => null,
      (error: RateLimiterRes) => error,
    )
  if (!refused) return
  const wait = Math.max(1, Math.ceil(refused.msBeforeNext / 1000))
  setResponseHeader(event, 'Retry-After', wait)
  throw new Problem(
    429,
    issue(
      'too-many',
      '',
      `At most ${rate.calls * times} calls for ${rate.what} in ${rate.seconds} s. Again in ${wait} s.`,
    ),
  )
}
