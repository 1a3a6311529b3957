import { param } from '~~/server/http/param'
import { sendPdf } from '~~/server/http/pdf'
import { route } from '~~/server/http/route'
import { depthCardsSheet } from '~~/server/services/sheets'

export default route(async (event) => {
  const { slug, pdf } = await depthCardsSheet(param(event, 'job'))
  return sendPdf(event, `${slug}-depth-cards.pdf`, pdf)
})
