import { newLine } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { createLine } from '~~/server/services/lines'

export default writeRoute(newLine, (event, body, write) => createLine(param(event, 'job'), body, write))
