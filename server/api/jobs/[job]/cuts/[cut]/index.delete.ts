import { z } from 'zod'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { removeCut } from '~~/server/services/cuts'

export default writeRoute(z.strictObject({}), (event, _, write) =>
  removeCut(param(event, 'job'), param(event, 'cut'), write),
)
