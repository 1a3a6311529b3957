import { z } from 'zod'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { removeLine } from '~~/server/services/lines'

export default writeRoute(z.strictObject({}), (event, _, write) =>
  removeLine(param(event, 'job'), param(event, 'line'), write),
)
