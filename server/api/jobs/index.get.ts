import { getQuery, setResponseHeader } from 'h3'
import { readQuery } from '~~/server/http/body'
import { route } from '~~/server/http/route'
import { listJobs, listQuery } from '~~/server/services/job-list'

/** Jobs as they stand in the list, a page at a time. */
export default route(async (event) => {
  const list = await listJobs(readQuery(getQuery(event), listQuery))
  setResponseHeader(event, 'Content-Type', 'application/json')
  return list
})
