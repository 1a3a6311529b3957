import { param } from '~~/server/http/param'
import { sendPdf } from '~~/server/http/pdf'
import { route } from '~~/server/http/route'
import { diameterCardsSheet } from '~~/server/services/sheets'

export default route(async (event) => {
  const { slug, pdf } = await diameterCardsSheet(param(event, 'job'))
  return sendPdf(event, `${slug}-diameter-cards.pdf`, pdf)
})
