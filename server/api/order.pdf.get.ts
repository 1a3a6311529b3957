import { getQuery } from 'h3'
import { sendPdf } from '~~/server/http/pdf'
import { route } from '~~/server/http/route'
import { orderSheet } from '~~/server/services/sheets'

/** Words of the address by a name, one or several. */
const listOf = (value: unknown): string[] =>
  [value].flat().filter((one): one is string => typeof one === 'string' && one !== '')

export default route(async (event) => {
  const { job, joint, line } = getQuery(event)
  const pdf = await orderSheet(listOf(job), { joint: listOf(joint)[0], line: listOf(line)[0] })
  return sendPdf(event, 'order.pdf', pdf)
})
