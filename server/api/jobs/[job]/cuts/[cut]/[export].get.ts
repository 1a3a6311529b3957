import { sendExport } from '~~/server/http/export'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { exportCut } from '~~/server/services/cut-exports'

export default route(async (event) =>
  sendExport(event, await exportCut(param(event, 'job'), param(event, 'cut'), param(event, 'export'))),
)
