import type { Check } from '#core/identify'
import { diameter, length, w } from '#core/speech'
import { MM_PER_INCH, unitSystemOf } from '#core/units'
import { Bag, behind, replaced, wrong, type Line, type Read } from './bag'
import type { Token } from './lexer'
import { checkWords, seenOf } from './words'

/* Lines about what was measured: a diameter, an offset. */

/** Smallest and largest outside diameter that supply pipe has, mm, for a figure whose unit was not said. */
const OUTSIDE_MM = { lo: 4, hi: 120 } as const

/** Pipe that is called by its schedule. */
const SCHEDULED = ['pvc', 'steel'] as const

/** What a pipe may be, by its diameter and by what was seen of it. */
export function readOd(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  bag.take('asks')
  const figure = bag.take('figure')
  const checks: Check[] = []
  if (figure) {
    const { mm } = figure
    const isOther = mm === null || mm < OUTSIDE_MM.lo || mm > OUTSIDE_MM.hi
    if (isOther && !figure.hasUnit && figure.value) {
      const unit = unitSystemOf(line.region) === 'inch' ? 'mm' : 'in'
      const text = replaced(line, figure, `${figure.word.text} ${unit}`)
      const meant = unit === 'mm' ? figure.value : figure.value * MM_PER_INCH
      return {
        asks: figure.word.text,
        meanings: [
          {
            as: unit === 'mm' && unitSystemOf(line.region) === 'inch' ? diameter(meant) : `${figure.word.text} ${unit}`,
            text,
          },
        ],
      }
    }
    figure.word.as = `${diameter(mm ?? 0)} outside, by ${w.calliper}`
    checks.push({ check: 'outside-diameter', value: mm ?? 0, by: 'calliper' })
  }
  for (const token of bag.all('colour')) {
    const check: Check = { check: 'colour', value: token.colour }
    token.word.as = `seen: ${checkWords(check)}`
    checks.push(check)
  }
  for (const token of bag.all('seen')) checks.push(token.check)
  const materials = bag.all('material')
  const vague = materials.find(({ material }) => material.asks)
  if (vague)
    return {
      asks: vague.word.text,
      meanings: vague.material.asks![line.region].map((name) => ({ as: name, text: replaced(line, vague, name) })),
    }
  const schedule = materials.find(({ material }) => material.isSchedule)
  if (schedule && materials.length === 1)
    return {
      asks: schedule.word.text,
      meanings: SCHEDULED.map((name) => ({ as: name, text: behind(line, schedule, name) })),
    }
  for (const token of materials) {
    const seen = seenOf(token.material)
    token.word.as = seen.map(checkWords).join(', ') || token.word.as
    for (const check of seen) if (!checks.some((one) => one.check === check.check)) checks.push(check)
  }
  for (const token of bag.all('fact')) {
    const { temper } = token.facts
    if (temper === undefined || temper === 'unknown') return wrong('a colour, a material or the end of the line', token)
    const check: Check = { check: 'flex', value: temper === 'soft' ? 'soft' : 'rigid' }
    token.word.as = checkWords(check)
    if (!checks.some((one) => one.check === 'flex')) checks.push(check)
  }
  if (checks.length === 0)
    return wrong(
      `a diameter, such as ${unitSystemOf(line.region) === 'inch' ? '7/8 or 22 mm' : '21.5 or 7/8 in'}`,
      bag.first,
    )
  if (bag.first) return wrong('a colour, a material or the end of the line', bag.first)
  return { verb: 'identify', question: { region: line.region, checks } }
}

/** An offset, with what it rolls and the bends' radius where they are said. */
export function readOffset(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  bag.all('asks')
  const atRadius = tokens.findIndex(({ kind }) => kind === 'radius')
  const radius = atRadius < 0 ? undefined : bag.take('figure', (token) => tokens.indexOf(token) > atRadius)
  bag.take('radius')
  const atAngle = tokens.findIndex(({ kind }) => kind === 'at')
  const said = bag.take('angle')
  const typed = said
    ? undefined
    : bag.take(
        'figure',
        (token) =>
          token.value !== null &&
          !token.hasUnit &&
          (atAngle < 0 ? token !== tokens.find(({ kind }) => kind === 'figure') : tokens.indexOf(token) > atAngle),
      )
  bag.take('at')
  const set = bag.take('figure')
  bag.take('by')
  const roll = bag.take('figure')
  if (!set || set.mm === null)
    return wrong(`the set, such as ${unitSystemOf(line.region) === 'inch' ? '2 1/2' : '60'}`, bag.first)
  const angle = said?.value ?? typed?.value
  if (angle === undefined || angle === null) return wrong('@ and the angle', bag.first)
  if (angle <= 0 || angle > 90) return wrong('an angle of more than 0 up to 90 degrees', said ?? typed)
  if (typed) typed.word.as = `${angle} degrees`
  set.word.as = `set ${length(set.mm)}`
  if (roll) roll.word.as = `roll ${length(roll.mm ?? 0)}`
  if (radius) radius.word.as = `radius ${length(radius.mm ?? 0)}`
  if (bag.first) return wrong('the end of the line', bag.first)
  return {
    verb: 'offset',
    question: {
      region: line.region,
      set: set.mm,
      angle,
      ...(roll?.mm ? { roll: roll.mm } : {}),
      ...(radius?.mm ? { radius: radius.mm } : {}),
    },
  }
}
