import { planBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { setPlan } from '~~/server/services/cuts'

/** A plan of 2,000 pieces is about so large, bytes. */
const MOST_BYTES = 2 * 1024 * 1024

export default writeRoute(
  planBody,
  (event, body, write) => setPlan(param(event, 'job'), param(event, 'cut'), body, write),
  MOST_BYTES,
)
