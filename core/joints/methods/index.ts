import type { SocketMethod } from '#core/catalogue'
import { clamp } from './clamp'
import { compression } from './compression'
import { crimp } from './crimp'
import { expansion } from './expansion'
import { mlCompression } from './ml-compression'
import { mlPress } from './ml-press'
import { peCompression } from './pe-compression'
import { press } from './press'
import { pushFit } from './push-fit'
import { slidingSleeve } from './sliding-sleeve'
import { solder } from './solder'
import { solventCement } from './solvent-cement'
import type { JointMethod } from './types'

export type { JointMethod } from './types'

export const JOINT_METHODS: Readonly<Record<SocketMethod, JointMethod>> = {
  solder: solder,
  press: press,
  'push-fit': pushFit,
  compression: compression,
  crimp: crimp,
  clamp: clamp,
  expansion: expansion,
  'sliding-sleeve': slidingSleeve,
  'ml-press': mlPress,
  'ml-compression': mlCompression,
  'solvent-cement': solventCement,
  'pe-compression': peCompression,
}
