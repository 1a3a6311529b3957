import { setResponseHeaders } from 'h3'
import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getPhoto } from '~~/server/services/photos'

export default route(async (event) => {
  const picture = await getPhoto(param(event, 'job'), param(event, 'find'), param(event, 'photo'))
  // A photo never changes; another one has another id.
  setResponseHeaders(event, { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=31536000, immutable' })
  return picture
})
