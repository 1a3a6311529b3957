import * as Comlink from 'comlink'
import { besideOf } from '#core/record'

/** How a line stands to the one beside it, worked out beside the page: on a long line it takes a while. */
export const besideWork = { stand: besideOf }

Comlink.expose(besideWork)
