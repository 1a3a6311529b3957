import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'astm-d2737',
  standard: 'ASTM D2737',
  subject: 'Polyethylene tube, SDR9, copper tube sizes',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pe-cts', nominal: '1/2', odMm: 15.875, wallMm: 1.753, boreMm: 12.37, typical: true },
  { series: 'pe-cts', nominal: '3/4', odMm: 22.225, wallMm: 2.464, boreMm: 17.297, typical: false },
  { series: 'pe-cts', nominal: '1', odMm: 28.575, wallMm: 3.175, boreMm: 22.225, typical: false },
  { series: 'pe-cts', nominal: '1-1/4', odMm: 34.925, wallMm: 3.886, boreMm: 27.153, typical: false },
  { series: 'pe-cts', nominal: '1-1/2', odMm: 41.275, wallMm: 4.597, boreMm: 32.08, typical: false },
  { series: 'pe-cts', nominal: '2', odMm: 53.975, wallMm: 5.994, boreMm: 41.986, typical: false },
] as const satisfies readonly PipeRow[]
