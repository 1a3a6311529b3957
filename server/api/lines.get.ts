import { getQuery } from 'h3'
import * as z from 'zod/mini'
import { readQuery } from '~~/server/http/body'
import { route } from '~~/server/http/route'
import { linesElsewhere } from '~~/server/services/across'
import { REGIONS } from '#core/units'

const query = z.object({ region: z.enum(REGIONS), jobs: z._default(z.string().check(z.maxLength(2000)), '') })

/** Lines that a cut sheet may take in: of open jobs in a country's sizes, and of those named by their ids. */
export default route(async (event) => {
  const { region, jobs } = readQuery(getQuery(event), query)
  return { jobs: await linesElsewhere(region, jobs.split(',').filter(Boolean).slice(0, 40)) }
})
