import { MOST_PHOTO_BYTES, newPhoto } from '#core/record'
import { param } from '~~/server/http/param'
import { writeRoute } from '~~/server/http/write'
import { createPhoto } from '~~/server/services/finds'

/**
 * A photo in base64 is a third longer than its bytes; some more, so that one a little too large is told so in words.
 */
const MOST_BODY_BYTES = 2 * MOST_PHOTO_BYTES

export default writeRoute(
  newPhoto,
  (event, body, write) => createPhoto(param(event, 'job'), param(event, 'find'), body, write),
  MOST_BODY_BYTES,
)
