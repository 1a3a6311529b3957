import { tubesOf } from '../line/work'
import type { JobRecord } from './record'

/** Pipe that lines of the job are cut from, with the lines and how many pieces they want. */
export interface PipeWanted {
  pipe: string
  lines: string[]
  pieces: number
}

/** What no sheet has yet: pieces of the job's lines by pipe. */
export function pipesWanted(job: JobRecord): PipeWanted[] {
  const found = new Map<string, PipeWanted>()
  for (const line of job.lines) {
    for (const { piece } of tubesOf(job, line)) {
      const own = found.get(piece.pipe) ?? { pipe: piece.pipe, lines: [], pieces: 0 }
      if (!own.lines.includes(line.id)) own.lines.push(line.id)
      own.pieces += 1
      found.set(piece.pipe, own)
    }
  }
  return [...found.values()]
    .filter(({ pipe, lines }) =>
      lines.some(
        (line) => !job.cuts.some((cut) => cut.pipe === pipe && cut.sources.some((source) => source.line === line)),
      ),
    )
    .sort((a, b) => b.pieces - a.pieces)
}
