import { route } from '~~/server/http/route'
import { listComingBack } from '~~/server/services/come-back'

export default route(async () => ({ joints: await listComingBack() }))
