import { findPipe, type EndFacts } from '#core/catalogue'
import { ALL_METHODS, type Method } from '#core/joints'
import type { Region } from '#core/units'

/**
 * What a material's name stands for: series by region, the likeliest first. Copper is EN 1057 in metric countries and the
 * old kind sized by bore where an inch size is named; type L in inch countries (contract).
 */
export interface Material {
  /** Names that are said everywhere, and those of one region only. */
  names: readonly string[]
  only?: Readonly<Partial<Record<Region, readonly string[]>>>
  us: readonly string[]
  gb: readonly string[]
  /** As in Britain where left out. */
  eu?: readonly string[]
  /** What the name says of the end beside its pipe. */
  facts?: EndFacts
  /** Names it may mean: it is asked which, never settled. */
  asks?: Readonly<Record<Region, readonly string[]>>
  /** A word that narrows another down, such as a schedule; alone it is asked of what. */
  isSchedule?: true
}

const both = (series: readonly string[]) => ({ us: series, gb: series })
const everywhere = (names: readonly string[]): Readonly<Record<Region, readonly string[]>> => ({
  us: names,
  gb: names,
  eu: names,
})
const PEX = { us: ['pex-cts', 'pex-en'], gb: ['pex-en', 'bs7291', 'pex-cts'], eu: ['pex-en', 'pex-cts'] } as const
const PE = { us: ['pe-cts', 'pe-ips-11', 'pe-id-7', 'pe-en'], gb: ['pe-en', 'pe-cts'] } as const
const STEEL = { us: ['st-40', 'st-en'], gb: ['st-en', 'st-40', 'cs-en'] } as const

export const MATERIALS: readonly Material[] = [
  { names: ['old copper', 'imperial copper', 'imperial'], ...both(['cu-bs-imp']) },
  { names: ['type k copper', 'copper type k', 'type k', 'k copper', 'copper k'], ...both(['cu-k']) },
  { names: ['type l copper', 'copper type l', 'type l', 'l copper', 'copper l'], ...both(['cu-l']) },
  { names: ['type m copper', 'copper type m', 'type m', 'm copper', 'copper m'], ...both(['cu-m']) },
  {
    names: ['od copper', 'copper od', 'od soft copper', 'soft od copper', 'copper coil', 'od copper coil'],
    ...both(['cu-od']),
  },
  { names: ['thick copper', 'thick wall copper'], ...both(['cu-en-10']) },
  { names: ['heavy copper'], ...both(['cu-en-y']) },
  { names: ['copper', 'cu'], us: ['cu-l', 'cu-bs-imp', 'cu-en-x'], gb: ['cu-en-x', 'cu-bs-imp', 'cu-en-10', 'cu-l'] },
  { names: ['pe-rt', 'pert', 'pe rt'], ...both(['pert-cts']) },
  { names: ['pex', 'pe-x', 'crosslinked pe', 'cross-linked pe'], ...PEX },
  { names: ['pex-a', 'pexa', 'pex a', 'pe-xa'], ...PEX, facts: { pexType: 'a' } },
  { names: ['pex-b', 'pexb', 'pex b', 'pe-xb'], ...PEX, facts: { pexType: 'b' } },
  { names: ['pex-c', 'pexc', 'pex c', 'pe-xc'], ...PEX, facts: { pexType: 'c' } },
  { names: ['barrier pex', 'oxygen barrier pex', 'o2 pex'], ...PEX, facts: { barrier: true } },
  {
    names: [
      'multilayer',
      'multi-layer',
      'multilayer composite',
      'ml',
      'mlcp',
      'mlc',
      'composite',
      'alu-pex',
      'alupex',
      'alu pex',
      'pex-al-pex',
      'pex al pex',
      'pexalpex',
      'pex/al/pex',
      'pex-alu-pex',
    ],
    us: ['ml-astm', 'ml-en'],
    gb: ['ml-en', 'ml-astm'],
  },
  { names: [], only: { gb: ['barrier', 'barrier pipe', 'plastic', 'plastic pipe'] }, us: [], gb: ['bs7291', 'pex-en'] },
  {
    names: [],
    only: { us: ['plastic', 'plastic pipe'], eu: ['plastic', 'plastic pipe'] },
    us: [],
    gb: [],
    asks: {
      us: ['pex', 'cpvc', 'pvc', 'polyethylene'],
      gb: ['pex'],
      eu: ['pex', 'multilayer', 'polyethylene', 'pp-r'],
    },
  },
  { names: ['mdpe', 'hdpe', 'pe', 'polyethylene', 'pe100', 'pe80'], ...PE },
  { names: ['cts pe', 'pe cts', 'pe-cts', 'polyethylene cts'], ...both(['pe-cts']) },
  { names: ['ips pe', 'pe ips', 'pe-ips', 'polyethylene ips'], ...both(['pe-ips-11']) },
  { names: ['id pe', 'pe id', 'pe-id', 'polyethylene id', 'insert pe'], ...both(['pe-id-7']) },
  { names: ['od polyethylene', 'polyethylene od', 'od pe', 'pe od', 'od poly', 'poly od'], ...both(['pe-od']) },
  { names: ['vinyl', 'vinyl tube', 'od vinyl', 'vinyl od', 'od vinyl tube'], ...both(['vinyl-od']) },
  {
    names: ['poly', 'poly pipe', 'poly tube', 'poly tubing'],
    us: [],
    gb: [],
    asks: everywhere(['polyethylene', 'polybutylene']),
  },
  { names: ['cpvc', 'c-pvc'], ...both(['cpvc-cts']) },
  { names: ['pvc', 'pvc-u', 'upvc'], ...both(['pvc-40', 'pvc-80']) },
  { names: ['sch 40 pvc', 'sch40 pvc', 'schedule 40 pvc', 'pvc sch 40', 'pvc 40'], ...both(['pvc-40']) },
  { names: ['sch 80 pvc', 'sch80 pvc', 'schedule 80 pvc', 'pvc sch 80', 'pvc 80'], ...both(['pvc-80']) },
  { names: ['sch 40', 'sch40', 'schedule 40'], ...both(['pvc-40', 'st-40']), isSchedule: true },
  { names: ['sch 80', 'sch80', 'schedule 80'], ...both(['pvc-80']), isSchedule: true },
  {
    names: [
      'galvanised',
      'galvanized',
      'galv',
      'galvanised steel',
      'galvanized steel',
      'galv steel',
      'steel',
      'iron',
      'black iron',
      'black steel',
      'black pipe',
      'iron pipe',
      'steel pipe',
    ],
    ...STEEL,
  },
  { names: ['carbon steel', 'carbon', 'c-steel', 'thin wall steel'], ...both(['cs-en']) },
  { names: ['stainless', 'stainless steel', 'ss', 'inox'], ...both(['ss-en']) },
  { names: ['polybutylene', 'pb'], us: ['pb-cts'], gb: ['bs7291', 'pb-cts'] },
  { names: ['pp-r', 'ppr', 'polypropylene'], ...both(['ppr-6', 'ppr-74']) },
  { names: ['lead'], ...both(['lead']) },
]

/** Names longest first, so that "old copper" is not read as "old" and "copper". */
export const longestFirst = <T extends { name: string }>(words: readonly T[]): T[] =>
  [...words].sort((a, b) => b.name.length - a.name.length)

const namesIn = ({ names, only }: Material, region: Region): string[] => [...names, ...(only?.[region] ?? [])]
const listFor = (region: Region) =>
  longestFirst(MATERIALS.flatMap((material) => namesIn(material, region).map((name) => ({ name, material }))))
const BY_REGION = { us: listFor('us'), gb: listFor('gb'), eu: listFor('eu') } as const
/** Names of materials in the speech of a region, longest first. */
export const materialNames = (region: Region): readonly { name: string; material: Material }[] => BY_REGION[region]

export const METHOD_NAMES: readonly { name: string; method: Method }[] = longestFirst(
  Object.values(ALL_METHODS).flatMap(({ id, spoken }) => spoken.map((name) => ({ name, method: id }))),
)

/** The word of a list that a text begins with, whole. */
export function startsWith<T extends { name: string }>(text: string, words: readonly T[]): T | undefined {
  return words.find(({ name }) => text.startsWith(name) && !/^[\w-]/.test(text.slice(name.length)))
}

/** Series a material may be in a region, the likeliest first. */
export const seriesOfMaterial = (material: Material, region: Region): readonly string[] =>
  material[region] ?? material.gb

/** The pipe a size and a material's name stand for in a region, and others they could. */
export function pipesNamed(nominal: string, name: string, region: Region): string[] {
  const material = materialNames(region).find((one) => one.name === name)?.material
  if (!material) return []
  return seriesOfMaterial(material, region)
    .map((id) => `${id}-${nominal.replace('/', '_')}`)
    .filter((id) => findPipe(id, '').ok)
}

/**
 * A name that reads back as this very pipe in this region, for what could stand in a word's place: one that means no
 * other where there is one; none where no short name does.
 */
export function nameOfPipe(id: string, nominal: string, region: Region): string | undefined {
  const names = materialNames(region).filter(
    ({ name, material }) => !material.facts && !material.isSchedule && pipesNamed(nominal, name, region)[0] === id,
  )
  const only = names.findLast(({ material }) => seriesOfMaterial(material, region).length === 1)
  return (only ?? names.at(-1))?.name
}
