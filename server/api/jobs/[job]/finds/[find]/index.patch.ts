import { findPatch } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { updateFind } from '~~/server/services/finds'

export default writeRoute(findPatch, (event, body, write) =>
  updateFind(param(event, 'job'), param(event, 'find'), body, write),
)
