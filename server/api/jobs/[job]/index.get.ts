import { route } from '~~/server/http/route'
import { param } from '~~/server/http/param'
import { getJob } from '~~/server/services/jobs'

export default route((event) => getJob(param(event, 'job')))
