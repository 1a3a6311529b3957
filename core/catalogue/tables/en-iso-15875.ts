import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'en-iso-15875',
  standard: 'EN ISO 15875',
  subject: 'PEX pipe: the trade sizes most met; the wall varies by series',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pex-en', nominal: '12', odMm: 12, wallMm: 2, boreMm: 8, typical: true },
  { series: 'pex-en', nominal: '14', odMm: 14, wallMm: 2, boreMm: 10, typical: true },
  { series: 'pex-en', nominal: '16', odMm: 16, wallMm: 2, boreMm: 12, typical: true },
  { series: 'pex-en', nominal: '17', odMm: 17, wallMm: 2, boreMm: 13, typical: true },
  { series: 'pex-en', nominal: '18', odMm: 18, wallMm: 2, boreMm: 14, typical: true },
  { series: 'pex-en', nominal: '20', odMm: 20, wallMm: 2, boreMm: 16, typical: true },
  { series: 'pex-en', nominal: '25', odMm: 25, wallMm: 2.3, boreMm: 20.4, typical: true },
  { series: 'pex-en', nominal: '32', odMm: 32, wallMm: 2.9, boreMm: 26.2, typical: true },
] as const satisfies readonly PipeRow[]
