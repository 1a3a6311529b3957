import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'asme-b36-10',
  standard: 'ASME B36.10',
  subject: 'Steel pipe, schedule 40',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'st-40', nominal: '1/4', odMm: 13.716, wallMm: 2.235, boreMm: 9.246, typical: false },
  { series: 'st-40', nominal: '3/8', odMm: 17.145, wallMm: 2.311, boreMm: 12.522, typical: false },
  { series: 'st-40', nominal: '1/2', odMm: 21.336, wallMm: 2.769, boreMm: 15.799, typical: false },
  { series: 'st-40', nominal: '3/4', odMm: 26.67, wallMm: 2.87, boreMm: 20.93, typical: false },
  { series: 'st-40', nominal: '1', odMm: 33.401, wallMm: 3.378, boreMm: 26.645, typical: false },
  { series: 'st-40', nominal: '1-1/4', odMm: 42.164, wallMm: 3.556, boreMm: 35.052, typical: false },
  { series: 'st-40', nominal: '1-1/2', odMm: 48.26, wallMm: 3.683, boreMm: 40.894, typical: false },
  { series: 'st-40', nominal: '2', odMm: 60.325, wallMm: 3.912, boreMm: 52.502, typical: false },
] as const satisfies readonly PipeRow[]
