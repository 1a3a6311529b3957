import { findPipe } from '#core/catalogue'
import { ALL_METHODS, type Method } from '#core/joints'
import type { Region } from '#core/units'

/**
 * Series a material's name stands for, by region, the likeliest first. Copper is EN 1057 in metric countries and the old
 * kind sized by bore where an inch size is named; type L in inch countries (contract).
 */
const MATERIALS: readonly { names: readonly string[]; us: readonly string[]; gb: readonly string[] }[] = [
  { names: ['old copper', 'imperial copper', 'imperial'], us: ['cu-bs-imp'], gb: ['cu-bs-imp'] },
  { names: ['type k', 'k copper'], us: ['cu-k'], gb: ['cu-k'] },
  { names: ['type l', 'l copper'], us: ['cu-l'], gb: ['cu-l'] },
  { names: ['type m', 'm copper'], us: ['cu-m'], gb: ['cu-m'] },
  { names: ['thick copper'], us: ['cu-en-10'], gb: ['cu-en-10'] },
  { names: ['heavy copper'], us: ['cu-en-y'], gb: ['cu-en-y'] },
  { names: ['copper', 'cu'], us: ['cu-l', 'cu-bs-imp', 'cu-en-x'], gb: ['cu-en-x', 'cu-bs-imp', 'cu-en-10', 'cu-l'] },
  { names: ['pe-rt', 'pert'], us: ['pert-cts'], gb: ['pert-cts'] },
  { names: ['pex', 'pe-x'], us: ['pex-cts', 'pex-en'], gb: ['pex-en', 'bs7291', 'pex-cts'] },
  { names: ['multilayer', 'ml', 'pex-al-pex', 'composite'], us: ['ml-astm', 'ml-en'], gb: ['ml-en', 'ml-astm'] },
  { names: ['plastic', 'polypipe', 'barrier'], us: ['pex-cts'], gb: ['bs7291', 'pex-en'] },
  {
    names: ['mdpe', 'pe', 'poly', 'polyethylene'],
    us: ['pe-cts', 'pe-ips-11', 'pe-id-7', 'pe-en'],
    gb: ['pe-en', 'pe-cts'],
  },
  { names: ['cpvc'], us: ['cpvc-cts'], gb: ['cpvc-cts'] },
  { names: ['pvc'], us: ['pvc-40', 'pvc-80'], gb: ['pvc-40', 'pvc-80'] },
  { names: ['galvanised', 'galvanized', 'galv', 'steel', 'iron'], us: ['st-40', 'st-en'], gb: ['st-en', 'st-40'] },
  { names: ['carbon steel', 'carbon'], us: ['cs-en'], gb: ['cs-en'] },
  { names: ['stainless', 'ss', 'inox'], us: ['ss-en'], gb: ['ss-en'] },
  { names: ['polybutylene', 'pb'], us: ['pb-cts'], gb: ['bs7291', 'pb-cts'] },
  { names: ['pp-r', 'ppr'], us: ['ppr-6', 'ppr-74'], gb: ['ppr-6', 'ppr-74'] },
  { names: ['lead'], us: ['lead'], gb: ['lead'] },
]

/** Names longest first, so that "old copper" is not read as "old" and "copper". */
export const longestFirst = <T extends { name: string }>(words: readonly T[]): T[] =>
  [...words].sort((a, b) => b.name.length - a.name.length)
export const MATERIAL_NAMES = longestFirst(
  MATERIALS.flatMap((material) => material.names.map((name) => ({ name, material }))),
)

export const METHOD_NAMES: readonly { name: string; method: Method }[] = longestFirst(
  Object.values(ALL_METHODS).flatMap(({ id, spoken }) => spoken.map((name) => ({ name, method: id }))),
)

/** The word of a list that a text begins with, whole. */
export function startsWith<T extends { name: string }>(text: string, words: readonly T[]): T | undefined {
  return words.find(({ name }) => text.startsWith(name) && !/^[\w-]/.test(text.slice(name.length)))
}

/** The pipe a size and a material's name stand for in a region, and others they could. */
export function pipesNamed(nominal: string, name: string, region: Region): string[] {
  const material = MATERIALS.find(({ names }) => names.includes(name))
  const series = material?.[region === 'us' ? 'us' : 'gb'] ?? []
  return series.map((id) => `${id}-${nominal.replace('/', '_')}`).filter((id) => findPipe(id, '').ok)
}

/**
 * A name that reads back as this very pipe in this region, for what could stand in a word's place; none where no short
 * name does.
 */
export const nameOfPipe = (id: string, nominal: string, region: Region): string | undefined =>
  MATERIAL_NAMES.find(({ name }) => pipesNamed(nominal, name, region)[0] === id)?.name
