import { signoffBody } from '#core/record'
import { param } from '~~/server/http/param'
import { readBodyAs, route } from '~~/server/http/route'
import { signJoint } from '~~/server/services/joints'

export default route(async event => signJoint(param(event, 'job'), param(event, 'joint'), (await readBodyAs(event, signoffBody)).initials))
