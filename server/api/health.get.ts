import { route } from '~~/server/http/route'
import { pingDatabase } from '~~/server/services/health'

export default route(pingDatabase)
