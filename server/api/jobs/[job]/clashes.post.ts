import { clashBody } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { recordClash } from '~~/server/services/jobs'

export default writeRoute(clashBody, (event, body, write) => recordClash(param(event, 'job'), body, write))
