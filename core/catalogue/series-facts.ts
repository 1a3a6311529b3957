import { about, pressure, run, soldInFeet, soldInMetres, temperature, w } from '#core/speech'
import type { Fact, SeriesFacts } from './types'

/*
 * What is true of a series beside its sizes: how it is sold, marked and used, and what it did badly. Standards' own facts
 * name the standard; the rest is trade knowledge and says "typical". Only what has a source stands here; `null` is not known.
 */

const fact = (text: string, source: string): Fact => ({ text, source })
const TYPICAL = 'typical, market practice'
const TRADE = 'typical, trade practice'

const COPPER_US = {
  tempers: fact('hard (drawn, H58) in straight lengths; soft (annealed, 060) in coils', 'ASTM B88'),
  kinds: null,
  listings: fact('ASTM B88; NSF 61 or NSF-pw for drinking water', 'NSF/ANSI/CAN 61'),
  barrier: fact('metal: no oxygen passes', 'physics'),
  lengths: fact(
    `hard: ${soldInFeet(10, 20)}. Soft coils: ${soldInFeet(20, 60, 100)} up to 1 in; ${soldInFeet(40, 60)} above`,
    TYPICAL,
  ),
  services: { cold: 'yes', hot: 'yes', recirculation: 'yes', heating: 'yes', buried: 'yes' },
  hazard: fact(
    'Gas, refrigerant and medical lines use the same tube, often unmarked. Trace it to a water outlet before a cut.',
    TRADE,
  ),
} as const

const COPPER_EN = {
  tempers: fact(
    'R220 soft, R250 half-hard, R290 hard. Do not bend R290. Thin R220 in a compression fitting wants a support sleeve',
    'EN 1057',
  ),
  kinds: null,
  listings: fact('EN 1057 with temper and size', 'EN 1057'),
  barrier: fact('metal: no oxygen passes', 'physics'),
  lengths: fact(
    `straight: ${soldInMetres(2, 3, 6)} in Britain, ${soldInMetres(5)} on the continent. Soft coils: ${soldInMetres(10, 25, 50)}`,
    TYPICAL,
  ),
  marks: fact(`EN 1057, temper, outside × wall, each ${about(600)}. No ${w.colour} code`, 'EN 1057'),
  colours: fact('copper; sometimes coated in plastic', TRADE),
  services: { cold: 'yes', hot: 'yes', recirculation: 'yes', heating: 'yes', buried: 'coated' },
  hazard: fact(
    'Gas runs in the same 15, 22 and 28, often unmarked: the commonest gas pipe in British houses. Trace it before a cut.',
    'BS 6891',
  ),
} as const

const PEX_PRINT = fact(
  'size, CTS, SDR9, ASTM F876, four-digit code, 160 psi at 73 °F, 100 psi at 180 °F, fitting codes, date',
  'ASTM F876',
)
const PEX_COLOURS = fact(`red, blue, white or ${w.grey}: a habit for hot and cold, no rule`, TRADE)
const STICKS_AND_COILS = fact(`sticks ${soldInFeet(5, 10, 20)}; coils ${soldInFeet(100, 300, 500, 1000)}`, TYPICAL)

const PPR = {
  tempers: null,
  kinds: fact('SDR 6 (S 2.5, PN 20), SDR 7.4 (S 3.2, PN 16) or SDR 11 (S 5, PN 10, cold only)', 'EN ISO 15874'),
  listings: fact('EN ISO 15874, DIN 8077, DIN 8078', 'EN ISO 15874'),
  barrier: fact('none, unless its print says so: not to steel parts of a heating', 'DIN 4726'),
  lengths: fact(soldInMetres(4), TYPICAL),
  marks: fact('PP-R, SDR, PN, EN ISO 15874, DIN 8077/8078', 'typical, general form'),
  colours: fact(`green, ${w.grey} or white`, TRADE),
  services: { cold: 'yes', hot: 'yes', recirculation: 'print', heating: 'print', buried: 'print' },
  hazard: fact('Fused by heat with its own tools: no ring, press or push-fit is made for it.', TRADE),
} as const

const PVC = {
  tempers: null,
  kinds: fact('schedule 40 or 80: one outside, two walls', 'ASTM D1785'),
  listings: fact('ASTM D1785, PVC 1120; NSF-pw for drinking water', 'ASTM D1785'),
  barrier: null,
  lengths: fact(soldInFeet(10, 20), TYPICAL),
  marks: fact('size, SCH 40 or 80, PVC 1120, ASTM D1785, psi at 73 °F, NSF-pw', 'typical, general form'),
  colours: fact(`white; ${w.grey} where thick`, TRADE),
  services: { cold: 'yes', hot: 'no', recirculation: 'no', heating: 'no', buried: 'yes' },
  hazard: fact(
    'Never hot. Codes keep it outside, or to the entry of the building. No air or gas test on it.',
    'IPC 605',
  ),
} as const

const STEEL = {
  tempers: null,
  kinds: fact(`${w.galvanised} for water, black for closed heating and gas`, TRADE),
  barrier: fact('metal: no oxygen passes; it rusts where oxygen gets in elsewhere', 'DIN 4726'),
  colours: fact(`zinc ${w.grey}, black, or painted`, TRADE),
  hazard: fact(
    `${w.Galvanised} scales shut inside over decades: cut back to sound thread. Black steel is often gas. Not in a recirculating loop with copper before it.`,
    'EN 12502',
  ),
} as const

/** Polyethylene service tube of the United States: the print says which of three ways its size is held. */
const peUs = (listing: string, words: string, hazard: string): SeriesFacts => ({
  tempers: null,
  kinds: null,
  listings: fact(`${listing}; NSF-pw`, listing),
  barrier: fact('none', 'physics'),
  lengths: fact(`coils ${soldInFeet(100, 200, 300, 500)}`, TYPICAL),
  marks: fact(`${words}, ${listing}, the grade such as PE4710`, 'typical, general form'),
  colours: fact('black or blue; yellow is gas', TRADE),
  services: { cold: 'buried only', hot: 'no', recirculation: 'no', heating: 'no', buried: 'yes' },
  hazard: fact(hazard, TRADE),
})
const PE_CTS = peUs(
  'ASTM D2737',
  'CTS, SDR',
  'Copper tube sizes outside; its stiffener goes by the wall. Iron sizes and bore-held pipe look alike: measure.',
)
const PE_IPS = peUs('ASTM D3035', 'IPS, SDR', 'Iron pipe sizes outside: never a barb made for pipe held to its bore.')
const PE_ID = peUs(
  'ASTM D2239',
  'SIDR',
  'Held to its bore: barbs and clamps only. Its outside is a result, no compression fitting goes by it.',
)

export const SERIES_FACTS: Readonly<Record<string, SeriesFacts>> = {
  'cu-k': {
    ...COPPER_US,
    marks: fact('stripe and print green; coils incised only', 'ASTM B88'),
    colours: fact('copper, green stripe', 'ASTM B88'),
  },
  'cu-l': {
    ...COPPER_US,
    marks: fact(
      'stripe and print blue; coils incised only. A blue stripe is also on refrigerant tube, called by its outside',
      'ASTM B88',
    ),
    colours: fact('copper, blue stripe', 'ASTM B88'),
  },
  'cu-m': {
    ...COPPER_US,
    marks: fact('stripe and print red', 'ASTM B88'),
    colours: fact('copper, red stripe', 'ASTM B88'),
    services: { cold: 'policy', hot: 'policy', recirculation: 'policy', heating: 'yes', buried: 'no' },
    hazard: fact(
      "The thin wall wears under velocity. Some codes bar it for drinking water; the job's policy decides. Never for gas.",
      'UPC 604.3, IPC 605',
    ),
  },
  'cu-od': {
    ...COPPER_US,
    tempers: fact('soft coil; hard lengths of other walls are sold', 'ASTM B280'),
    listings: fact('ASTM B280; NSF 61 for drinking water', 'ASTM B280'),
    lengths: fact(`coils ${soldInFeet(20, 60, 100)}`, TYPICAL),
    marks: fact('outside diameter, ASTM B280, or nothing', 'typical, general form'),
    colours: fact('copper', TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'yes', heating: 'yes', buried: 'no' },
    hazard: fact(
      'Called by its outside: 3/8 OD is water tube of nominal 1/4. Gas and refrigerant run in the same coil: trace it before a cut.',
      'ASTM B280',
    ),
  },
  'cu-en-x': COPPER_EN,
  'cu-en-y': { ...COPPER_EN, services: { ...COPPER_EN.services, buried: 'coated' } },
  'cu-en-10': COPPER_EN,
  'cu-bs-imp': {
    ...COPPER_EN,
    tempers: null,
    listings: null,
    marks: null,
    lengths: fact('no longer sold', TRADE),
    colours: fact('copper', TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'yes', heating: 'yes', buried: 'no' },
    hazard: fact(
      'Called by its bore. 3/8, 1/2, 1 and 2 nearly match sizes 12, 15, 28 and 54 for compression only; 3/4, 1-1/4 and 1-1/2 want converters. Thin, old ends: cut back to sound pipe.',
      'BS 659, EN 1254-1',
    ),
  },
  'pex-cts': {
    tempers: fact('coils spring; sticks stand straight', TRADE),
    kinds: fact('a, b or c: how it was cross-linked, printed on it', 'ASTM F876'),
    listings: fact(
      'fitting codes in its print: F1960 expansion, F1807 and F2159 crimp, F2098 clamp, F2080 sleeve. A code that is not there is not listed',
      'ASTM F876',
    ),
    barrier: fact('only where its print says so; NSF-rfh alone is for heating, not for drinking water', 'NSF 14'),
    lengths: STICKS_AND_COILS,
    marks: PEX_PRINT,
    colours: PEX_COLOURS,
    services: { cold: 'yes', hot: 'yes', recirculation: 'print', heating: 'barrier', buried: 'print' },
    hazard: fact(
      `Sunlight ages it: the code's second digit is 1, 3 or 6 months, 0 untested. A kinked b pipe is cut out. Metal for the first ${about(457)} at a heater.`,
      'ASTM F876, UPC',
    ),
  },
  'pert-cts': {
    tempers: null,
    kinds: null,
    listings: fact('fitting codes in its print, as for PEX; expansion only where listed', 'ASTM F2769'),
    barrier: fact('only where its print says so', 'ASTM F2769'),
    lengths: STICKS_AND_COILS,
    marks: fact('PE-RT, CTS, SDR9, ASTM F2769', 'typical, general form'),
    colours: PEX_COLOURS,
    services: { cold: 'yes', hot: 'yes', recirculation: 'print', heating: 'barrier', buried: 'print' },
    hazard: fact('Not cross-linked: expansion fittings do not hold on it unless its print lists them.', TRADE),
  },
  'pb-cts': {
    tempers: null,
    kinds: null,
    listings: fact('PB2110, ASTM D3309', 'ASTM D3309'),
    barrier: null,
    lengths: fact('no longer sold; laid 1978 to 1995', 'ASTM D3309'),
    marks: fact('PB2110, ASTM D3309, SDR11, 100 psi at 180 °F', 'ASTM D3309'),
    colours: fact(`${w.grey}; blue or black outside`, 'ASTM D3309'),
    services: { cold: 'no', hot: 'no', recirculation: 'no', heating: 'no', buried: 'no' },
    hazard: fact(
      `The kind that failed, at fittings and in the tube. Advise replacement; do not join to it. ${w.Grey} pipe to BS 7291 in Britain is another, sound kind.`,
      'ASTM D3309',
    ),
  },
  'cpvc-cts': {
    tempers: null,
    kinds: null,
    listings: fact('ASTM D2846, CPVC 4120, SDR11; NSF-pw', 'ASTM D2846'),
    barrier: null,
    lengths: fact(soldInFeet(10, 20), TYPICAL),
    marks: fact('size, CPVC 4120, ASTM D2846, SDR11, 100 psi at 180 °F, NSF-pw', 'typical, general form'),
    colours: fact('cream. Orange is a sprinkler line: leave it', TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'print', heating: 'no', buried: 'print' },
    hazard: fact(
      'Brittle when cold or old: saw or sharp wheel. Petroleum paste, tape plasticiser, flux drips and many foams crack it. No air or gas test.',
      TRADE,
    ),
  },
  'pvc-40': PVC,
  'pvc-80': {
    ...PVC,
    hazard: fact('Never hot. A thread cut on it halves its rating. No air or gas test on it.', 'ASTM D1785'),
  },
  'pe-cts': {
    tempers: null,
    kinds: null,
    listings: fact('ASTM D2737, SDR9; NSF-pw', 'ASTM D2737'),
    barrier: fact('none', 'physics'),
    lengths: fact(`coils ${soldInFeet(100, 200, 300, 500)}`, TYPICAL),
    marks: fact('CTS, SDR9, ASTM D2737', 'typical, general form'),
    colours: fact('black or blue; yellow of either system is gas', TRADE),
    services: { cold: 'buried only', hot: 'no', recirculation: 'no', heating: 'no', buried: 'yes' },
    hazard: fact(
      'Two systems lie in the ground: by copper sizes outside, and by iron sizes inside with barbs. Measure.',
      TRADE,
    ),
  },
  'pe-cts-11': PE_CTS,
  'pe-cts-135': PE_CTS,
  'pe-ips-9': PE_IPS,
  'pe-ips-11': PE_IPS,
  'pe-ips-135': PE_IPS,
  'pe-ips-17': PE_IPS,
  'pe-id-7': PE_ID,
  'pe-id-9': PE_ID,
  'pe-id-115': PE_ID,
  'pe-id-15': PE_ID,
  'pe-id-19': PE_ID,
  'pe-od': {
    tempers: null,
    kinds: fact('walls differ: its insert goes by the bore', TRADE),
    listings: fact('NSF/ANSI 51 or 61, pressure and temperature', 'typical, general form'),
    barrier: fact('none', 'physics'),
    lengths: fact('coils by maker', TYPICAL),
    marks: fact('outside diameter, NSF-61, psi at 73 °F', 'typical, general form'),
    colours: fact('clear white, black or blue', TRADE),
    services: { cold: 'yes', hot: 'no', recirculation: 'no', heating: 'no', buried: 'no' },
    hazard: fact(
      `Cold only. In a compression body: insert in, plastic ${w.olive} on. A valve that pierces the pipe seeps and clogs: a tee and a stop instead.`,
      TRADE,
    ),
  },
  'vinyl-od': {
    tempers: null,
    kinds: null,
    listings: null,
    barrier: fact('none', 'physics'),
    lengths: fact('coils by maker', TYPICAL),
    marks: fact('bore x outside', 'typical, general form'),
    colours: fact('clear', TRADE),
    services: { cold: 'no', hot: 'no', recirculation: 'no', heating: 'no', buried: 'no' },
    hazard: fact('Creeps off its joint under constant house pressure: polyethylene or copper tube instead.', TRADE),
  },
  'st-40': {
    ...STEEL,
    listings: fact('ASTM A53, SCH 40, heat number', 'typical, general form'),
    lengths: fact(soldInFeet(21, 10), TYPICAL),
    marks: fact('ASTM A53, SCH 40, heat number; NPT threads', 'typical, general form'),
    services: { cold: 'galvanised', hot: 'galvanised', recirculation: 'no', heating: 'black', buried: 'no' },
  },
  'ml-astm': {
    tempers: fact('bends by hand and stays', TRADE),
    kinds: null,
    listings: fact('ASTM F1281, 200 psi at 73 °F, 125 psi at 180 °F; NSF-pw', 'typical, general form'),
    barrier: fact(`${w.aluminium}: no oxygen passes`, 'physics'),
    lengths: fact('coils and sticks by maker', TYPICAL),
    marks: fact('size with its code, such as 1/2 (1216), PEX-AL-PEX, ASTM F1281', 'typical, general form'),
    colours: fact('white, orange, blue', TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'print', heating: 'yes', buried: 'print' },
    hazard: fact(
      '1/2 is 16.0 outside, not 15.9, and 3/4 is 25: no copper tube size fits it. Yellow is gas.',
      'ASTM F1281',
    ),
  },
  lead: {
    tempers: fact('soft: a knife cuts it', TRADE),
    kinds: null,
    listings: null,
    barrier: null,
    lengths: fact('no longer sold', TRADE),
    marks: null,
    colours: fact(`dull ${w.grey}; a scratch shines silver`, TRADE),
    services: { cold: 'no', hot: 'no', recirculation: 'no', heating: 'no', buried: 'no' },
    hazard: fact(
      `Poisonous in drinking water. Replace the run; do not cut, scrape or joint it. A part replaced raises the lead for weeks: flush, and tell the ${w.occupier} and the supplier.`,
      'Water Supply (Water Fittings) Regulations 1999; SDWA 1417',
    ),
  },
  bs7291: {
    tempers: fact('coils spring; sticks stand straight', TRADE),
    kinds: fact('PB or PE-X, printed on it', 'BS 7291'),
    listings: fact('BS 7291-2 or -3, class S', 'BS 7291'),
    barrier: fact('barrier and plain both sold: read the print; barrier for heating', 'BS 7291'),
    lengths: fact(`sticks ${soldInMetres(3, 6)}; coils ${soldInMetres(25, 50, 100)}`, TYPICAL),
    marks: fact(
      `BS 7291, class S, size, ${pressure(12)} at ${temperature(20)}, ${pressure(6)} at ${temperature(82)}, insertion marks at even spacing: cut on one, the next is the depth`,
      'BS 7291',
    ),
    colours: fact(`white or ${w.grey}`, TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'print', heating: 'barrier', buried: 'ducted' },
    hazard: fact(
      `A liner in every end. Metal for the first ${run(1000)} at a boiler (${about(350)} where its maker agrees). Not in sunlight, nor through ground ${w.spoilt} by oil.`,
      TRADE,
    ),
  },
  'pex-en': {
    tempers: fact('coils spring', TRADE),
    kinds: fact('PE-Xa, Xb or Xc, printed on it', 'EN ISO 15875'),
    listings: fact('EN ISO 15875 with class and pressure', 'EN ISO 15875'),
    barrier: fact('where it says oxygen-tight or DIN 4726', 'DIN 4726'),
    lengths: fact('coils and sticks by maker', TYPICAL),
    marks: fact(`EN ISO 15875, PE-Xa, S 5, 16 × 2.0, class, pressure, ${w.metre} marks`, 'typical, general form'),
    colours: fact(`white, red, blue, ${w.grey}`, TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'class', heating: 'barrier', buried: 'print' },
    hazard: fact("Joined by its own system's fittings only. 16 and 20 come in several walls: read the print.", TRADE),
  },
  'ml-en': {
    tempers: fact('bends by hand and stays; bigger bores by spring or former', TRADE),
    kinds: fact(`PE-X or PE-RT either side of ${w.aluminium}`, 'EN ISO 21003'),
    listings: fact('EN ISO 21003 with class and pressure', 'EN ISO 21003'),
    barrier: fact(`${w.aluminium}: no oxygen passes`, 'physics'),
    lengths: fact(`sticks ${soldInMetres(4, 5)}; coils ${soldInMetres(25, 50, 100, 200)}`, TYPICAL),
    marks: fact(
      `EN ISO 21003, 16 × 2.0, class 2 at ${pressure(10)}, class 5 at ${pressure(6)} to ${pressure(10)}, ${w.metre} marks`,
      'typical, general form',
    ),
    colours: fact('white; yellow is gas', TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'class', heating: 'yes', buried: 'print' },
    hazard: fact(
      'One system end to end: pipe, fitting, jaw. Calibrate and bevel every end. 25 × 2.5 and 26 × 3 both exist.',
      TRADE,
    ),
  },
  'pe-en': {
    tempers: fact('coils spring', TRADE),
    kinds: fact('PE 80 or PE 100; SDR 11 or 17', 'EN 12201'),
    listings: fact('EN 12201, PE 100, SDR 11, PN 16, W or P', 'EN 12201'),
    barrier: fact('none', 'physics'),
    lengths: fact(`coils ${soldInMetres(25, 50, 100, 150)}`, TYPICAL),
    marks: fact('EN 12201, PE 100, SDR 11, PN 16, 32 × 3.0, water', 'typical, general form'),
    colours: fact('blue, or black with blue; yellow, or black with yellow, is gas', TRADE),
    services: { cold: 'buried only', hot: 'no', recirculation: 'no', heating: 'no', buried: 'yes' },
    hazard: fact(
      `Scores from stones leak under a seal: cut back to unmarked pipe. Not through ground ${w.spoilt} by oil. Old black British PE is sized by bore and wants its own liners.`,
      TRADE,
    ),
  },
  'st-en': {
    ...STEEL,
    listings: fact('EN 10255, medium', 'EN 10255'),
    lengths: fact(soldInMetres(6, 6.5), TYPICAL),
    marks: fact('EN 10255 M, heat number; BSP threads', 'typical, general form'),
    services: { cold: 'galvanised', hot: 'galvanised', recirculation: 'no', heating: 'black', buried: 'no' },
  },
  'ss-en': {
    tempers: null,
    kinds: fact('1.4401 (a magnet does not hold) or ferritic 1.4521 (it does)', 'EN 10312'),
    listings: fact('EN 10312', 'EN 10312'),
    barrier: fact('metal: no oxygen passes', 'physics'),
    lengths: fact(soldInMetres(6), TYPICAL),
    marks: fact('EN 10312, steel number, outside × wall', 'typical, general form'),
    colours: fact('silver', TRADE),
    services: { cold: 'yes', hot: 'yes', recirculation: 'yes', heating: 'yes', buried: 'no' },
    hazard: fact(
      `No chlorides: paste, tape, ${w.lagging}. No steel brush, no hot bending. Solder does not wet it; push-fit teeth do not grip unless listed.`,
      TRADE,
    ),
  },
  'cs-en': {
    tempers: null,
    kinds: null,
    listings: fact('EN 10305-3', 'EN 10305-3'),
    barrier: fact('metal: no oxygen passes; it rusts where oxygen gets in elsewhere', 'DIN 4726'),
    lengths: fact(soldInMetres(6), TYPICAL),
    marks: fact('EN 10305-3, outside × wall; thin bright zinc', 'typical, general form'),
    colours: fact('bright zinc', TRADE),
    services: { cold: 'no', hot: 'no', recirculation: 'no', heating: 'yes', buried: 'no' },
    hazard: fact('Closed, treated heating only; never drinking water. Keep it dry outside.', TRADE),
  },
  'ppr-74': PPR,
  'ppr-6': PPR,
  'ppr-11': { ...PPR, services: { ...PPR.services, hot: 'no', recirculation: 'no', heating: 'no' } },
}
