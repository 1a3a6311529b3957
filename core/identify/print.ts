import { seriesOf, type ChlorineDigit, type EndFacts, type Pipe } from '#core/catalogue'

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

export interface PrintReading {
  tokens: PrintToken[]
  /** What could not be read or means nothing here, in order. */
  unread: string[]
}

/** Letters that stand for one that cannot be read. */
const WORN = '?_*#\u2026'

type Literal = Omit<PrintToken, 'at'>

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
const LITERALS: readonly Literal[] = [
  standard('EN1057', 'EN 1057: metric copper tube', ...COPPER_EN),
  standard('BS2871', 'BS 2871: metric copper tube, before EN 1057', ...COPPER_EN),
  standard('BS659', 'BS 659: old copper, sized by bore', 'cu-bs-imp'),
  standard('B88', 'ASTM B88: copper water tube', 'cu-k', 'cu-l', 'cu-m'),
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
  water(standard('D2737', 'ASTM D2737: PE tube in copper sizes', 'pe-cts')),
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
  standard('ENISO15874', 'EN ISO 15874: PP-R', 'ppr-74', 'ppr-6'),
  standard('DIN8077', 'DIN 8077: PP-R', 'ppr-74', 'ppr-6'),
  standard('DIN8078', 'DIN 8078: PP-R', 'ppr-74', 'ppr-6'),
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

/** A letter of a form as a pattern: itself, or one that cannot be read. */
const letter = (char: string): string => `[${char.replace(/[\\\]^/-]/, '\\$&')}${WORN}]`
/** Separators that are printed or left out between any two letters of a form. */
const GAP = '[ .:\\-/]?'
const patternOf = (text: string): string => [...text.replace(/[-/ ]/g, '')].map(letter).join(GAP)
const LITERAL_PATTERNS = LITERALS.map((literal) => ({
  literal,
  pattern: new RegExp(`(?<![A-Z0-9])${patternOf(literal.text)}(?![A-Z0-9])`, 'g'),
  length: literal.text.replace(/[-/ ]/g, '').length,
}))
/** Of a form's letters at least this share has to be readable, and at least this many. */
const LEAST_SHARE = 0.6
const LEAST_LETTERS = 2

const near = (a: number | null, b: number, within: number): boolean => a !== null && Math.abs(a - b) <= within
/** A printed OD is the nominal one; a printed wall is rounded to a tenth. */
const OD_WITHIN = 0.3
const WALL_WITHIN = 0.06
const RATIO_WITHIN = 0.1

const FRACTION = /^(?:(\d+)[- ])?(\d+)\/(\d+)$|^(\d+)$/
/** An inch size as the catalogue writes it. */
function inchNominal(text: string): string | null {
  const parts = FRACTION.exec(text.trim())
  if (!parts) return null
  if (parts[4]) return parts[4]
  return parts[1] ? `${parts[1]}-${parts[2]}/${parts[3]}` : `${parts[2]}/${parts[3]}`
}
const isInchSized = (pipe: Pipe): boolean => /\//.test(pipe.nominal) || ['1', '2'].includes(pipe.nominal)
const isMetric = (pipe: Pipe): boolean => !isInchSized(pipe)

const CHLORINE: Readonly<Record<string, string>> = {
  0: 'no hot recirculation',
  1: 'hot recirculation a quarter of the time',
  3: 'hot recirculation half the time',
  5: 'hot recirculation all the time',
}
const UV: Readonly<Record<string, string>> = {
  0: 'no time in the sun tested',
  1: '1 month in the sun',
  2: '3 months in the sun',
  3: '6 months in the sun',
}
const CLASSES: Readonly<Record<string, string>> = {
  1: 'hot water at 60 \u00b0C',
  2: 'hot water at 70 \u00b0C',
  4: 'underfloor and low-temperature heating',
  5: 'radiators at 80 \u00b0C',
  S: 'heating and hot water, BS 7291',
}

interface Shape {
  pattern: RegExp
  read: (match: RegExpExecArray) => Omit<PrintToken, 'text' | 'at'> | null
}

const decimal = (text: string): number => Number(text.replace(',', '.'))

/** Sizes, ratios and ratings, whose figures differ from line to line. */
const SHAPES: readonly Shape[] = [
  // 22 x 0,9; 16X2.0; a wall that cannot be read leaves the diameter.
  {
    pattern: new RegExp(
      `(?<![\\d.,/])(\\d{1,3}(?:[.,]\\d+)?) ?(?:MM)? ?X ?([\\d${WORN}](?:[.,][\\d${WORN}]+)?)(?: ?MM)?(?![\\d])`,
      'g',
    ),
    read: ([, od, wall]) => {
      const isWorn = [...WORN].some((char) => wall!.includes(char)) || decimal(wall!) === 0
      const [outside, thick] = [decimal(od!), decimal(wall!)]
      return {
        meaning: isWorn ? `${od} outside, wall not readable` : `${od} outside, wall ${wall}`,
        fits: (pipe) =>
          isMetric(pipe) &&
          near(pipe.od, outside, OD_WITHIN) &&
          (isWorn || pipe.wall === null || near(pipe.wall, thick, WALL_WITHIN)),
      }
    },
  },
  // A four-digit PEX code: chlorine, sun, design stress.
  {
    pattern: /(?<=PEX[ -]?[ABC]? ?)([0135])([0123])(0[68])(?!\d)/g,
    read: ([, chlorine, sun, stress]) => ({
      meaning: `PEX code: ${CHLORINE[chlorine!]}; ${UV[sun!]}; design stress ${stress === '06' ? 630 : 800} psi at 23 \u00b0C`,
      fits: (pipe) => pipe.series === 'pex-cts',
      says: { chlorine: Number(chlorine) as ChlorineDigit },
    }),
  },
  {
    pattern: /(?<!\d)\((0912|1216|1620|2025|2532)\)|(?<!\d)(0912|1216|1620|2025|2532)(?!\d)/g,
    read: ([text]) => ({
      meaning: `bore and outside in mm: ${text.replace(/[()]/g, '').replace(/^(..)(..)$/, '$1 and $2')}`,
      fits: (pipe) => pipe.series === 'ml-astm' && near(pipe.od, Number(text.replace(/[()]/g, '').slice(2)), OD_WITHIN),
    }),
  },
  {
    pattern: /SDR ?(\d{1,2}(?:[.,]\d)?)(?!\d)/g,
    read: ([, ratio]) => ({
      meaning: `outside diameter ${ratio} times the wall`,
      fits: (pipe) =>
        seriesOf(pipe.series).plastic &&
        pipe.wall !== null &&
        Math.abs(pipe.od / pipe.wall / decimal(ratio!) - 1) <= RATIO_WITHIN,
    }),
  },
  {
    pattern: /PN ?(\d{1,2}(?:[.,]\d)?)(?!\d)/g,
    read: ([, bar]) => ({
      meaning: `${bar} bar at 20 \u00b0C`,
      fits: (pipe) => ['pe', 'pp-r'].includes(pipe.family) || pipe.series === 'pex-en' || pipe.series === 'ml-en',
    }),
  },
  {
    pattern: /(?:CLASS|CL\.?|KLASSE) ?([1245S](?: ?[-/,] ?[1245])*)(?! ?MM|\d)/g,
    read: ([, classes]) => ({
      meaning: classes!
        .split(/[^1245S]+/)
        .filter(Boolean)
        .map((one) => `class ${one}: ${CLASSES[one]}`)
        .join('; '),
      says: { class: classes! },
      fits: (pipe) =>
        classes!.startsWith('S')
          ? pipe.series === 'bs7291'
          : ['pex-en', 'ml-en', 'ppr-74', 'ppr-6'].includes(pipe.series),
    }),
  },
  {
    pattern: /(?<!\d)(\d{2,3}) ?PSI ?(?:@|AT)? ?(\d{2,3}) ?F?/g,
    read: ([, psi, f]) => ({
      meaning: `${psi} psi at ${f} \u00b0F (${(Number(psi) * 0.0689476).toFixed(1)} bar at ${Math.round((Number(f) - 32) / 1.8)} \u00b0C)`,
      fits: (pipe) => pipe.regions.includes('us') && seriesOf(pipe.series).plastic,
    }),
  },
  {
    pattern: /(?<!\d)(\d{1,2}(?:[.,]\d)?) ?BAR(?![A-Z])/g,
    read: ([, bar]) => ({ meaning: `${bar} bar`, fits: (pipe) => !pipe.regions.every((region) => region === 'us') }),
  },
  {
    pattern: /(?<![A-Z0-9])S ?(2[.,]5|3[.,]2|4|5)(?![\d.,])/g,
    read: ([, series]) => ({
      meaning: `pipe series S ${series}: outside diameter ${2 * decimal(series!) + 1} times the wall`,
      fits: (pipe) =>
        seriesOf(pipe.series).plastic &&
        pipe.wall !== null &&
        Math.abs(pipe.od / pipe.wall / (2 * decimal(series!) + 1) - 1) <= RATIO_WITHIN,
    }),
  },
  // Inch sizes: 3/4, 1-1/4, 1 1/4, 1", 1 IN, 1 INCH.
  {
    pattern:
      /(?<![\dA-Z?_*#/.,])((?:\d[- ])?\d{1,2}\/\d{1,2}|\d(?= ?(?:"|''|IN(?:CH)?\b)))(?: ?(?:"|''|IN(?:CH)?))?(?![\d/])/g,
    read: ([, size]) => {
      const nominal = inchNominal(size!)
      return nominal === null
        ? null
        : { meaning: `size ${nominal} in`, fits: (pipe) => isInchSized(pipe) && pipe.nominal === nominal }
    },
  },
  {
    pattern: /(?<![\d.,/])(?:DN ?|OD ?|\u00d8 ?)?(\d{1,3}) ?MM(?![\dA-Z])/g,
    read: ([, mm]) => ({
      meaning: `${mm} mm outside`,
      fits: (pipe) => isMetric(pipe) && near(pipe.od, Number(mm), OD_WITHIN),
    }),
  },
  {
    pattern: /(?<![A-Z0-9])(?:DN|OD|\u00d8) ?(\d{1,3})(?![\d.,X])/g,
    read: ([, mm]) => ({ meaning: `${mm} mm`, fits: (pipe) => isMetric(pipe) && near(pipe.od, Number(mm), OD_WITHIN) }),
  },
]

/** The line in one case, with its odd signs made plain, letter for letter in the same places. */
const normalise = (text: string): string =>
  [...text.toUpperCase()]
    .map(
      (char) =>
        (
          ({
            '\u00d7': 'X',
            '\u201d': '"',
            '\u201c': '"',
            '\u2033': '"',
            '\u2013': '-',
            '\u2014': '-',
            '\u2044': '/',
            '\t': ' ',
            '\n': ' ',
          }) as Record<string, string>
        )[char] ?? char,
    )
    .join('')

/** A piece with worn letters is taken for a warning, never for a fact that a joint rests on. */
const wornSays = ({ says }: Literal): Pick<PrintToken, 'says' | 'isWater'> => ({
  says: says?.madeFor && says.madeFor !== 'drinking' ? says : undefined,
  isWater: undefined,
})

interface Found extends PrintToken {
  end: number
  letters: number
}

/**
 * A print line read piece by piece: standards, sizes, materials, listing codes, classes, ratings. Letters that cannot be
 * read may be given as `?`; case, commas, quotes and spaces do not matter. Longer pieces win over shorter ones in them.
 */
export function readPrint(text: string): PrintReading {
  // Letters outside the first plane or that grow in capitals would move all places after them.
  const line = normalise(
    [...text].map((char) => (char.length === 1 && char.toUpperCase().length === 1 ? char : '?')).join(''),
  )
  const found: Found[] = []
  for (const { literal, pattern, length } of LITERAL_PATTERNS) {
    for (const match of line.matchAll(pattern)) {
      const worn = [...match[0]].filter((char) => WORN.includes(char)).length
      if (length - worn < Math.max(LEAST_LETTERS, length * LEAST_SHARE)) continue
      found.push({
        ...literal,
        ...(worn > 0 ? wornSays(literal) : {}),
        text: text.slice(match.index, match.index + match[0].length),
        at: match.index,
        end: match.index + match[0].length,
        letters: length - worn,
      })
    }
  }
  for (const { pattern, read } of SHAPES) {
    for (const match of line.matchAll(pattern)) {
      const token = read(match as RegExpExecArray)
      if (token)
        found.push({
          ...token,
          text: text.slice(match.index, match.index + match[0].length),
          at: match.index,
          end: match.index + match[0].length,
          letters: match[0].length,
        })
    }
  }
  found.sort((a, b) => b.letters - a.letters || a.at - b.at)
  const taken: Found[] = []
  // A worn piece may be one of several: it then says only what they share.
  const alike = ({ at, end, letters }: Found) =>
    found.filter((other) => other.at === at && other.end === end && other.letters === letters)
  const either = (ones: readonly Found[]): Found => ({
    ...ones[0]!,
    meaning: [...new Set(ones.map(({ meaning }) => meaning))].join(', or '),
    ...(ones.every(({ fits }) => fits)
      ? { fits: (pipe) => ones.some(({ fits }) => fits!(pipe)) }
      : { fits: undefined }),
  })
  for (const one of found)
    if (taken.every(({ at, end }) => one.end <= at || one.at >= end)) taken.push(either(alike(one)))
  taken.sort((a, b) => a.at - b.at)
  const unread: string[] = []
  let from = 0
  for (const { at, end } of [...taken, { at: text.length, end: text.length }]) {
    unread.push(
      ...text
        .slice(from, at)
        .split(/\s+/)
        .filter((word) => /[\p{L}\p{N}]/u.test(word)),
    )
    from = end
  }
  return { tokens: taken.map(({ end: _, letters: __, ...token }) => token), unread }
}
