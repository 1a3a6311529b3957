import { newJoint } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { createJoint } from '~~/server/services/joints'

export default writeRoute(newJoint, (event, body, write) => createJoint(param(event, 'job'), body, write))
