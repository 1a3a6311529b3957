import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'en-10255',
  standard: 'EN 10255',
  subject: 'Threaded steel tube, medium series',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'st-en', nominal: '1/4', odMm: 13.5, wallMm: 2.3, boreMm: 8.9, typical: true },
  { series: 'st-en', nominal: '3/8', odMm: 17.2, wallMm: 2.3, boreMm: 12.6, typical: true },
  { series: 'st-en', nominal: '1/2', odMm: 21.3, wallMm: 2.6, boreMm: 16.1, typical: false },
  { series: 'st-en', nominal: '3/4', odMm: 26.9, wallMm: 2.6, boreMm: 21.7, typical: false },
  { series: 'st-en', nominal: '1', odMm: 33.7, wallMm: 3.2, boreMm: 27.3, typical: false },
  { series: 'st-en', nominal: '1-1/4', odMm: 42.4, wallMm: 3.2, boreMm: 36, typical: false },
  { series: 'st-en', nominal: '1-1/2', odMm: 48.3, wallMm: 3.2, boreMm: 41.9, typical: false },
  { series: 'st-en', nominal: '2', odMm: 60.3, wallMm: 3.6, boreMm: 53.1, typical: false },
] as const satisfies readonly PipeRow[]
