import { timerBody } from '#core/record'
import { param } from '~~/server/http/param'
import { readBodyAs, route } from '~~/server/http/route'
import { setTimer } from '~~/server/services/joints'

export default route(async event => setTimer(param(event, 'job'), param(event, 'joint'), await readBodyAs(event, timerBody), true))
