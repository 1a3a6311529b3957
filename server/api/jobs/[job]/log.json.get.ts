import { setResponseHeaders } from 'h3'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getLog } from '~~/server/services/chain'

export default route(async (event) => {
  const log = await getLog(param(event, 'job'))
  setResponseHeaders(event, { 'Content-Disposition': `attachment; filename="${log.job.slug}-log.json"` })
  return log
})
