import { setResponseHeaders } from 'h3'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getChain } from '~~/server/services/chain'
import { getJob } from '~~/server/services/jobs'
import { registerCsv } from '~~/server/services/register'

export default route(async (event) => {
  const name = param(event, 'job')
  const [job, chain] = [await getJob(name), await getChain(name)]
  setResponseHeaders(event, {
    'Content-Type': 'text/csv; charset=utf-8',
    'Content-Disposition': `attachment; filename="${job.slug}-register.csv"`,
  })
  return registerCsv(job, chain)
})
