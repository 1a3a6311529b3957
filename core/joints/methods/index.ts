import type { SocketMethod } from '#core/catalogue'
import type { OfferedMethod } from '../types'
import { clamp } from './clamp'
import { compression } from './compression'
import { cone } from './cone'
import { crimp } from './crimp'
import { expansion } from './expansion'
import { flare } from './flare'
import { insertClamp } from './insert-clamp'
import { mlCompression } from './ml-compression'
import { mlPress } from './ml-press'
import { peCompression } from './pe-compression'
import { press } from './press'
import { pushFit } from './push-fit'
import { slidingSleeve } from './sliding-sleeve'
import { socketFusion } from './socket-fusion'
import { solder } from './solder'
import { solventCement } from './solvent-cement'
import { thread } from './thread'
import type { JointMethod, MethodTraits } from './types'
import { union } from './union'

export { threadSteps } from './thread'
export type { ThreadCard } from './thread'
export type { JointMethod, MethodLook, MethodTraits } from './types'
export { UNION_STEPS } from './union'

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
  flare: flare,
  'socket-fusion': socketFusion,
  'insert-clamp': insertClamp,
  cone: cone,
}

/** Every way of joining, threads and unions with them. */
export const ALL_METHODS: Readonly<Record<OfferedMethod, MethodTraits>> = { ...JOINT_METHODS, thread, union }
