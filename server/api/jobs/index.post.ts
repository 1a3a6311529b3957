import { jobBody } from '#core/record'
import { readBodyAs, route } from '~~/server/http/route'
import { createJob } from '~~/server/services/jobs'

export default route(async event => createJob(await readBodyAs(event, jobBody)))
