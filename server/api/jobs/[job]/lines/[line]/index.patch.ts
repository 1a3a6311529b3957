import { linePatch } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { updateLine } from '~~/server/services/lines'

export default writeRoute(linePatch, (event, body, write) =>
  updateLine(param(event, 'job'), param(event, 'line'), body, write),
)
