import type { PipeRow, Source } from '../types'

export const SOURCE = { id: 'en-10312', standard: 'EN 10312', subject: 'Thin-wall stainless steel tube, series 2' } as const satisfies Source

export const ROWS = [
  { series: 'ss-en', nominal: '15', odMm: 15, wallMm: 1, boreMm: 13, typical: false },
  { series: 'ss-en', nominal: '18', odMm: 18, wallMm: 1, boreMm: 16, typical: false },
  { series: 'ss-en', nominal: '22', odMm: 22, wallMm: 1.2, boreMm: 19.6, typical: false },
  { series: 'ss-en', nominal: '28', odMm: 28, wallMm: 1.2, boreMm: 25.6, typical: false },
  { series: 'ss-en', nominal: '35', odMm: 35, wallMm: 1.5, boreMm: 32, typical: true },
  { series: 'ss-en', nominal: '42', odMm: 42, wallMm: 1.5, boreMm: 39, typical: true },
  { series: 'ss-en', nominal: '54', odMm: 54, wallMm: 1.5, boreMm: 51, typical: true },
] as const satisfies readonly PipeRow[]
