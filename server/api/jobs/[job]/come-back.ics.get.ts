import { sendExport } from '~~/server/http/export'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { comeBackFile } from '~~/server/services/come-back'

export default route(async (event) => sendExport(event, await comeBackFile(param(event, 'job'))))
