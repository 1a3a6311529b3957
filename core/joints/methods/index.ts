import type { SocketMethod } from '#core/catalogue'
import { compression } from './compression'
import { crimp } from './crimp'
import { mlPress } from './ml-press'
import { peCompression } from './pe-compression'
import { press } from './press'
import { pushFit } from './push-fit'
import { solder } from './solder'
import type { JointMethod } from './types'

export type { Concern, JointMethod } from './types'
export { care, held, note } from './types'

export const JOINT_METHODS: Readonly<Record<SocketMethod, JointMethod>> = {
  'solder': solder, 'press': press, 'push-fit': pushFit, 'compression': compression, 'crimp': crimp, 'ml-press': mlPress, 'pe-compression': peCompression,
}
