import { finishBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { finish } from '~~/server/services/cuts'

export default writeRoute(finishBody, (event, body, write) =>
  finish(param(event, 'job'), param(event, 'cut'), body, write),
)
