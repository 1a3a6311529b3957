import { w } from '#core/speech'
import type { Apart } from './types'

/* How ends come apart again, as far as several methods have it in common. Practice; the fitting's paper comes first. */

/** Nothing is opened under pressure or hot. */
export const EMPTIED: Apart['moves'][number] = {
  do: 'Shut off, open the lowest tap and the highest, and see that the pipe runs empty',
  caution: 'Hot water burns for minutes after the heat is off: wait until the pipe can be held.',
}

/** Clipped on both sides, so that it neither drops nor springs when it is parted. */
const HELD: Apart['moves'][number] = { do: 'Clip or hold the pipe on both sides' }

/** An end that nobody opens again: the pipe is cut behind it. */
export const cutOutApart = (what: string): Apart => ({
  moves: [
    EMPTIED,
    HELD,
    {
      do: `Cut the pipe square, just behind the ${what}`,
      caution: 'Bridge a metal pipe with a lead before it is parted, where it may carry the earth.',
    },
    { do: 'Look at the end that is left: round, unmarked, no print of the jaw' },
  ],
  again: null,
  scrap: `The ${what} and the pipe in it`,
  takesPipe: true,
})

/** A closed ring on a barb: the metal fitting may serve again, the ring never. */
export const ringApart = (open: string): Apart => ({
  moves: [
    EMPTIED,
    { do: 'Cut the pipe just behind the ring' },
    { do: open, caution: 'Never with a blade along the barb: a score there leaks.' },
    { do: 'Slit the rest of the tube off the barb, away from the ridges' },
  ],
  again: {
    what: 'the fitting, if it is metal',
    look: 'Barb unmarked under a thumbnail all round; a plastic one is scrap',
  },
  scrap: 'The ring, and the pipe under it',
  takesPipe: true,
})

/** Held by a nut: what is opened, and what is new when it is closed again. */
export const nutApart = (fresh: string, look: string): Apart => ({
  moves: [
    EMPTIED,
    {
      do: `Hold the body with one ${w.spanner}, undo its nut with the other`,
      caution: 'Turn the nut and never the body: what is on its other side loosens.',
    },
    { do: 'Draw the pipe out straight' },
  ],
  again: { what: 'body and nut', look },
  scrap: fresh,
})
