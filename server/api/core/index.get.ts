import { jsonSchemas } from '#core/contract'
import { route } from '~~/server/http/route'

/** The verbs with the JSON Schema of each question. */
export default route(() => ({ verbs: jsonSchemas() }))
