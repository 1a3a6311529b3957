import { getQuery } from 'h3'
import { z } from 'zod'
import type { SinceAnswer, WholeJob } from '#core/acts'
import { readQuery } from '~~/server/http/body'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getSince, getWhole } from '~~/server/services/jobs'

const query = z.object({ since: z.coerce.number().int().min(0).optional() })

/** The whole job, or what changed of it after so many acts. */
export default route((event): Promise<WholeJob | SinceAnswer> => {
  const name = param(event, 'job')
  const { since } = readQuery(getQuery(event), query)
  return since === undefined ? getWhole(name) : getSince(name, since)
})
