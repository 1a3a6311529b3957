import type { PipeRow, Source } from '../types'

export const SOURCE = {
  id: 'lead',
  standard: 'BS 602',
  subject: 'Lead service pipe, old weights: sizes met, not a size to buy',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'lead', nominal: '1/2', odMm: 22.3, wallMm: 4.8, boreMm: 12.7, typical: true },
  { series: 'lead', nominal: '3/4', odMm: 29.4, wallMm: 5.175, boreMm: 19.05, typical: true },
] as const satisfies readonly PipeRow[]
