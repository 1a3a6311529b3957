import { cutPatch } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { updateCut } from '~~/server/services/cuts'

export default writeRoute(cutPatch, (event, body, write) =>
  updateCut(param(event, 'job'), param(event, 'cut'), body, write),
)
