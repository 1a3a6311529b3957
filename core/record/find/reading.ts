import { DIAMETER_RANGE, INSTRUMENTS, type Check, type Instrument } from '#core/identify'
import { formatDecimal, MM_PER_INCH, parseLength, type Region, unitSystemOf } from '#core/units'
import { diameter, lengths, speakAll } from '#core/speech'

/** How a diameter is read at the pipe. The wrap strip goes round it and shows the diameter itself. */
export const MEANS = [...INSTRUMENTS, 'strip'] as const
export type Means = (typeof MEANS)[number]

/** The instrument whose error a means has. */
export const instrumentOf = (means: Means): Instrument => (means === 'strip' ? 'tape-round' : means)

/** Circumference over diameter, for a tape put round the pipe. */
const girthToDiameter = (girthMm: number): number => girthMm / Math.PI

/** What the typed diameter comes to: mm, or what is wrong with it and what it could have been. */
export type Reading =
  | { state: 'empty' }
  | { state: 'read'; mm: number; working: string | null }
  | { state: 'wrong'; message: string; guess?: { typed: string; by?: Means; words: string } }

/** A wall or bore as typed: mm, or what is wrong with it. */
export type LengthReading = { state: 'empty' } | { state: 'read'; mm: number } | { state: 'wrong'; message: string }

/** Reads a wall or bore; it lies within the outside diameter where that is known. */
export function readLength(...asked: Parameters<typeof lengthRead>): LengthReading {
  return speakAll(lengthRead(...asked), asked[2])
}
function lengthRead(
  name: 'wall' | 'bore',
  typed: string | undefined,
  region: Region,
  outsideMm: number | null,
): LengthReading {
  if (!typed?.trim()) return { state: 'empty' }
  const parsed = parseLength(typed, unitSystemOf(region), name)
  if (!parsed.ok) return { state: 'wrong', message: parsed.error.message }
  const { mm } = parsed.value
  const share = name === 'wall' ? 1 / 2 : 1
  if (outsideMm !== null && mm >= outsideMm * share)
    return { state: 'wrong', message: `A ${name} of ${diameter(mm)} does not go into ${diameter(outsideMm)} outside.` }
  return { state: 'read', mm }
}

/**
 * Reads a find's diameter by the job's own unit and instrument; a figure that no pipe has is questioned with what it
 * could have been.
 */
export const readDiameter = (find: { typed: string; by: Means }, region: Region): Reading =>
  speakAll(diameterRead(find, region), region)

function diameterRead(find: { typed: string; by: Means }, region: Region): Reading {
  if (find.typed.trim() === '') return { state: 'empty' }
  const parsed = parseLength(find.typed, unitSystemOf(region), 'outside diameter')
  if (!parsed.ok) return { state: 'wrong', message: parsed.error.message }
  const girth = find.by === 'tape-round'
  const mm = girth ? girthToDiameter(parsed.value.mm) : parsed.value.mm
  if (mm >= DIAMETER_RANGE.lo && mm <= DIAMETER_RANGE.hi)
    return {
      state: 'read',
      mm,
      working: girth ? `${diameter(parsed.value.mm)} round it \u00f7 3.1416 = ${diameter(mm)}` : null,
    }
  const inches = parsed.value.mm * MM_PER_INCH
  if (mm < 4 && parsed.value.unit === 'mm' && inches >= 4 && inches <= 120)
    return {
      state: 'wrong',
      message: `${diameter(mm)} is thinner than any pipe.`,
      guess: {
        typed: `${find.typed.trim().replace(/\s*mm$/, '')} in`,
        words: `${formatDecimal(parsed.value.mm, 3)} in is ${formatDecimal(inches, 2)} mm`,
      },
    }
  const across = girthToDiameter(mm)
  if (mm > 120 && across <= 120 && !girth)
    return {
      state: 'wrong',
      message: `No supply pipe is ${diameter(mm)} across. ${lengths(4, 120)} is accepted.`,
      guess: { typed: find.typed, by: 'tape-round', words: `${diameter(mm)} round it is ${diameter(across)} across` },
    }
  return {
    state: 'wrong',
    message: `${diameter(mm)} is outside what supply pipe measures. ${lengths(4, 120)} is accepted.`,
  }
}

/** Water in a found pipe: under pressure, dripping though it is shut off, none. */
export const WATERS = ['live', 'drips', 'drained'] as const
/** The building's earth on a found pipe: no clamp, a clamp, a clamp and the line bridged. */
export const EARTHS = ['none', 'clamped', 'bridged'] as const
/** What is looked at for its joints and its cuts, and says nothing of which pipe it is. */
export const SEEN = ['surface', 'water', 'earth'] as const
export type SeenName = (typeof SEEN)[number]
/** Answers that are no checks. */
const NO_CHECKS: ReadonlySet<string> = new Set(['print', 'ruled-out', ...SEEN])

/** Lengths of a find that are typed. */
export const LENGTH_ANSWERS = ['wall', 'bore'] as const
export type LengthAnswer = (typeof LENGTH_ANSWERS)[number]

/** A find as it is read: each length, and all that can be asked of `identify`. */
export interface FindReading {
  diameter: Reading
  lengths: Readonly<Record<LengthAnswer, LengthReading>>
  checks: Check[]
}

/** What was typed and answered at a find, as checks; what cannot be read is left out of them. */
export function readFind(
  find: { typed: string; by: Means; answers: Readonly<Record<string, unknown>> },
  region: Region,
): FindReading {
  const diameter = readDiameter(find, region)
  const outside = diameter.state === 'read' ? diameter.mm : null
  const typed = (name: LengthAnswer) => (typeof find.answers[name] === 'string' ? find.answers[name] : undefined)
  const lengths = {
    wall: readLength('wall', typed('wall'), region, outside),
    bore: readLength('bore', typed('bore'), region, outside),
  }
  const checks: Check[] =
    diameter.state === 'read' ? [{ check: 'outside-diameter', value: diameter.mm, by: instrumentOf(find.by) }] : []
  if (typeof find.answers.print === 'string') checks.push({ check: 'print', text: find.answers.print })
  for (const [check, value] of Object.entries(find.answers)) {
    if (
      value !== undefined &&
      value !== 'gas' &&
      !NO_CHECKS.has(check) &&
      !LENGTH_ANSWERS.some((name) => name === check)
    )
      checks.push({ check, value } as Check)
  }
  for (const name of LENGTH_ANSWERS) {
    const length = lengths[name]
    if (length.state === 'read') checks.push({ check: name, value: length.mm })
  }
  return { diameter, lengths, checks }
}
