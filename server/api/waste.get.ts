import { route } from '~~/server/http/route'
import { finishedSheets } from '~~/server/services/across'

/** What the sheets finished last came to. */
export default route(async () => ({ sheets: await finishedSheets() }))
