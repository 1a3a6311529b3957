import { seriesOf, type ChlorineDigit, type Pipe } from '#core/catalogue'
import { BAR_PER_PSI, diameter, pressure, temperature } from '#core/speech'
import type { PrintToken } from './print-forms'

/** Letters that stand for one that cannot be read. */
export const WORN = '?_*#\u2026'

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
export const SHAPES: readonly Shape[] = [
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
      meaning: `PEX code: ${CHLORINE[chlorine!]}; ${UV[sun!]}; design stress ${pressure((stress === '06' ? 630 : 800) * BAR_PER_PSI)} at ${temperature(23)}`,
      fits: (pipe) => pipe.series === 'pex-cts',
      says: { chlorine: Number(chlorine) as ChlorineDigit },
    }),
  },
  {
    pattern: /(?<!\d)\((0912|1216|1620|2025|2532)\)|(?<!\d)(0912|1216|1620|2025|2532)(?!\d)/g,
    read: ([text]) => ({
      meaning: `bore ${diameter(Number(text.replace(/[()]/g, '').slice(0, 2)))}, outside ${diameter(Number(text.replace(/[()]/g, '').slice(2)))}`,
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
      meaning: `${pressure(decimal(bar!))} at ${temperature(20)}`,
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
      meaning: `${pressure(Number(psi) * BAR_PER_PSI)} at ${temperature((Number(f) - 32) / 1.8)}`,
      fits: (pipe) => pipe.regions.includes('us') && seriesOf(pipe.series).plastic,
    }),
  },
  {
    pattern: /(?<!\d)(\d{1,2}(?:[.,]\d)?) ?BAR(?![A-Z])/g,
    read: ([, bar]) => ({
      meaning: pressure(decimal(bar!)),
      fits: (pipe) => !pipe.regions.every((region) => region === 'us'),
    }),
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
