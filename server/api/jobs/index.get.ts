import { route } from '~~/server/http/route'
import { listJobs } from '~~/server/services/jobs'

export default route(async () => ({ jobs: await listJobs() }))
