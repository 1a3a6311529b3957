import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'bs-659',
  standard: 'BS 659',
  subject: 'Light gauge copper tube sized by bore in inches, superseded in the 1970s',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'cu-bs-imp', nominal: '3/8', odMm: 11.963, wallMm: 1.219, boreMm: 9.525, typical: true },
  { series: 'cu-bs-imp', nominal: '1/2', odMm: 15.138, wallMm: 1.219, boreMm: 12.7, typical: true },
  { series: 'cu-bs-imp', nominal: '3/4', odMm: 21.488, wallMm: 1.219, boreMm: 19.05, typical: true },
  { series: 'cu-bs-imp', nominal: '1', odMm: 28.245, wallMm: 1.422, boreMm: 25.4, typical: true },
  { series: 'cu-bs-imp', nominal: '1-1/4', odMm: 34.595, wallMm: 1.422, boreMm: 31.75, typical: true },
  { series: 'cu-bs-imp', nominal: '1-1/2', odMm: 40.945, wallMm: 1.422, boreMm: 38.1, typical: true },
  { series: 'cu-bs-imp', nominal: '2', odMm: 54.051, wallMm: 1.626, boreMm: 50.8, typical: true },
] as const satisfies readonly PipeRow[]
