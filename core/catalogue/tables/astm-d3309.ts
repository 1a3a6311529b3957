import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'astm-d3309',
  standard: 'ASTM D3309',
  subject: 'Polybutylene tube, SDR11, copper tube sizes',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pb-cts', nominal: '1/2', odMm: 15.875, wallMm: 1.575, boreMm: 12.725, typical: true },
  { series: 'pb-cts', nominal: '3/4', odMm: 22.225, wallMm: 2.032, boreMm: 18.161, typical: true },
  { series: 'pb-cts', nominal: '1', odMm: 28.575, wallMm: 2.591, boreMm: 23.393, typical: true },
] as const satisfies readonly PipeRow[]
