import { offcutBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { saveOffcut } from '~~/server/services/cuts'

export default writeRoute(offcutBody, (event, body, write) =>
  saveOffcut(param(event, 'job'), param(event, 'offcut'), body, write),
)
