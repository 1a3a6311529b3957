import type { Region } from '#core/units'

/** A sheet held landscape, mm, with the margin that printers leave white. */
export interface Paper {
  name: 'A4' | 'Letter'
  width: number
  height: number
  margin: number
}

/** ISO 216 A4 and ANSI/ASME Y14.1 size A; the margin is ours. */
export const PAPERS: Readonly<Record<Paper['name'], Paper>> = {
  A4: { name: 'A4', width: 297, height: 210, margin: 10 },
  Letter: { name: 'Letter', width: 279.4, height: 215.9, margin: 10 },
}

/** The sheet that lies in the printer of a region. */
export const paperFor = (region: Region): Paper => PAPERS[region === 'us' ? 'Letter' : 'A4']
