import { cutStore } from './cuts'
import { findStore } from './finds'
import { jointStore } from './joints'
import { lineStore } from './lines'
import { lookStore } from './looks'
import { rackStore } from './rack'
import type { Stores } from './store'

/** Where the records of each kind are kept. */
export const STORES: Stores = {
  finds: findStore,
  lines: lineStore,
  cuts: cutStore,
  joints: jointStore,
  rack: rackStore,
  looks: lookStore,
}
