import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'en-iso-15874',
  standard: 'EN ISO 15874',
  subject: 'PP-R pipe, SDR 7.4 and SDR 6',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'ppr-74', nominal: '20', odMm: 20, wallMm: 2.8, boreMm: 14.4, typical: false },
  { series: 'ppr-74', nominal: '25', odMm: 25, wallMm: 3.5, boreMm: 18, typical: false },
  { series: 'ppr-74', nominal: '32', odMm: 32, wallMm: 4.4, boreMm: 23.2, typical: false },
  { series: 'ppr-74', nominal: '40', odMm: 40, wallMm: 5.5, boreMm: 29, typical: false },
  { series: 'ppr-74', nominal: '50', odMm: 50, wallMm: 6.9, boreMm: 36.2, typical: false },
  { series: 'ppr-6', nominal: '20', odMm: 20, wallMm: 3.4, boreMm: 13.2, typical: false },
  { series: 'ppr-6', nominal: '25', odMm: 25, wallMm: 4.2, boreMm: 16.6, typical: false },
  { series: 'ppr-6', nominal: '32', odMm: 32, wallMm: 5.4, boreMm: 21.2, typical: false },
  { series: 'ppr-6', nominal: '40', odMm: 40, wallMm: 6.7, boreMm: 26.6, typical: false },
  { series: 'ppr-6', nominal: '50', odMm: 50, wallMm: 8.3, boreMm: 33.4, typical: false },
] as const satisfies readonly PipeRow[]
