import { param } from '~~/server/http/param'
import { route } from '~~/server/http/route'
import { getChain } from '~~/server/services/chain'

export default route((event) => getChain(param(event, 'job')))
