import { bendOf, type Pipe } from '#core/catalogue'
import { crossesWall, type LaidLeg, type LineQuestion } from '#core/line'

/* What a line needs where it turns without a fitting, and where it goes through something. */

interface LaidLine {
  draft: { question: LineQuestion | null }
  survey: { laid: readonly LaidLeg[] }
}

/**
 * Bends of tube that springs back, tighter than it is laid free: each is held by a bend support. At the radius that was
 * given, mm; where none was, the tube is laid free and held by clips.
 */
export function supportedBends({ draft: { question }, survey: { laid } }: LaidLine): LaidLeg[] {
  const radius = question?.bender?.radius
  if (!question || radius === undefined) return []
  return laid.filter(({ index, pipe }) => {
    const bend = bendOf(pipe)
    return (
      question.legs[index]!.end.kind === 'bend' && bend !== null && !bend.isPulled && radius < (bend.radius.value ?? 0)
    )
  })
}

/** Where a line goes through a wall: its pipe there and how thick the wall is, mm. */
export function throughWalls({ draft: { question }, survey: { laid } }: LaidLine): { pipe: Pipe; thick: number }[] {
  return (question?.walls ?? []).flatMap((wall) =>
    laid.filter((leg) => crossesWall(leg, wall)).map(({ pipe }) => ({ pipe, thick: wall.thick })),
  )
}
