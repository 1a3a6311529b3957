import type { Standard } from '../types'
import * as asmeB16_22 from './asme-b16-22'
import * as asmeB16_26 from './asme-b16-26'
import * as asmeB16_51 from './asme-b16-51'
import * as asmeB36_10 from './asme-b36-10'
import * as asse_1061 from './asse-1061'
import * as astmB88 from './astm-b88'
import * as astmB280 from './astm-b280'
import * as smallTube from './small-tube'
import * as astmD1785 from './astm-d1785'
import * as saeJ513 from './sae-j513'
import * as enIso_15874_3 from './en-iso-15874-3'
import * as awwaC800 from './awwa-c800'
import * as astmF1974 from './astm-f1974'
import * as astmD3035 from './astm-d3035'
import * as astmD2609 from './astm-d2609'
import * as astmD2239 from './astm-d2239'
import * as astmD2466 from './astm-d2466'
import * as astmD2467 from './astm-d2467'
import * as astmD2737 from './astm-d2737'
import * as astmD2846 from './astm-d2846'
import * as astmD3309 from './astm-d3309'
import * as astmF1281 from './astm-f1281'
import * as astmF1807 from './astm-f1807'
import * as astmF1960 from './astm-f1960'
import * as astmF2080 from './astm-f2080'
import * as astmF2098 from './astm-f2098'
import * as astmF2769 from './astm-f2769'
import * as astmF876 from './astm-f876'
import * as bs_659 from './bs-659'
import * as bs_7291 from './bs-7291'
import * as en_10255 from './en-10255'
import * as en_10305_3 from './en-10305-3'
import * as en_10312 from './en-10312'
import * as en_1057 from './en-1057'
import * as en_12201 from './en-12201'
import * as en_1254_1 from './en-1254-1'
import * as en_1254_2 from './en-1254-2'
import * as en_1254_6 from './en-1254-6'
import * as en_1254_7 from './en-1254-7'
import * as en_16313 from './en-16313'
import * as enIso_15874 from './en-iso-15874'
import * as enIso_15875 from './en-iso-15875'
import * as enIso_15875_3 from './en-iso-15875-3'
import * as enIso_15876_3 from './en-iso-15876-3'
import * as enIso_21003 from './en-iso-21003'
import * as enIso_21003_3 from './en-iso-21003-3'
import * as iso_17885 from './iso-17885'
import * as lead from './lead'

/** Every standard with tube or sockets: pipe first, then fittings. */
export const STANDARDS: readonly Standard[] = [
  astmB88,
  astmB280,
  en_1057,
  bs_659,
  astmF876,
  astmF2769,
  astmD3309,
  astmD2846,
  astmD1785,
  astmD2737,
  astmD3035,
  astmD2239,
  astmF1281,
  asmeB36_10,
  smallTube,
  bs_7291,
  enIso_15875,
  enIso_21003,
  en_12201,
  en_10255,
  en_10305_3,
  en_10312,
  enIso_15874,
  lead,
  asmeB16_22,
  en_1254_1,
  asmeB16_51,
  en_1254_7,
  asse_1061,
  en_1254_6,
  enIso_15876_3,
  en_1254_2,
  asmeB16_26,
  astmF1807,
  astmF2098,
  astmF1960,
  astmF2080,
  enIso_15875_3,
  enIso_21003_3,
  en_16313,
  astmD2466,
  astmD2467,
  iso_17885,
  awwaC800,
  astmD2609,
  astmF1974,
  saeJ513,
  enIso_15874_3,
]
