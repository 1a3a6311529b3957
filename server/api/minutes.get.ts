import { getQuery } from 'h3'
import * as z from 'zod/mini'
import { readQuery } from '~~/server/http/body'
import { route } from '~~/server/http/route'
import { ownMinutes } from '~~/server/services/across'
import { REGIONS } from '#core/units'

const query = z.object({ region: z.enum(REGIONS) })

/** What the joints signed last took, by method and size, in a country's sizes. */
export default route(async (event) => ({ minutes: await ownMinutes(readQuery(getQuery(event), query).region) }))
