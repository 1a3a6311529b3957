import { reopenBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { reopen } from '~~/server/services/joints'

export default writeRoute(reopenBody, (event, body, write) =>
  reopen(param(event, 'job'), param(event, 'joint'), body, write),
)
