import { z } from 'zod'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { removeOffcut } from '~~/server/services/cuts'

export default writeRoute(z.strictObject({}), (event, _, write) =>
  removeOffcut(param(event, 'job'), param(event, 'offcut'), write),
)
