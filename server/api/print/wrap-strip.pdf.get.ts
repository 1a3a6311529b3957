import { getQuery } from 'h3'
import * as z from 'zod/mini'
import { readQuery } from '~~/server/http/body'
import { sendPdf } from '~~/server/http/pdf'
import { route } from '~~/server/http/route'
import { wrapStripSheet } from '~~/server/services/sheets'
import { REGIONS } from '#core/units'

const question = z.strictObject({ region: z.enum(REGIONS) })

export default route(async (event) => {
  const { region } = readQuery(getQuery(event), question)
  return sendPdf(event, `wrap-strip-${region}.pdf`, await wrapStripSheet(region))
})
