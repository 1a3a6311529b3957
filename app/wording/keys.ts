/**
 * What each key does, by the browser's name of it; where screens differ, what it does there. A key without words is
 * another name of one that has them.
 */
export const KEY_WORDS: Readonly<Record<string, string | null>> = {
  '/': 'ask: one line, its answer below',
  j: 'next row',
  k: 'previous row',
  Enter: 'open or take',
  ' ': 'tick the step, the cut or the support',
  n: 'new',
  c: 'the checks; on Cut, plan again; on Joint, a cap as the other end',
  p: 'the print along the pipe; on Line, Cut and Fix, print',
  s: 'the conditions',
  w: 'working; on Cut, a wrong cut',
  q: 'parts counted out and back',
  o: 'one step at a time, or all',
  h: 'heat along the tube, on a soldered joint',
  i: 'photo of the pipe',
  y: 'it is water',
  x: 'compare the two likeliest; on Joint, a pipe as the other end',
  t: 'a thread as the other end, on Joint',
  b: 'the next valve between the two ends, on Joint',
  v: 'the kit: tools, fittings, policies',
  z: 'sizes of pipe',
  l: 'the legs of a line',
  u: 'take back the last thing done',
  U: 'redo',
  r: 'the strip from its other end; on Joint, the lever to its other side',
  g: 'the other school of marks',
  f: 'fit the drawing; on the list, search',
  a: 'to the archive, or back',
  d: 'the demo, on an empty list',
  e: 'the job itself: its name, a copy, the archive',
  '+': 'larger',
  '=': null,
  '-': 'smaller',
  Delete: 'take the leg out',
  ArrowLeft: 'one step back',
  ArrowRight: 'one step on',
  ArrowUp: 'ten steps on',
  ArrowDown: 'ten steps back',
  m: 'read a depth again, where two differ',
  '\\': 'light or cellar',
  '?': 'this list',
  Escape: 'close, or let go',
}

const LABELS: Readonly<Record<string, string>> = {
  ' ': 'Space',
  Escape: 'Esc',
  U: '⇧U',
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
}
/** A key as it stands on a keyboard. */
export const keyLabel = (key: string): string => LABELS[key] ?? (key.length === 1 ? key.toUpperCase() : key)
