import type { Figure } from '#core/base'
import {
  findReducerTakeOut,
  findSocket,
  findTakeOut,
  insertionDepth,
  type LineFitting,
  type Pipe,
  type SocketMethod,
} from '#core/catalogue'
import { JOINT_METHODS, type Kit, type Method } from '#core/joints'
import { LINE_PARTS } from './parts'
import type { Given, LineEnd, LineStart, Mouth } from './types'

const MEASURE: Figure = { value: null, lo: null, hi: null, source: 'measured: no figure is held' }
const exact = (value: number, source = 'measured'): Figure => ({ value, lo: value, hi: value, source })

const isSocketMethod = (method: Method): method is SocketMethod => method in JOINT_METHODS

/** A size as it is written on a fitting: "22", or "22 x 22 x 15". */
const written = (nominal: string): string => nominal.replace(/\s*[x\u00d7]\s*/gi, ' x ').trim()

function measuredOf({ kit, method, pipe, fitting, sizes }: MouthQuestion): Given {
  const nominals = sizes.includes(' x ')
    ? [sizes]
    : [sizes, (isSocketMethod(method) ? findSocket(method, pipe)?.fittingNominal : undefined) ?? sizes]
  return (
    kit?.measured?.find(
      (one) =>
        one.method === method &&
        nominals.includes(written(one.nominal)) &&
        LINE_PARTS[fitting].kit.includes(one.fitting),
    ) ?? {}
  )
}

const insertionOf = (given: Given, measured: Given, method: Method, pipe: Pipe): Figure => {
  if (given.insertion !== undefined) return exact(given.insertion)
  if (measured.insertion !== undefined) return exact(measured.insertion)
  return (method === 'thread' || isSocketMethod(method) ? insertionDepth(method, pipe) : null) ?? MEASURE
}

export interface MouthQuestion {
  fitting: LineFitting
  given: Given
  method: Method
  pipe: Pipe
  kit: Kit | undefined
  /** Size of the whole fitting, such as "22" or "22 x 22 x 15". */
  sizes: string
  /** The fitting's tubes differ so that the rows of equal fittings do not hold for this mouth. */
  isReducing: boolean
}

/** What the tables hold of a mouth: of a reducing coupling half of its gap, of other reducing fittings nothing. */
function tabled({ fitting, method, pipe, sizes, isReducing }: MouthQuestion): Figure | null {
  if (!isSocketMethod(method) && method !== 'thread') return null
  if (!isReducing) return findTakeOut(method, pipe, fitting)
  return fitting === 'reducer' && isSocketMethod(method) ? findReducerTakeOut(method, pipe, sizes) : null
}

/**
 * Take-out and insertion of a fitting's mouth: given, then measured in the kit, then the tables; else to be measured.
 */
export function fittingMouth(question: MouthQuestion): Mouth {
  const { fitting, given, method, pipe } = question
  const measured = measuredOf(question)
  const takeOut = given.takeOut ?? measured.takeOut
  const table = takeOut === undefined ? tabled(question) : null
  return {
    kind: fitting,
    method,
    takeOut: takeOut === undefined ? (table ?? MEASURE) : exact(takeOut),
    insertion: insertionOf(given, measured, method, pipe),
  }
}

/** What a tube enters where no fitting of the line stands: nothing, a stop, or something behind its face. */
export function plainMouth(
  end: Exclude<LineEnd | LineStart, { kind: 'fitting' | 'bend' }>,
  method: Method,
  pipe: Pipe,
): Mouth {
  const none = { kind: end.kind, method, takeOut: exact(0, 'measured to the tube itself') }
  return end.kind === 'free'
    ? { ...none, insertion: exact(0, 'free end') }
    : { ...none, insertion: insertionOf(end, {}, method, pipe) }
}
