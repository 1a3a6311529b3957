import { jointPatch } from '#core/record'
import { param } from '~~/server/http/param'
import { readBodyAs, route } from '~~/server/http/route'
import { updateJoint } from '~~/server/services/joints'

export default route(async event => updateJoint(param(event, 'job'), param(event, 'joint'), await readBodyAs(event, jointPatch)))
