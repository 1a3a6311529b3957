import { z } from 'zod'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { takeBack } from '~~/server/services/joints'

export default writeRoute(z.strictObject({}), (event, _, write) =>
  takeBack(param(event, 'job'), param(event, 'joint'), write),
)
