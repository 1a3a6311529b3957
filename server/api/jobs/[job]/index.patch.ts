import { jobPatch } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { updateJob } from '~~/server/services/jobs'

export default writeRoute(jobPatch, (event, body, write) => updateJob(param(event, 'job'), body, write))
