import * as Comlink from 'comlink'
import { heatAlong } from '#core/heat'

/** Heat along a tube, worked out beside the page. */
export const heatWork = { follow: heatAlong }

Comlink.expose(heatWork)
