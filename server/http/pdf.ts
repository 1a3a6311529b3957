import { setResponseHeaders, type H3Event } from 'h3'

/** Sends a PDF to be looked at or printed, by its name where it is saved. */
export function sendPdf(event: H3Event, name: string, pdf: Buffer): Buffer {
  setResponseHeaders(event, { 'Content-Type': 'application/pdf', 'Content-Disposition': `inline; filename="${name}"` })
  return pdf
}
