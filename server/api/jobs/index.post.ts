import { newJob } from '#core/record'
import { writeRoute } from '~~/server/http/write'
import { createJob } from '~~/server/services/jobs'

export default writeRoute(newJob, (_, body, write) => createJob(body, write))
