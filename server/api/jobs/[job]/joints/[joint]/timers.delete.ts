import { stepPlace } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { setTimer } from '~~/server/services/joints'

export default writeRoute(stepPlace, (event, body, write) =>
  setTimer(param(event, 'job'), param(event, 'joint'), body, false, write),
)
