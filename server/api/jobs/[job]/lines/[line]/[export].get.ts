import { setResponseHeaders } from 'h3'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { exportLine } from '~~/server/services/line-exports'

export default route(async (event) => {
  const { name, type, body, isShown } = await exportLine(param(event, 'job'), param(event, 'line'), param(event, 'export'))
  setResponseHeaders(event, { 'Content-Type': type, 'Content-Disposition': `${isShown ? 'inline' : 'attachment'}; filename="${name}"` })
  return body
})
