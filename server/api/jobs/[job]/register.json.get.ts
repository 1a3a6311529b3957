import { setResponseHeaders } from 'h3'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getChain } from '~~/server/services/chain'
import { getJob } from '~~/server/services/jobs'
import { registerJson } from '~~/server/services/register'

export default route(async (event) => {
  const name = param(event, 'job')
  const [job, chain] = [await getJob(name), await getChain(name)]
  setResponseHeaders(event, { 'Content-Disposition': `attachment; filename="${job.slug}-register.json"` })
  return registerJson(job, chain)
})
