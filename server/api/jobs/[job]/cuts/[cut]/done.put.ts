import { doneCutBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { addDone } from '~~/server/services/cuts'

export default writeRoute(doneCutBody, (event, body, write) =>
  addDone(param(event, 'job'), param(event, 'cut'), body, write),
)
