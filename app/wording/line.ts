import { MOUTH_WORDS, type Piece, type PieceEnd, type PieceMark } from '#core/line'
import { w } from '#core/speech'

/** Words for what a tube enters. */
export const intoWords = ({ into }: PieceEnd, letter: string): string =>
  into === 'free' ? MOUTH_WORDS.free : `${MOUTH_WORDS[into]} ${letter}`

/** Warnings of what will not do, beside those of what is tight or not known. */
const WRONG: ReadonlySet<string> = new Set([
  'bend-in-insertion',
  'joints-meet',
  'joint-in-wall',
  'crossing',
  'method',
  'clip-on-bend',
  'clip-on-joint',
])
export const warningShape = (code: string): 'refused' | 'held' => (WRONG.has(code) ? 'refused' : 'held')

/** Where a bend turns, as seen from the one before it along the tube; the first is only placed. */
export function turnWords(mark: Extract<PieceMark, { what: 'bend' }>, isFirst: boolean): string {
  if (isFirst) return 'any way'
  const turn = Math.round(mark.turn)
  if (turn === 0 || turn === 360) return 'the same way'
  if (turn === 180) return 'back the other way'
  return turn < 180 ? `rolled ${turn}° clockwise` : `rolled ${360 - turn}° ${w.anticlockwise}`
}

/** The same in a word for the strip; nothing where it only goes on the same way. */
export function turnShort(turn: number): string {
  const degrees = Math.round(turn) % 360
  if (degrees === 0) return ''
  return degrees === 180 ? ' back' : `, turn ${degrees}°`
}

export const bendsOf = (piece: Piece) => piece.marks.filter((mark) => mark.what === 'bend')
