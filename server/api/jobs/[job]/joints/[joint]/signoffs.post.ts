import { signoffBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { signOff } from '~~/server/services/joints'

export default writeRoute(signoffBody, (event, body, write) =>
  signOff(param(event, 'job'), param(event, 'joint'), body, write),
)
