import { setResponseHeaders } from 'h3'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getJob } from '~~/server/services/jobs'
import { registerJson } from '~~/server/services/register'

export default route(async (event) => {
  const job = await getJob(param(event, 'job'))
  setResponseHeaders(event, { 'Content-Disposition': `attachment; filename="${job.slug}-register.json"` })
  return registerJson(job)
})
