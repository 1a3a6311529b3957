import { newFind } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { createFind } from '~~/server/services/finds'

export default writeRoute(newFind, (event, body, write) => createFind(param(event, 'job'), body, write))
