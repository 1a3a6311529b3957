import { undoneCutBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { removeDone } from '~~/server/services/cuts'

export default writeRoute(undoneCutBody, (event, { id }, write) =>
  removeDone(param(event, 'job'), param(event, 'cut'), id, write),
)
