import type { Figure, WorkingLine } from '#core/base'
import { formatLength, type UnitSystem } from '#core/units'
import { rangeText } from '~/reading/format'

/** What the sheet of a figure shows. */
export interface Working {
  title: string
  source?: string
  lines: readonly WorkingLine[]
  notes: readonly string[]
}

const isOpen = ref(false)
const shown = shallowRef<Working | null>(null)

/** The one sheet that shows the working of any figure on the screen. */
export function useWorking() {
  return {
    open: readonly(isOpen),
    working: shown,
    close: () => {
      isOpen.value = false
    },
    show: (working: Working) => {
      shown.value = working
      isOpen.value = true
    },
    /** A depth: the table's figure with its range and what to do about it. */
    showDepth: (title: string, figure: Figure, system: UnitSystem, measured?: number | null) => {
      const notes: string[] = []
      if (measured !== undefined && measured !== null)
        notes.push(`Your own measure, ${formatLength(measured, system)}, is the one in use.`)
      if (figure.value === null)
        notes.push('No figure is held for this socket. Put the fitting alongside the pipe and measure to its stop.')
      if (figure.lo !== null && figure.hi !== null && figure.lo !== figure.hi)
        notes.push(
          `Met from ${rangeText(figure.lo, figure.hi, system)}. Makers differ: measure your fitting where it matters.`,
        )
      else if (figure.value !== null && figure.source !== 'measured')
        notes.push(
          `The standard gives this as the least; a cup sold may be ${rangeText(1, 2, system)} deeper. Push to the stop.`,
        )
      shown.value = {
        title,
        source: figure.source,
        lines:
          figure.value === null ? [] : [{ text: 'depth into the fitting', op: '=', value: figure.value, unit: 'mm' }],
        notes,
      }
      isOpen.value = true
    },
  }
}
