import { getQuery } from 'h3'
import pLimit from 'p-limit'
import * as z from 'zod/mini'
import { issue } from '#core/base'
import { MOST_PHOTO_BYTES } from '#core/record'
import { readBytes, readQuery } from '~~/server/http/body'
import { param } from '~~/server/http/param'
import { Problem } from '~~/server/http/problem'
import { route } from '~~/server/http/route'
import { keepUpload } from '~~/server/services/photos'

/** More than a photo may have, so that one a little too large is told so in words. */
const MOST_BYTES = 2 * MOST_PHOTO_BYTES

/** Photos read in at once; the others wait with their senders, not in memory. */
const fewAtOnce = pLimit(4)
const MOST_WAITING = 24

const asked = z.object({
  key: z.string().check(z.regex(/^[\w-]{8,40}$/, '8 to 40 letters, digits, _ or - are accepted')),
  name: z._default(z.string().check(z.maxLength(200)), ''),
})

/**
 * A photo by the key of the act that will put it to a find: the bytes as they are, the file's name asked for beside.
 * Answers with what the act says of it.
 */
export default route(async (event) => {
  const { key, name } = readQuery({ key: param(event, 'key'), ...getQuery(event) }, asked)
  if (fewAtOnce.pendingCount >= MOST_WAITING)
    throw new Problem(503, issue('too-many', '', 'Many photos are coming in. Send this one again shortly.'))
  return fewAtOnce(async () => keepUpload(key, name, await readBytes(event, MOST_BYTES)))
})
