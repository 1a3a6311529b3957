import { seriesOf, type EndFacts, type Pipe } from '#core/catalogue'

/** One thing read in a print line: where it stands, what it says, and on which pipes of the catalogue it is printed. */
export interface PrintToken {
  /** As it was typed. */
  text: string
  /** Place of its first letter in the line. */
  at: number
  /** What it means, in words. */
  meaning: string
  /** Whether a pipe of the catalogue carries it; absent where it says nothing of which pipe it is. */
  fits?: (pipe: Pipe) => boolean
  /** What it says of the end beside which pipe it is; `listing` is gathered over the line. */
  says?: EndFacts
  /** Names water supply: such a pipe is not unmarked. */
  isWater?: true
}

/** A piece that is always printed the same. */
export type Literal = Omit<PrintToken, 'at'>

const standard = (name: string, meaning: string, ...series: string[]): Literal => ({
  text: name,
  meaning,
  fits: (pipe) => series.includes(pipe.series),
})
const family = (text: string, meaning: string, ...families: Pipe['family'][]): Literal => ({
  text,
  meaning,
  fits: (pipe) => families.includes(pipe.family),
})
const PE_CTS = ['pe-cts', 'pe-cts-11', 'pe-cts-135'] as const
const PE_IPS = ['pe-ips-9', 'pe-ips-11', 'pe-ips-135', 'pe-ips-17'] as const
const PE_ID = ['pe-id-7', 'pe-id-9', 'pe-id-115', 'pe-id-15', 'pe-id-19'] as const
const PPR = ['ppr-74', 'ppr-6', 'ppr-11'] as const
const COPPER_EN = ['cu-en-x', 'cu-en-y', 'cu-en-10'] as const

const saying = (text: string, meaning: string, says?: EndFacts): Literal => ({
  text,
  meaning,
  ...(says ? { says } : {}),
})
const water = (literal: Literal): Literal => ({ ...literal, isWater: true })
const listing = (code: string, meaning: string): Literal => ({
  ...standard(code, meaning, 'pex-cts', 'pert-cts'),
  says: { listing: [code] },
})
const temper = (code: string, meaning: string, says: 'hard' | 'soft'): Literal => ({
  text: code,
  meaning,
  fits: (pipe) => COPPER_EN.includes(pipe.series as 'cu-en-x'),
  says: { temper: says },
})
const letterOf = (text: string, pexType: 'a' | 'b' | 'c'): Literal => ({
  ...family(text, `PEX, cross-linked by method ${pexType}`, 'pex', 'bs7291'),
  says: { pexType },
})
const marked = (text: string, meaning: string, madeFor: NonNullable<EndFacts['madeFor']>): Literal =>
  saying(text, meaning, { madeFor })

/*
 * What is printed on supply pipe: standards and their usual short forms, materials, listing and approval marks. The forms
 * are those of the standards named; makers' own names and orders vary, so a line is read piece by piece.
 */
export const LITERALS: readonly Literal[] = [
  standard('EN1057', 'EN 1057: metric copper tube', ...COPPER_EN),
  standard('BS2871', 'BS 2871: metric copper tube, before EN 1057', ...COPPER_EN),
  standard('BS659', 'BS 659: old copper, sized by bore', 'cu-bs-imp'),
  standard('B88', 'ASTM B88: copper water tube', 'cu-k', 'cu-l', 'cu-m'),
  standard('B280', 'ASTM B280: soft copper coil, called by its outside', 'cu-od'),
  standard('TYPEK', 'type K: thick wall', 'cu-k'),
  standard('TYPEL', 'type L: medium wall', 'cu-l'),
  standard('TYPEM', 'type M: thin wall', 'cu-m'),
  temper('R220', 'R220: soft (annealed) temper', 'soft'),
  temper('R250', 'R250: half-hard temper', 'hard'),
  temper('R290', 'R290: hard temper', 'hard'),
  standard('F876', 'ASTM F876: PEX tube', 'pex-cts'),
  standard('F877', 'ASTM F877: PEX system for hot and cold water', 'pex-cts'),
  listing('F1960', 'F1960: listed for cold expansion fittings'),
  listing('F1807', 'F1807: listed for metal crimp fittings'),
  listing('F2159', 'F2159: listed for plastic crimp fittings'),
  listing('F2080', 'F2080: listed for metal sleeve fittings'),
  listing('F2098', 'F2098: listed for stainless clamps'),
  listing('F2735', 'F2735: listed for those insert fittings'),
  standard('F2769', 'ASTM F2769: PE-RT tube', 'pert-cts'),
  standard('D3309', 'ASTM D3309: polybutylene, the kind that failed', 'pb-cts'),
  standard('PB2110', 'PB2110: polybutylene, the kind that failed', 'pb-cts'),
  standard('D2846', 'ASTM D2846: CPVC hot and cold water', 'cpvc-cts'),
  standard('CPVC4120', 'CPVC 4120: material', 'cpvc-cts'),
  standard('D1785', 'ASTM D1785: PVC pipe by schedule', 'pvc-40', 'pvc-80'),
  standard('PVC1120', 'PVC 1120: material', 'pvc-40', 'pvc-80'),
  water(standard('D2737', 'ASTM D2737: PE tube in copper sizes', ...PE_CTS)),
  water(standard('D3035', 'ASTM D3035: PE pipe in iron sizes', ...PE_IPS)),
  water(standard('D2239', 'ASTM D2239: PE pipe held to its bore', ...PE_ID)),
  standard('SIDR7', 'SIDR 7: bore over wall', 'pe-id-7'),
  standard('SIDR9', 'SIDR 9: bore over wall', 'pe-id-9'),
  standard('SIDR11.5', 'SIDR 11.5: bore over wall', 'pe-id-115'),
  standard('SIDR15', 'SIDR 15: bore over wall', 'pe-id-15'),
  standard('SIDR19', 'SIDR 19: bore over wall', 'pe-id-19'),
  standard('F1281', 'ASTM F1281: PEX-AL-PEX', 'ml-astm'),
  standard('A53', 'ASTM A53: steel pipe', 'st-40'),
  standard('B3610', 'ASME B36.10: steel pipe', 'st-40'),
  standard('SCH40', 'schedule 40', 'pvc-40', 'st-40'),
  standard('SCH80', 'schedule 80', 'pvc-80'),
  standard('ENISO15875', 'EN ISO 15875: PEX in metric sizes', 'pex-en'),
  standard('EN12318', 'EN 12318: PEX', 'pex-en'),
  { ...standard('DIN4726', 'DIN 4726: oxygen barrier, for heating', 'pex-en', 'ml-en'), says: { barrier: true } },
  standard('ENISO21003', 'EN ISO 21003: multilayer', 'ml-en'),
  water(standard('EN12201', 'EN 12201: PE water pipe', 'pe-en')),
  water(standard('BS6572', 'BS 6572: blue PE water pipe', 'pe-en')),
  standard('BS7291', 'BS 7291: plastic pipe in copper sizes', 'bs7291'),
  standard('EN10255', 'EN 10255: threaded steel tube', 'st-en'),
  standard('BS1387', 'BS 1387: threaded steel tube, before EN 10255', 'st-en'),
  standard('EN10312', 'EN 10312: stainless tube', 'ss-en'),
  standard('EN103053', 'EN 10305-3: thin-wall carbon steel', 'cs-en'),
  standard('ENISO15874', 'EN ISO 15874: PP-R', ...PPR),
  standard('DIN8077', 'DIN 8077: PP-R', ...PPR),
  standard('DIN8078', 'DIN 8078: PP-R', ...PPR),
  family('PEXALPEX', 'PEX, aluminium, PEX', 'multilayer'),
  family('PEX/AL/PEX', 'PEX, aluminium, PEX', 'multilayer'),
  family('PE-X/AL/PE-X', 'PEX, aluminium, PEX', 'multilayer'),
  family('PERT/AL/PERT', 'PE-RT, aluminium, PE-RT', 'multilayer'),
  family('PE-RT/AL/PE-RT', 'PE-RT, aluminium, PE-RT', 'multilayer'),
  letterOf('PE-XA', 'a'),
  letterOf('PE-XB', 'b'),
  letterOf('PE-XC', 'c'),
  letterOf('PEX-A', 'a'),
  letterOf('PEX-B', 'b'),
  letterOf('PEX-C', 'c'),
  family('PEX', 'cross-linked polyethylene', 'pex', 'bs7291'),
  family('PE-X', 'cross-linked polyethylene', 'pex', 'bs7291'),
  family('PE-RT', 'PE of raised temperature', 'pert'),
  family('PERT', 'PE of raised temperature', 'pert'),
  family('CPVC', 'chlorinated PVC', 'cpvc'),
  family('PVC-C', 'chlorinated PVC', 'cpvc'),
  family('PVC', 'PVC', 'pvc'),
  family('PP-R', 'polypropylene', 'pp-r'),
  family('PPR', 'polypropylene', 'pp-r'),
  { text: 'PE100', meaning: 'PE 100: polyethylene', fits: (pipe) => pipe.series === 'pe-en' },
  { text: 'PE80', meaning: 'PE 80: polyethylene', fits: (pipe) => pipe.series === 'pe-en' },
  { text: 'MDPE', meaning: 'medium-density polyethylene', fits: (pipe) => pipe.series === 'pe-en' },
  { text: 'CTS', meaning: 'copper tube size', fits: (pipe) => seriesOf(pipe.series).sizing === 'cts' },
  water(marked('NSF-PW', 'listed for drinking water', 'drinking')),
  water(marked('NSF61', 'listed for drinking water', 'drinking')),
  water(marked('POTABLE', 'for drinking water', 'drinking')),
  marked('GAS', 'gas', 'gas'),
  marked('D2513', 'ASTM D2513: PE for gas', 'gas'),
  marked('EN1555', 'EN 1555: PE for gas', 'gas'),
  marked('ISO4437', 'ISO 4437: PE for gas', 'gas'),
  marked('LPG', 'liquefied gas', 'gas'),
  marked('SPRINKLER', 'fire sprinkler', 'sprinkler'),
  marked('FIRE', 'fire sprinkler', 'sprinkler'),
  marked('RECLAIMED', 'reclaimed water', 'reclaimed'),
  marked('RECYCLED WATER', 'reclaimed water', 'reclaimed'),
  marked('NON-POTABLE', 'not for drinking', 'reclaimed'),
  marked('NSF-RFH', 'listed for heating only', 'heating'),
  marked('RADIANT', 'for radiant heating', 'heating'),
  saying('OXYGENTIGHT', 'oxygen barrier, for heating', { barrier: true }),
  saying('O2BARRIER', 'oxygen barrier, for heating', { barrier: true }),
  saying('OXYGEN BARRIER', 'oxygen barrier, for heating', { barrier: true }),
  saying('HEATING', 'made for heating'),
  saying('ASTM', 'American standard'),
]
