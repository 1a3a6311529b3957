import { jointBody } from '#core/record'
import { param } from '~~/server/http/param'
import { readBodyAs, route } from '~~/server/http/route'
import { createJoint } from '~~/server/services/joints'

export default route(async event => createJoint(param(event, 'job'), await readBodyAs(event, jointBody)))
