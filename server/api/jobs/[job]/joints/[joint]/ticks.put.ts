import { tickBody } from '#core/record'
import { param } from '~~/server/http/param'
import { readBodyAs, route } from '~~/server/http/route'
import { setTick } from '~~/server/services/joints'

export default route(async event => setTick(param(event, 'job'), param(event, 'joint'), await readBodyAs(event, tickBody), true))
