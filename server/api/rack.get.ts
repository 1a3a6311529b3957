import { route } from '~~/server/http/route'
import { getRack } from '~~/server/services/jobs'

export default route(async () => ({ rack: await getRack() }))
