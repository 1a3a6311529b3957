import { Problem } from '~~/server/http/problem'
import { route } from '~~/server/http/route'

/** Anything under /api that no route takes: said as data, never answered with a page. */
export default route(() => {
  throw new Problem(404, {
    code: 'unknown-id',
    path: '',
    message: 'There is no such route. GET /api/core lists the verbs.',
  })
})
