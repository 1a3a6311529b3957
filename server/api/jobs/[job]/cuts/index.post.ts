import { newCut } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { createCut } from '~~/server/services/cuts'

export default writeRoute(newCut, (event, body, write) => createCut(param(event, 'job'), body, write))
