import { lexicon } from '../core/ask'
import { METHOD_NAMES, MATERIALS, seriesOfMaterial } from '../core/shorthand'
import { TERMS } from '../core/speech'
import { REGIONS, type Region } from '../core/units'

/* The words of each region, made from the tables that the program itself speaks and reads by. */

const BEGIN = '<!-- made from the tables: npm run docs:glossary -->'
const cell = (words: readonly string[]): string => words.join(', ').replaceAll('|', '\\|') || '-'

const spokenTable = (): string[] => [
  '## Said in each region',
  '',
  'What a sentence of the program says, by the region of its reader.',
  '',
  '| Britain | EN countries | United States | from |',
  '|---|---|---|---|',
  ...Object.values(TERMS).map(
    (term) => `| ${term.gb} | ${'eu' in term ? term.eu : term.gb} | ${term.us} | ${term.source} |`,
  ),
  '',
]

const materialTable = (): string[] => [
  '## Materials as they are asked for',
  '',
  'What the line at the top takes for a pipe, and the series it means, likeliest first. A word that may mean several is asked back.',
  '',
  '| word | only in | Britain | EN countries | United States |',
  '|---|---|---|---|---|',
  ...MATERIALS.flatMap((material) => {
    const meant = (region: Region) =>
      cell(material.asks ? material.asks[region].map((name) => `${name}?`) : seriesOfMaterial(material, region))
    const row = (words: readonly string[], only: string) =>
      words.length === 0 ? [] : [`| ${cell(words)} | ${only} | ${meant('gb')} | ${meant('eu')} | ${meant('us')} |`]
    return [...row(material.names, ''), ...REGIONS.flatMap((region) => row(material.only?.[region] ?? [], region))]
  }),
  '',
]

function methodTable(): string[] {
  const methods = [...new Set(METHOD_NAMES.map(({ method }) => method))].sort()
  return [
    '## Ways of joining as they are asked for',
    '',
    '| method | words |',
    '|---|---|',
    ...methods.map(
      (method) =>
        `| ${method} | ${cell(
          METHOD_NAMES.filter((one) => one.method === method)
            .map(({ name }) => name)
            .sort(),
        )} |`,
    ),
    '',
  ]
}

/** Words that are neither material nor method, by what they are taken for. */
function otherTable(): string[] {
  const rows = new Map<string, Map<string, Set<Region>>>()
  for (const region of REGIONS)
    for (const { name, as, said } of lexicon(region)) {
      if (['material', 'method', 'filler', 'colour'].includes(said.kind)) continue
      const words = rows.get(as) ?? new Map<string, Set<Region>>()
      rows.set(as, words.set(name, (words.get(name) ?? new Set()).add(region)))
    }
  const worded = ([name, regions]: [string, Set<Region>]) =>
    regions.size === REGIONS.length ? name : `${name} (${[...regions].join(', ')})`
  return [
    '## Other words of the line at the top',
    '',
    '| taken for | words |',
    '|---|---|',
    ...[...rows].map(([as, words]) => `| ${as} | ${cell([...words].map(worded).sort())} |`),
    '',
  ]
}

/** The glossary with its tables made anew; what stands above them is written by hand. */
export function glossaryPage(now: string): string {
  const written = now.split(BEGIN)[0]!.trimEnd()
  return `${[written, '', BEGIN, '', ...spokenTable(), ...materialTable(), ...methodTable(), ...otherTable()].join('\n').trimEnd()}\n`
}
