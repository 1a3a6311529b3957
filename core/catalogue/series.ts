import { SERIES_FACTS } from './series-facts'
import { NOMINAL_OF_OUTSIDE } from './sizes'
import type { Family, Series, SeriesFacts } from './types'
import type { Region } from '#core/units'

const US: readonly Region[] = ['us']
const GB: readonly Region[] = ['gb']
const METRIC: readonly Region[] = ['gb', 'eu']

/** American polyethylene, by what its size is held to. */
const polyethylene = (
  id: string,
  standard: string,
  sizing: Series['sizing'],
  words: string,
  odToleranceMm: number,
): Series => ({ id, family: 'pe', standard, regions: US, sizing, words, plastic: true, odToleranceMm })

/**
 * Series by id. The tolerance on the outside diameter is EN 1057 for metric copper (0.04 to 0.06),
 * ASTM B88 for inch copper (0.025 to 0.05), the standards' order of size for the rest: it only widens the
 * likelihood of a measured diameter and is never shown as a limit.
 */
export const SERIES: readonly Series[] = [
  {
    id: 'cu-k',
    family: 'copper',
    standard: 'ASTM B88',
    regions: US,
    sizing: 'cts',
    words: 'copper, type K',
    plastic: false,
    odToleranceMm: 0.04,
  },
  {
    id: 'cu-l',
    family: 'copper',
    standard: 'ASTM B88',
    regions: US,
    sizing: 'cts',
    words: 'copper, type L',
    plastic: false,
    odToleranceMm: 0.04,
  },
  {
    id: 'cu-m',
    family: 'copper',
    standard: 'ASTM B88',
    regions: US,
    sizing: 'cts',
    words: 'copper, type M',
    plastic: false,
    odToleranceMm: 0.04,
  },
  {
    id: 'cu-od',
    family: 'copper',
    standard: 'ASTM B280',
    regions: US,
    sizing: 'cts',
    calledBy: 'outside',
    words: 'OD copper coil',
    plastic: false,
    odToleranceMm: 0.05,
  },
  {
    id: 'cu-en-x',
    family: 'copper',
    standard: 'EN 1057',
    regions: METRIC,
    sizing: 'en-od',
    words: 'copper',
    plastic: false,
    odToleranceMm: 0.05,
  },
  {
    id: 'cu-en-y',
    family: 'copper',
    standard: 'EN 1057',
    regions: METRIC,
    sizing: 'en-od',
    words: 'copper, heavy',
    plastic: false,
    odToleranceMm: 0.05,
  },
  {
    id: 'cu-en-10',
    family: 'copper',
    standard: 'EN 1057',
    regions: METRIC,
    sizing: 'en-od',
    words: 'copper, thick wall',
    plastic: false,
    odToleranceMm: 0.05,
  },
  {
    id: 'cu-bs-imp',
    family: 'copper',
    standard: 'BS 659',
    regions: GB,
    sizing: 'bs-bore',
    words: 'old copper, sized by bore',
    plastic: false,
    odToleranceMm: 0.06,
  },
  {
    id: 'pex-cts',
    family: 'pex',
    standard: 'ASTM F876',
    regions: US,
    sizing: 'cts',
    words: 'PEX',
    plastic: true,
    odToleranceMm: 0.1,
  },
  {
    id: 'pert-cts',
    family: 'pert',
    standard: 'ASTM F2769',
    regions: US,
    sizing: 'cts',
    words: 'PE-RT',
    plastic: true,
    odToleranceMm: 0.1,
  },
  {
    id: 'pb-cts',
    family: 'pb',
    standard: 'ASTM D3309',
    regions: US,
    sizing: 'cts',
    words: 'polybutylene',
    plastic: true,
    odToleranceMm: 0.1,
  },
  {
    id: 'cpvc-cts',
    family: 'cpvc',
    standard: 'ASTM D2846',
    regions: US,
    sizing: 'cts',
    words: 'CPVC',
    plastic: true,
    odToleranceMm: 0.08,
  },
  {
    id: 'pvc-40',
    family: 'pvc',
    standard: 'ASTM D1785',
    regions: US,
    sizing: 'ips',
    words: 'PVC, schedule 40',
    plastic: true,
    odToleranceMm: 0.15,
  },
  {
    id: 'pvc-80',
    family: 'pvc',
    standard: 'ASTM D1785',
    regions: US,
    sizing: 'ips',
    words: 'PVC, schedule 80',
    plastic: true,
    odToleranceMm: 0.15,
  },
  {
    id: 'pe-cts',
    family: 'pe',
    standard: 'ASTM D2737',
    regions: US,
    sizing: 'cts',
    words: 'PE, copper tube size',
    plastic: true,
    odToleranceMm: 0.1,
  },
  polyethylene('pe-cts-11', 'ASTM D2737', 'cts', 'PE, copper tube size, SDR 11', 0.1),
  polyethylene('pe-cts-135', 'ASTM D2737', 'cts', 'PE, copper tube size, SDR 13.5', 0.1),
  polyethylene('pe-ips-9', 'ASTM D3035', 'ips', 'PE, iron pipe size, SDR 9', 0.15),
  polyethylene('pe-ips-11', 'ASTM D3035', 'ips', 'PE, iron pipe size, SDR 11', 0.15),
  polyethylene('pe-ips-135', 'ASTM D3035', 'ips', 'PE, iron pipe size, SDR 13.5', 0.15),
  polyethylene('pe-ips-17', 'ASTM D3035', 'ips', 'PE, iron pipe size, SDR 17', 0.15),
  polyethylene('pe-id-7', 'ASTM D2239', 'own', 'PE, held to its bore, SIDR 7', 0.3),
  polyethylene('pe-id-9', 'ASTM D2239', 'own', 'PE, held to its bore, SIDR 9', 0.3),
  polyethylene('pe-id-115', 'ASTM D2239', 'own', 'PE, held to its bore, SIDR 11.5', 0.3),
  polyethylene('pe-id-15', 'ASTM D2239', 'own', 'PE, held to its bore, SIDR 15', 0.3),
  polyethylene('pe-id-19', 'ASTM D2239', 'own', 'PE, held to its bore, SIDR 19', 0.3),
  {
    id: 'pe-od',
    family: 'pe',
    standard: "Makers' small tube",
    regions: US,
    sizing: 'own',
    calledBy: 'outside',
    words: 'OD PE tube',
    plastic: true,
    odToleranceMm: 0.1,
  },
  {
    id: 'vinyl-od',
    family: 'vinyl',
    standard: "Makers' small tube",
    regions: US,
    sizing: 'own',
    calledBy: 'outside',
    words: 'OD vinyl tube',
    plastic: true,
    odToleranceMm: 0.2,
  },
  {
    id: 'st-40',
    family: 'steel',
    standard: 'ASME B36.10',
    regions: US,
    sizing: 'ips',
    words: 'steel, schedule 40',
    plastic: false,
    odToleranceMm: 0.4,
  },
  {
    id: 'ml-astm',
    family: 'multilayer',
    standard: 'ASTM F1281',
    regions: US,
    sizing: 'own',
    words: 'PEX-AL-PEX',
    plastic: true,
    odToleranceMm: 0.15,
  },
  {
    id: 'lead',
    family: 'lead',
    standard: 'BS 602',
    regions: ['us', 'gb', 'eu'],
    sizing: 'own',
    words: 'lead',
    plastic: false,
    odToleranceMm: 1,
  },
  {
    id: 'bs7291',
    family: 'bs7291',
    standard: 'BS 7291',
    regions: GB,
    sizing: 'en-od',
    words: 'plastic, copper sizes',
    plastic: true,
    odToleranceMm: 0.1,
  },
  {
    id: 'pex-en',
    family: 'pex',
    standard: 'EN ISO 15875',
    regions: METRIC,
    sizing: 'own',
    words: 'PEX',
    plastic: true,
    odToleranceMm: 0.15,
  },
  {
    id: 'ml-en',
    family: 'multilayer',
    standard: 'EN ISO 21003',
    regions: METRIC,
    sizing: 'own',
    words: 'multilayer',
    plastic: true,
    odToleranceMm: 0.15,
  },
  {
    id: 'pe-en',
    family: 'pe',
    standard: 'EN 12201',
    regions: METRIC,
    sizing: 'own',
    words: 'PE',
    plastic: true,
    odToleranceMm: 0.2,
  },
  {
    id: 'st-en',
    family: 'steel',
    standard: 'EN 10255',
    regions: METRIC,
    sizing: 'ips',
    words: 'steel, medium',
    plastic: false,
    odToleranceMm: 0.4,
  },
  {
    id: 'ss-en',
    family: 'stainless',
    standard: 'EN 10312',
    regions: METRIC,
    sizing: 'en-od',
    words: 'stainless',
    plastic: false,
    odToleranceMm: 0.1,
  },
  {
    id: 'cs-en',
    family: 'steel',
    standard: 'EN 10305-3',
    regions: METRIC,
    sizing: 'en-od',
    words: 'carbon steel, thin wall',
    plastic: false,
    odToleranceMm: 0.1,
  },
  {
    id: 'ppr-74',
    family: 'pp-r',
    standard: 'EN ISO 15874',
    regions: METRIC,
    sizing: 'own',
    words: 'PP-R, SDR 7.4',
    plastic: true,
    odToleranceMm: 0.2,
  },
  {
    id: 'ppr-6',
    family: 'pp-r',
    standard: 'EN ISO 15874',
    regions: METRIC,
    sizing: 'own',
    words: 'PP-R, SDR 6',
    plastic: true,
    odToleranceMm: 0.2,
  },
  {
    id: 'ppr-11',
    family: 'pp-r',
    standard: 'EN ISO 15874',
    regions: METRIC,
    sizing: 'own',
    words: 'PP-R, SDR 11',
    plastic: true,
    odToleranceMm: 0.2,
  },
]

const BY_ID = new Map(SERIES.map((series) => [series.id, series]))

/** The series of a catalogue row; throws on an id that is not ours, which is a fault in the tables. */
export function seriesOf(id: string): Series {
  const series = BY_ID.get(id)
  if (!series) throw new Error(`no series ${id}`)
  return series
}

/** The size by which a pipe's bodies go: its own name, or that of copper tube of its outside diameter. */
export const bodySize = ({ series, nominal }: { series: string; nominal: string }): string => {
  const { sizing, calledBy } = seriesOf(series)
  return calledBy === 'outside' && sizing === 'cts' ? (NOMINAL_OF_OUTSIDE[nominal] ?? nominal) : nominal
}

/** How a series is sold, marked and used, and what it did badly. */
export function factsOf(id: string): SeriesFacts {
  const facts = SERIES_FACTS[seriesOf(id).id]
  if (!facts) throw new Error(`no facts of ${id}`)
  return facts
}

/** A family in the trade's words. */
export const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  copper: 'copper',
  pex: 'PEX',
  pert: 'PE-RT',
  bs7291: 'plastic in copper sizes',
  multilayer: 'multilayer',
  pb: 'polybutylene',
  cpvc: 'CPVC',
  pvc: 'PVC',
  'pp-r': 'PP-R',
  pe: 'polyethylene',
  steel: 'steel',
  stainless: 'stainless steel',
  lead: 'lead',
  vinyl: 'vinyl',
}
