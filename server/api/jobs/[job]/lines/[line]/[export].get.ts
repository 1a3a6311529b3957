import { sendExport } from '~~/server/http/export'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { exportLine } from '~~/server/services/line-exports'

export default route(async (event) =>
  sendExport(event, await exportLine(param(event, 'job'), param(event, 'line'), param(event, 'export'))),
)
