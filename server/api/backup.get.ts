import { route } from '~~/server/http/route'
import { lastBackup } from '~~/server/services/backups'

/** When the last backup of this server was made. */
export default route(async () => ({ at: (await lastBackup())?.toISOString() ?? null }))
