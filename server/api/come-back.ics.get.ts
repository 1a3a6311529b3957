import { sendExport } from '~~/server/http/export'
import { route } from '~~/server/http/route'
import { comeBackFile } from '~~/server/services/come-back'

export default route(async (event) => sendExport(event, await comeBackFile()))
