import { setResponseHeaders } from 'h3'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getLog } from '~~/server/services/chain'
import { getWhole } from '~~/server/services/jobs'

/** Version of the job's file; it rises when a field changes its meaning. */
const FILE_VERSION = 1

/** The whole job with its log, to be kept as a file. */
export default route(async (event) => {
  const name = param(event, 'job')
  const { gists: _, ...job } = await getWhole(name)
  setResponseHeaders(event, { 'Content-Disposition': `attachment; filename="${job.slug}-job.json"` })
  return { format: 'jolvet-job', version: FILE_VERSION, job, log: await getLog(name) }
})
