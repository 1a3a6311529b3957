import { getQuery } from 'h3'
import * as z from 'zod/mini'
import type { SinceAnswer, WholeJob } from '#core/acts'
import { readQuery } from '~~/server/http/body'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getSince, getWhole } from '~~/server/services/jobs'

const query = z.object({ since: z.optional(z.coerce.number().check(z.int(), z.minimum(0))) })

/** The whole job, or what changed of it after so many acts. */
export default route((event): Promise<WholeJob | SinceAnswer> => {
  const name = param(event, 'job')
  const { since } = readQuery(getQuery(event), query)
  return since === undefined ? getWhole(name) : getSince(name, since)
})
