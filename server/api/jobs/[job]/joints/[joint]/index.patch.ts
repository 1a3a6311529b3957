import { jointPatch } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { updateJoint } from '~~/server/services/joints'

export default writeRoute(jointPatch, (event, body, write) =>
  updateJoint(param(event, 'job'), param(event, 'joint'), body, write),
)
