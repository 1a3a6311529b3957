import { fail, ok, type Result } from '#core/base'
import { vectorOf, type Direction, type MeasuredTo, type Vector } from '#core/line'
import { METHOD_NAMES, pipesNamed, Reader, startsWith, materialNames } from '#core/shorthand'
import { parseLength, type Region, unitSystemOf } from '#core/units'
import { length as mmWords, run, w } from '#core/speech'
import type { EndWord, TypedDirection, TypedLeg, TypedLength, TypedOffset, TypedOver } from './types'

/** How legs are said, as shapes to follow. */
const LEG_SHAPES = [
  'e 640',
  'u 480 elbow',
  'e 1140 offset s 65 @ 45 at 420',
  'd 820 on 15 = sink 1',
  'from c n 300 tee',
  'e 900 over u 22 at 400',
  'e 600 f-c',
  'e ~640',
] as const

const LETTERS: Readonly<Record<string, Direction>> = {
  e: 'right',
  w: 'left',
  n: 'away',
  s: 'toward',
  u: 'up',
  d: 'down',
}
const DIRECTION_WORDS: readonly { name: string; letter: string }[] = [
  { name: 'right', letter: 'e' },
  { name: 'left', letter: 'w' },
  { name: 'away', letter: 'n' },
  { name: 'toward', letter: 's' },
  { name: 'up', letter: 'u' },
  { name: 'down', letter: 'd' },
  { name: 'east', letter: 'e' },
  { name: 'west', letter: 'w' },
  { name: 'north', letter: 'n' },
  { name: 'south', letter: 's' },
]

const END_WORDS: readonly { name: string; end: EndWord }[] = [
  { name: 'elbow 45', end: 'elbow-45' },
  { name: 'elbow-45', end: 'elbow-45' },
  { name: 'elbow 90', end: 'elbow-90' },
  { name: 'elbow-90', end: 'elbow-90' },
  { name: 'elbow', end: 'elbow-90' },
  { name: 'bend', end: 'bend' },
  { name: 'tee', end: 'tee-run' },
  { name: 'branch', end: 'tee-branch' },
  { name: 'swept elbow', end: 'swept-90' },
  { name: 'swept', end: 'swept-90' },
  { name: 'hard elbow', end: 'elbow-90' },
  { name: 'slip tee', end: 'slip-tee' },
  { name: 'slip-tee', end: 'slip-tee' },
  { name: 'repair sleeve', end: 'repair-sleeve' },
  { name: 'drop-ear elbow', end: 'drop-ear' },
  { name: 'drop-ear', end: 'drop-ear' },
  { name: 'drop ear', end: 'drop-ear' },
  { name: 'wallplate elbow', end: 'drop-ear' },
  { name: 'wallplate', end: 'drop-ear' },
  { name: 'wall plate', end: 'drop-ear' },
  { name: 'stub-out', end: 'stub-out' },
  { name: 'stub out', end: 'stub-out' },
  { name: 'flange', end: 'flange' },
  { name: 'slip coupling', end: 'slip' },
  { name: 'slip', end: 'slip' },
  { name: 'ball valve', end: 'ball-valve' },
  { name: 'gate valve', end: 'gate-valve' },
  { name: 'stop valve', end: 'stop-valve' },
  { name: 'stopcock', end: 'stop-valve' },
  { name: 'service valve', end: 'service-valve' },
  { name: 'check valve', end: 'check-valve' },
  { name: 'drain valve', end: 'drain-valve' },
  { name: 'drain', end: 'drain-valve' },
  { name: 'angle valve', end: 'angle-valve' },
  { name: 'pressure regulator', end: 'pressure-regulator' },
  { name: 'regulator', end: 'pressure-regulator' },
  { name: 'cap', end: 'cap' },
  { name: 'coupling', end: 'coupling' },
  { name: 'reducer', end: 'reducer' },
  { name: 'valve', end: 'valve' },
  { name: 'free', end: 'free' },
  { name: 'stop', end: 'stop' },
  { name: 'face', end: 'face' },
]
const MEASURED: Readonly<Record<string, MeasuredTo | 'wall'>> = { c: 'centre', e: 'stop', f: 'face', w: 'wall' }
/** Angles that "at" is taken for where no @ was typed. */
const USUAL_ANGLES: ReadonlySet<number> = new Set([11.25, 15, 22.5, 30, 45, 60, 90])

class Unread extends Error {}
const expected = (what: string): never => {
  throw new Unread(what)
}

function readDirection(reader: Reader): TypedDirection | null {
  const found = reader.match(/^([nsewud]{1,3})(?=[\s\d.,~]|$)/, 'which way')
  const letters = found?.[1] ?? reader.word(DIRECTION_WORDS, ({ letter }) => letter)?.letter
  if (!letters) return null
  const sum = [...letters].reduce<Vector>(
    (all, letter) => {
      const one = vectorOf(LETTERS[letter]!)
      return [all[0] + one[0], all[1] + one[1], all[2] + one[2]]
    },
    [0, 0, 0],
  )
  if (sum.filter((x) => x !== 0).length !== letters.length) expected(`letters of different ways, not "${letters}"`)
  return { letters, vector: vectorOf(sum) }
}

function readLength(reader: Reader, what: string): TypedLength | null {
  const from = reader.position
  const before = reader.words.length
  const mm = reader.length((value) => `${what} ${mmWords(value)}`)
  if (mm === null) return null
  if (mm > 100_000) expected(`${what} up to ${run(100_000)}`)
  return { mm, from, to: from + reader.words[before]!.text.length }
}

const needLength = (reader: Reader, what: string, like = '640'): TypedLength =>
  readLength(reader, what) ?? expected(`${what}, such as ${like}`)

function readMeasured(reader: Reader): Pick<TypedLeg, 'measured' | 'wall'> {
  const found = reader.match(/^([cefw])([\d.,/]*)-([cefw])([\d.,/]*)(?=[\s,]|$)/, 'measured between')
  if (!found) return { measured: { begin: 'centre', end: 'centre' }, wall: { begin: null, end: null } }
  const side = (letter: string, off: string) => {
    const kind = MEASURED[letter]!
    if (kind !== 'wall') return { measured: kind, wall: null }
    const stand = parseLength(off, unitSystemOf(reader.region), 'wall')
    if (!stand.ok) return expected(`how far the ${w.centre} line stands off the wall, such as w25-c`)
    return { measured: 'centre' as const, wall: stand.value.mm }
  }
  const [begin, end] = [side(found[1]!, found[2]!), side(found[3]!, found[4]!)]
  return { measured: { begin: begin.measured, end: end.measured }, wall: { begin: begin.wall, end: end.wall } }
}

function readAngle(reader: Reader): number {
  const angle = reader.number('angle, degrees')
  if (angle === null || angle <= 0 || angle > 90) return expected('an angle of more than 0 up to 90 degrees')
  reader.sign(/^(?:\u00b0|deg(?:rees)?\b)/, 'degrees')
  return angle
}

/** Angle and place of a step aside or a crossover, in either order. */
function readAngleAndPlace(reader: Reader, usual: number): { angle: number; at: TypedLength | null } {
  let [angle, at]: [number | null, TypedLength | null] = [null, null]
  for (;;) {
    if (angle === null && reader.sign(/^@/, 'at an angle of')) angle = readAngle(reader)
    else if (at === null && reader.sign(/^at\b/, 'at')) {
      const place = needLength(reader, 'where along the leg', '420')
      const typed = Number(reader.words.at(-1)!.text)
      if (angle === null && USUAL_ANGLES.has(typed)) angle = typed
      else at = place
    } else return { angle: angle ?? usual, at }
  }
}

function readOffset(reader: Reader): TypedOffset {
  const to = readDirection(reader)
  const set = needLength(reader, 'set', '60')
  const roll = reader.sign(/^roll\b/, 'rolling')
    ? {
        to: readDirection(reader) ?? expected('which way it rolls, such as roll u 40'),
        mm: needLength(reader, 'roll', '40').mm,
      }
    : null
  const place = readAngleAndPlace(reader, 45)
  const by = reader.sign(/^elbows\b/, 'made with elbows') ? 'elbows' : 'bends'
  if (by === 'elbows' && place.angle !== 45 && place.angle !== 90)
    expected('45 or 90 degrees with elbows; another angle is bent')
  return { to, set, roll, ...place, by }
}

function readOver(reader: Reader): TypedOver {
  const to = readDirection(reader)
  return { to, height: needLength(reader, 'height', '40'), ...readAngleAndPlace(reader, 22.5) }
}

function readPipe(reader: Reader): { pipe: string | null; nominal: string } {
  const size = reader.nominal() ?? expected('a size after on, such as 15 or 3/4')
  reader.takeNominal(size)
  const material = startsWith(reader.rest, materialNames(reader.region))
  if (!material) return { pipe: null, nominal: size.nominal }
  const pipe =
    pipesNamed(size.nominal, material.name, reader.region)[0] ??
    expected(`a size that ${material.name} is made in; ${size.nominal} is none`)
  reader.takeAs(material.name.length, pipe)
  return { pipe, nominal: size.nominal }
}

/** The name of the point a leg runs to, after =: the rest of the line. */
const readName = (reader: Reader): string | null =>
  reader.match(/^=\s*\S.{0,40}$/, 'called') ? reader.words.at(-1)!.text.replace(/^=\s*/, '').trim() : null

/** A pipe of another size of the same series as the run's. */
export type SizeOfRun = (nominal: string) => string | null

function readRest(reader: Reader, leg: TypedLeg, sizeOfRun: SizeOfRun) {
  while (!reader.isDone) {
    if (reader.sign(/^(?:offset|off|set)(?=[\s\dnsewud])/, 'a step aside')) leg.offset = readOffset(reader)
    else if (reader.sign(/^over\b/, 'a crossover')) leg.over = readOver(reader)
    else if (reader.sign(/^clips?\b/, 'clips at')) {
      leg.clips.push(needLength(reader, 'clip', '150'))
      for (let next = readLength(reader, 'clip'); next; next = readLength(reader, 'clip')) leg.clips.push(next)
    } else if (reader.sign(/^on\b/, 'in')) {
      const { pipe, nominal } = readPipe(reader)
      leg.pipe =
        pipe ??
        sizeOfRun(nominal) ??
        expected(`a size this pipe is made in, or its material too, such as on ${nominal} copper`)
    } else if (reader.sign(/^by\b/, 'joined by'))
      leg.method = (
        reader.word(METHOD_NAMES, ({ method }) => method) ?? expected('a method after by, such as press or solder')
      ).method
    else if (reader.sign(/^(?:take-?out|takeout)\b/, 'take-out')) leg.takeOut = needLength(reader, 'take-out', '13').mm
    else if (reader.sign(/^depth\b/, 'depth')) leg.depth = needLength(reader, 'depth', '16').mm
    else {
      const end = reader.word(END_WORDS, ({ end: word }) => word)
      if (end) leg.end = end.end
      else
        leg.name =
          readName(reader) ??
          expected(
            'an end (elbow, bend, tee, branch, coupling, slip, reducer, valve or one of its kinds, cap, free, stop, face), offset, over, clip, on, by, take-out, depth or = a name',
          )
    }
  }
}

/**
 * A leg as it is said on site, such as `e 640`, `u 480 elbow` or `e 1140 offset s 65 @ 45 at 420`; e w n s u d are right,
 * left, away, toward, up, down, as words too; `~` says that a length is not measured yet. Issue `not-understood` at `path` with what was understood up to there, what is accepted
 * and shapes to follow. A bare number is mm, in inch regions inches.
 */
export function readLeg(text: string, region: Region, path: string, sizeOfRun: SizeOfRun): Result<TypedLeg> {
  const reader = new Reader(text.slice(0, 200), region)
  try {
    const from = reader.match(/^from ([a-z]{1,2})\b/, 'from the point')?.[1]?.toUpperCase() ?? null
    const to = readDirection(reader) ?? expected('which way: e w n s u d')
    const isGuess = reader.sign(/^~/, 'not measured yet')
    const length = needLength(reader, `a length after ${to.letters}`)
    const leg: TypedLeg = {
      from,
      to,
      length,
      isGuess,
      ...readMeasured(reader),
      offset: null,
      over: null,
      clips: [],
      pipe: null,
      method: null,
      end: null,
      takeOut: null,
      depth: null,
      name: null,
      words: reader.words,
    }
    readRest(reader, leg, sizeOfRun)
    if (leg.offset && leg.over) expected('one of offset and over; put the other on a leg of its own')
    return ok(leg)
  } catch (error) {
    if (!(error instanceof Unread)) throw error
    const understood = reader.words.map((word) => word.text).join(' ')
    const failure = fail(
      'not-understood',
      path,
      `${reader.isDone ? '' : `"${reader.typed.slice(0, 24).trim()}" is not understood${understood ? ` after "${understood}"` : ''}. `}Accepted there: ${error.message}.`,
    )
    return { ...failure, error: { ...failure.error, accepted: [...LEG_SHAPES], words: reader.words } }
  }
}

/**
 * A list typed in one go, as its legs: parted by commas, semicolons or lines. A step aside goes with the leg before it.
 */
export function splitLegs(text: string): string[] {
  const parts = text
    .split(/[;\n]|,(?=\s|[a-z])/i)
    .map((part) => part.trim())
    .filter(Boolean)
  return parts.reduce<string[]>((legs, part) => {
    const joins = /^(?:offset|off|set|over|clips?|on|by)\b/i.test(part) && legs.length > 0
    return joins ? [...legs.slice(0, -1), `${legs.at(-1)} ${part}`] : [...legs, part]
  }, [])
}

/** Reads what a run begins at: free, stop, face or a fitting, each with a depth or take-out of its own. */
export function readStart(text: string, region: Region): Result<Pick<TypedLeg, 'end' | 'takeOut' | 'depth' | 'name'>> {
  const reader = new Reader(text.slice(0, 100), region)
  const start: Pick<TypedLeg, 'end' | 'takeOut' | 'depth' | 'name'> = {
    end: null,
    takeOut: null,
    depth: null,
    name: null,
  }
  try {
    while (!reader.isDone) {
      if (reader.sign(/^(?:take-?out)\b/, 'take-out')) start.takeOut = needLength(reader, 'take-out', '13').mm
      else if (reader.sign(/^depth\b/, 'depth')) start.depth = needLength(reader, 'depth', '16').mm
      else {
        const end = reader.word(
          END_WORDS.filter((one) => one.end !== 'bend'),
          (one) => one.end,
        )
        if (end) start.end = end.end
        else
          start.name = readName(reader) ?? expected('free, stop, face, elbow, tee, branch, coupling, valve or = a name')
      }
    }
    return ok(start)
  } catch (error) {
    if (!(error instanceof Unread)) throw error
    return fail(
      'not-understood',
      'start',
      `The start: ${error.message} is accepted, not "${reader.typed.slice(0, 24).trim()}".`,
    )
  }
}
