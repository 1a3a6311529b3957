import type { EndRow, PipeRow, RatedBy, RatingRow, SocketTable, Source, TubeSupportRow } from '../types'

export const SOURCE = {
  id: 'small-tube',
  standard: "Makers' small tube",
  subject: 'Polyethylene and vinyl tube called by its outside diameter, its inserts, sleeves and push-in fittings',
  checked: 'part',
} as const satisfies Source

/** The usual walls; other walls are sold, and the insert goes by the bore. */
export const ROWS = [
  { series: 'pe-od', nominal: '1/4', odMm: 6.35, wallMm: 1.016, boreMm: 4.318, typical: true },
  { series: 'pe-od', nominal: '3/8', odMm: 9.525, wallMm: 1.587, boreMm: 6.35, typical: true },
  { series: 'pe-od', nominal: '1/2', odMm: 12.7, wallMm: 1.588, boreMm: 9.525, typical: true },
  { series: 'vinyl-od', nominal: '1/4', odMm: 6.35, wallMm: 1.016, boreMm: 4.318, typical: true },
  { series: 'vinyl-od', nominal: '3/8', odMm: 9.525, wallMm: 1.587, boreMm: 6.35, typical: true },
  { series: 'vinyl-od', nominal: '1/2', odMm: 12.7, wallMm: 1.588, boreMm: 9.525, typical: true },
] as const satisfies readonly PipeRow[]

/** Polyethylene keeps about half of its pressure at 50 degC, its highest; of vinyl none is held over room temperature. */
export const RATINGS = [
  { of: 'pe-od-1_4', tempC: 23, maxBar: 10.2, typical: true },
  { of: 'pe-od-3_8', tempC: 23, maxBar: 10.2, typical: true },
  { of: 'pe-od-1_2', tempC: 23, maxBar: 7.4, typical: true },
  { of: 'pe-od-1_4', tempC: 50, maxBar: 5.1, typical: true },
  { of: 'pe-od-3_8', tempC: 50, maxBar: 5.1, typical: true },
  { of: 'pe-od-1_2', tempC: 50, maxBar: 3.7, typical: true },
  { of: 'vinyl-od-1_4', tempC: 23, maxBar: 3.8, typical: true },
  { of: 'vinyl-od-3_8', tempC: 23, maxBar: 3.6, typical: true },
  { of: 'vinyl-od-1_2', tempC: 23, maxBar: 2.8, typical: true },
] as const satisfies readonly RatingRow[]
export const RATED_BY = 'pipe' satisfies RatedBy

/** In the compression bodies that copper of the same outside diameter takes: insert inside, plastic sleeve outside. */
const IN_COMPRESSION = [
  { nominal: '1/4', depthMm: 13, loMm: 11, hiMm: 16, typical: true },
  { nominal: '3/8', depthMm: 15, loMm: 12, hiMm: 19, typical: true },
  { nominal: '1/2', depthMm: 18, loMm: 14, hiMm: 22, typical: true },
] as const satisfies readonly EndRow[]

/** Small plastic bodies by tube outside: not the metal ones in copper tube sizes. */
const PUSH_IN = [
  { nominal: '1/4', depthMm: 15, loMm: 12, hiMm: 19, typical: true },
  { nominal: '3/8', depthMm: 19, loMm: 15, hiMm: 23, typical: true },
  { nominal: '1/2', depthMm: 23, loMm: 18, hiMm: 27, typical: true },
] as const satisfies readonly EndRow[]

const own = (method: SocketTable['method'], rows: readonly EndRow[], series: 'pe-od' | 'vinyl-od'): SocketTable => ({
  method,
  rows,
  families: [series === 'pe-od' ? 'pe' : 'vinyl'],
  sizing: 'own',
  series,
  isOfSeriesOnly: true,
  rating: 'as-tube',
})
export const SOCKET_TABLES: readonly SocketTable[] = [
  own('compression', IN_COMPRESSION, 'pe-od'),
  own('compression', IN_COMPRESSION, 'vinyl-od'),
  own('push-fit', PUSH_IN, 'pe-od'),
]

/** How far the insert reaches in, mm: it covers what the sleeve grips, and its flange stays outside. */
export const INSERTS = [
  { nominal: '1/4', lengthMm: 12, loMm: 9.5, hiMm: 16 },
  { nominal: '3/8', lengthMm: 14, loMm: 11, hiMm: 19 },
  { nominal: '1/2', lengthMm: 15.5, loMm: 12, hiMm: 22 },
] as const

/** Bend by hand in outside diameters, typical, least, most. */
export const BEND_TIMES = { times: 5, lo: 4, hi: 8 } as const

/** Greatest distance between clips along a cabinet or joist, mm: practice. */
export const CLIPS = [
  { series: 'pe-od', nominal: '1/4', horizontalMm: 300, verticalMm: 450 },
  { series: 'pe-od', nominal: '3/8', horizontalMm: 400, verticalMm: 600 },
  { series: 'pe-od', nominal: '1/2', horizontalMm: 475, verticalMm: 675 },
] as const satisfies readonly TubeSupportRow[]

/** Nuts of compression joints by tube outside: straight thread, never taped, and width across its flats, mm. */
export const NUTS: Readonly<Record<string, { thread: string; acrossMm: number; loMm: number; hiMm: number }>> = {
  '1/4': { thread: '7/16-24', acrossMm: 12.7, loMm: 12.7, hiMm: 14.29 },
  '3/8': { thread: '9/16-24', acrossMm: 15.875, loMm: 15.875, hiMm: 17.4625 },
  '1/2': { thread: '11/16-20', acrossMm: 20.6375, loMm: 19.05, hiMm: 22.23 },
  '5/8': { thread: '13/16-18', acrossMm: 23.8125, loMm: 22.23, hiMm: 25.4 },
}

/** What a fixture or appliance is screwed on by, typical: look before anything is bought. */
export const APPLIANCES: readonly { what: string; screwed: string; countries: readonly ('us' | 'gb' | 'eu')[] }[] = [
  { what: 'faucet supply, outlet of a stop', screwed: '3/8 OD compression, 9/16-24', countries: ['us'] },
  { what: 'ice maker, filter, humidifier', screwed: '1/4 OD compression, 7/16-24', countries: ['us'] },
  { what: 'outlet of an old stop', screwed: '1/2 OD compression, 11/16-20', countries: ['us'] },
  { what: 'dishwasher', screwed: '3/8 NPT, or 3/4-11.5 hose thread', countries: ['us'] },
  { what: 'washing machine, hose faucet', screwed: '3/4-11.5 hose thread', countries: ['us'] },
  { what: 'toilet fill valve', screwed: '7/8-14', countries: ['us'] },
  { what: 'faucet shank', screwed: '1/2-14 straight', countries: ['us'] },
  { what: 'washing machine', screwed: 'G 3/4', countries: ['gb', 'eu'] },
  { what: 'toilet fill valve', screwed: 'G 1/2', countries: ['gb'] },
  { what: 'basin tap', screwed: 'G 1/2', countries: ['gb'] },
  { what: 'bath tap', screwed: 'G 3/4', countries: ['gb'] },
  { what: 'monobloc tap hose', screwed: 'M10 x 1', countries: ['gb', 'eu'] },
  { what: 'angle valve', screwed: 'G 1/2 x G 3/8', countries: ['eu'] },
]
