import { setResponseHeaders, type H3Event } from 'h3'

/** A file given out: its name, its type, and whether it is shown rather than saved. */
export interface Export {
  name: string
  type: string
  body: string | Buffer
  isShown: boolean
}

export function sendExport(event: H3Event, { name, type, body, isShown }: Export): string | Buffer {
  setResponseHeaders(event, {
    'Content-Type': type,
    'Content-Disposition': `${isShown ? 'inline' : 'attachment'}; filename="${name}"`,
  })
  return body
}
