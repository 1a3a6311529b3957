import { findPipe, getPipe, hasThread, type EndFacts } from '#core/catalogue'
import type { End } from '#core/joints'
import { materialNames, nameOfPipe, seriesOfMaterial, type Material } from '#core/shorthand'
import { unitSystemOf, type Region } from '#core/units'
import { because, behind, replaced, wrong, type AskedBack, type Bag, type Line, type Wrong } from './bag'
import type { TokenOf } from './lexer'

/* A pipe or thread end out of its size and the words round it. */

type MaterialToken = TokenOf<'material'>
type FigureToken = TokenOf<'figure'>

const idOf = (series: string, nominal: string): string => `${series}-${nominal.replace('/', '_')}`
const isHere = (id: string, region: Region): boolean => getPipe(id).regions.includes(region)

/** Pipes of a size that all of some material words stand for, those of the region first, as they are likely. */
function candidates(materials: readonly Material[], nominal: string, region: Region): string[] {
  const [first, ...others] = materials.map((material) => seriesOfMaterial(material, region))
  const series = (first ?? []).filter((id) => others.every((list) => list.includes(id)))
  const ids = series.map((id) => idOf(id, nominal)).filter((id) => findPipe(id, '').ok)
  const here = ids.filter((id) => isHere(id, region))
  return here.length > 0 ? here : ids
}

/** Outside diameters nearer than this are one size of fitting, mm. */
const SAME_OD_MM = 0.2
/** Copper's own order is the trade's (contract), so that it is not asked. */
const isSettled = (ids: readonly string[]): boolean => {
  const [first, ...others] = ids.map(getPipe)
  return first!.family === 'copper' || others.every(({ od }) => Math.abs(od - first!.od) <= SAME_OD_MM)
}

/** What a word may mean, each as the line would say it. */
const meaningsOf = (line: Line, token: MaterialToken, names: readonly string[]): AskedBack => ({
  asks: token.word.text,
  meanings: names.map((name) => ({ as: name, text: replaced(line, token, name) })),
})

/** Names of pipes by which a size that is said alone could be meant. */
const ALONE = [
  'copper',
  'pex',
  'multilayer',
  'plastic',
  'steel',
  'stainless',
  'polyethylene',
  'cpvc',
  'pvc',
  'pp-r',
] as const

/** Materials that a size is made of in a region, each by one name. */
function madeOf(nominal: string, region: Region): string[] {
  const named = materialNames(region)
  return ALONE.filter((name) => {
    const material = named.find((one) => one.name === name)?.material
    return material !== undefined && candidates([material], nominal, region).some((id) => isHere(id, region))
  })
}

function ofSizeAlone(line: Line, figure: FigureToken, nominal: string): string | AskedBack | Wrong {
  const known = [...new Set(line.job.pipes ?? [])].filter((id) => getPipe(id).nominal === nominal)
  if (known.length === 1) {
    figure.word.as = `size ${nominal}: ${getPipe(known[0]!).label}, as on this job`
    line.filled.push(getPipe(known[0]!).label)
    return known[0]!
  }
  const names = madeOf(nominal, line.region)
  if (names.length === 0) return because(`No pipe is made in size ${nominal} here.`, figure)
  return {
    asks: figure.word.text,
    meanings: names.map((name) => ({ as: `${nominal} ${name}`, text: behind(line, figure, name) })),
  }
}

/** The pipe that a size and its material words stand for, or what is asked back. */
export function pipeOf(
  line: Line,
  figure: FigureToken,
  materials: readonly MaterialToken[],
  otherEnd?: readonly MaterialToken[],
): string | AskedBack | Wrong {
  const nominal = figure.nominal
  if (nominal === null) return wrong('a size, such as 22 or 3/4', figure)
  figure.word.as = `size ${nominal}`
  if (materials.length === 0) {
    if (otherEnd === undefined || otherEnd.length === 0) return ofSizeAlone(line, figure, nominal)
    const like = pipeOf(line, figure, otherEnd)
    if (typeof like === 'string') figure.word.as = `size ${nominal}: ${getPipe(like).label}, as the other end`
    return like
  }
  const vague = materials.find(({ material }) => material.asks)
  if (vague) {
    const names = vague.material.asks![line.region]
    return meaningsOf(
      line,
      vague,
      names.filter((name) => materialNames(line.region).some((one) => one.name === name)),
    )
  }
  const ids = candidates(
    materials.map(({ material }) => material),
    nominal,
    line.region,
  )
  const [last] = materials.slice(-1)
  if (ids.length === 0) return because(`No ${last!.word.text} is made in size ${nominal}.`, figure)
  const isSchedule = materials.every(({ material }) => material.isSchedule)
  const names = [...new Set(ids.flatMap((id) => nameOfPipe(id, nominal, line.region) ?? []))]
  if ((isSchedule || !isSettled(ids)) && names.length > 1) return meaningsOf(line, last!, names)
  const { pexType } = last!.material.facts ?? {}
  last!.word.as = `${getPipe(ids[0]!).label}${pexType === undefined ? '' : ` ${pexType}`}`
  const others = names.slice(1).filter((name) => name !== last!.word.text)
  if (others.length > 0 && materials.length === 1) last!.word.others = others
  return ids[0]!
}

/** Colours that say what is in a plastic pipe, whatever joins it. */
const CARRIES: Readonly<Partial<Record<string, EndFacts>>> = {
  yellow: { madeFor: 'gas' },
  purple: { madeFor: 'reclaimed' },
}

function threadEnd(line: Line, figure: FigureToken, threads: readonly TokenOf<'thread'>[]): End | AskedBack | Wrong {
  const form = threads.find((token) => token.form)?.form ?? (unitSystemOf(line.region) === 'inch' ? 'npt' : 'bspt')
  const gender = threads.find((token) => token.gender)?.gender
  const [last] = threads.slice(-1)
  const size = figure.nominal
  if (size === null || !hasThread(form, size))
    return because(`${figure.word.text} is not a thread size. 1/2 or 3/4 is one.`, figure)
  figure.word.as = `size ${size}`
  if (gender === undefined)
    return {
      asks: last!.word.text,
      meanings: (['male', 'female'] as const).map((one) => ({ as: one, text: behind(line, last!, one) })),
    }
  const spoken = threads.find((token) => token.gender)!.word
  if (/^(?:fe)?male$/i.test(spoken.text)) spoken.others = [gender === 'male' ? 'female' : 'male']
  return { thread: { form, size, gender, material: 'brass' } }
}

/**
 * An end out of the words of its side of the line, all of which it takes: its size, and its material with what is said of
 * it, or its thread.
 */
export function endOf(line: Line, bag: Bag, otherEnd?: readonly MaterialToken[]): End | AskedBack | Wrong {
  const figure = bag.take('figure', ({ isRun }) => !isRun)
  const [materials, facts, colours, threads] = [
    bag.all('material'),
    bag.all('fact'),
    bag.all('colour'),
    bag.all('thread'),
  ]
  if (!figure) return wrong('a size, such as 22 or 3/4', bag.first)
  if (threads.length > 0) return threadEnd(line, figure, threads)
  const pipe = pipeOf(line, figure, materials, otherEnd)
  if (typeof pipe !== 'string') return pipe
  for (const { word, facts: said } of facts)
    if (said.temper !== undefined) word.others = [said.temper === 'soft' ? 'hard' : 'soft']
  for (const { word } of colours) word.as = `${word.as}, its colour`
  return Object.assign(
    { pipe },
    ...materials.map(({ material }) => material.facts ?? {}),
    ...facts.map((token) => token.facts),
    ...colours.map(({ colour }) => CARRIES[colour] ?? {}),
  ) as End
}
