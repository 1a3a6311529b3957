import { getPipe } from '#core/catalogue'
import { MOUTH_WORDS, type Piece, type Survey } from '#core/line'
import { lengths, speak } from '#core/speech'
import type { Region } from '#core/units'
import { isGuessed, rowsAlong } from './rows'
import type { RunDraft } from './types'

/** A tube of a run with the points it runs between, by their letters. */
export interface RunPiece {
  piece: Piece
  from: string
  to: string
  /** A length it hangs on is not measured yet. */
  isGuess: boolean
}

/** Every tube of a run that can be made, in order, with its points. */
export function piecesOf({ rows }: RunDraft, { runs }: Survey): RunPiece[] {
  return runs.flatMap(({ legs, piece }) => {
    const on = rowsAlong(rows, legs)
    if (!piece.ok) return []
    const [from, to] = [rows[on[0]!]!.from, rows[on.at(-1)!]!.to]
    return [{ piece: piece.value, from, to, isGuess: isGuessed(rows, legs) }]
  })
}

/** One line of the marks table: what is marked on which piece, mm from its left end. */
export interface MarkRow {
  piece: string
  from: string
  to: string
  pipe: string
  cut: number | null
  what: 'cut' | 'insertion' | 'ring' | 'clip' | 'bend'
  at: number | null
  /** Of a bend: where the hook edge goes, the corner, degrees to bend to and to turn by. */
  hook: number | null
  corner: number | null
  angle: number | null
  turn: number | null
  note: string
}

/** What is said beside a cut: that it is not known yet, or how far makers' fittings let it differ. */
function cutNote({ piece: { cut, cutLo, cutHi }, isGuess }: RunPiece, region: Region): string {
  if (isGuess) return 'a length is not measured yet: do not cut'
  if (cut === null) return 'measure the fitting first'
  return cutLo === cutHi ? '' : `${speak(lengths(cutLo!, cutHi!), region)} by typical fittings`
}

/** The marks table of a run: for each piece its marks from the left end, then the cut. */
export function markRows(pieces: readonly RunPiece[], region: Region): MarkRow[] {
  return pieces.flatMap((one) => {
    const { piece, from, to } = one
    const base = { piece: piece.id, from, to, pipe: getPipe(piece.pipe).label, cut: piece.cut }
    const none = { hook: null, corner: null, angle: null, turn: null }
    const endAt = (at: number) => piece.ends[piece.cut !== null && at > piece.cut / 2 ? 1 : 0]
    return [
      ...piece.marks.map((mark): MarkRow =>
        mark.what === 'bend'
          ? {
              ...base,
              what: 'bend',
              at: mark.at,
              hook: mark.hook,
              corner: mark.corner,
              angle: mark.angle,
              turn: mark.turn,
              note: mark.pull === undefined ? '' : `pull to ${Math.round(mark.pull * 10) / 10} degrees`,
            }
          : {
              ...base,
              ...none,
              what: mark.what,
              at: mark.at,
              note:
                mark.what === 'insertion'
                  ? `into the ${MOUTH_WORDS[endAt(mark.at).into]}, ${endAt(mark.at).method}`
                  : '',
            },
      ),
      { ...base, ...none, what: 'cut', at: piece.cut, note: cutNote(one, region) },
    ]
  })
}
