import { z } from 'zod'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { removePhoto } from '~~/server/services/finds'

export default writeRoute(z.strictObject({}), (event, _, write) =>
  removePhoto(param(event, 'job'), param(event, 'find'), param(event, 'photo'), write),
)
