import { faultBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { addFault } from '~~/server/services/joints'

export default writeRoute(faultBody, (event, body, write) =>
  addFault(param(event, 'job'), param(event, 'joint'), body, write),
)
