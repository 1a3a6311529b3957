import { STATION_IDS, STATIONS, type Station } from '#core/record'
import type { PageFiles } from './page-files'

/* What stands in the page that is sent, before any script has run: the frame, and hints of what comes next. */

/** The page behind an address, as its file is called: `jobs/[job]/make`, `sizes`; nothing for an address of none. */
export function pageOf(pathname: string): string {
  const [first, job, station, ...more] = pathname.split('/').filter(Boolean)
  if (first === undefined) return 'index'
  if (first !== 'jobs') return job === undefined ? first : ''
  if (job === undefined || more.length > 0) return ''
  return `jobs/[job]/${station ?? 'index'}`
}

const isStation = (name: string | undefined): name is Station => STATION_IDS.some((id) => id === name)

/** The stage line of a job's page: every station by its name, the one that is opened marked; empty on other pages. */
export function stageOf(pathname: string): string {
  const [first, job, here] = pathname.split('/').filter(Boolean)
  if (first !== 'jobs' || job === undefined) return ''
  const cells = STATION_IDS.map((id) => {
    const { key, name } = STATIONS[id]
    const isHere = isStation(here) && here === id
    return `<li${isHere ? ' class="here"' : ''}><span class="note">${key}</span> <b>${name}</b></li>`
  })
  return `<ol class="first-stage" style="--stations:${cells.length}">${cells.join('')}</ol>`
}

/** What a station is for, read while it opens. */
const OPENS: Record<Station, string> = {
  find: 'What this pipe is: by its outside, its print, its colour and how it feels, with what speaks for it and against.',
  line: 'The line from fitting to fitting: what is measured between them, what is cut, and where the marks go.',
  joint: 'What joins these two ends, how deep each goes in, how long it takes, and what may not meet what.',
  cut: 'Which piece comes out of which bar, in what order, with what blade, and what is left for another day.',
  fix: 'Where the pipe is held, where it slides, where it grows, and what has to be kept away from it.',
  make: 'Each joint step by step: the mark and its depth, the tick, the wait, the gauge, and who signed for it.',
  handover: 'What was made, by whom, when and how deep: the register of the job, as it is handed over.',
}

/** The words that stand where the page comes. */
export function wordOf(pathname: string): string {
  const [first, , here] = pathname.split('/').filter(Boolean)
  if (first === 'jobs' && isStation(here)) return OPENS[here]
  return first === undefined
    ? 'Your jobs, the last one first: what is next on each, who has a hand on it, and what someone has to come back to.'
    : 'Opening.'
}

const ENTRY = /<script type="module" src="(\/_nuxt\/[\w.-]+)"[^>]*><\/script>/

/**
 * Begins the app once the frame is on the screen: else a slow phone shows nothing till all of its script was read. A page
 * that nobody sees draws no frame, and begins at once.
 */
export const afterInk = (head: string): string =>
  head.replace(
    ENTRY,
    (_, src: string) =>
      `<script type="module">const begin=()=>import("${src}");document.hidden?begin():requestAnimationFrame(()=>setTimeout(begin))</script>`,
  )

/** Hints in the head for the files of a page that its entry does not name itself. */
export function hintsOf({ scripts, styles }: PageFiles, isNamed: (file: string) => boolean): string {
  const scriptLinks = scripts
    .filter((file) => !isNamed(file))
    .map(
      (file) =>
        `<link rel="modulepreload" as="script" fetchpriority="low" crossorigin data-of-page href="/_nuxt/${file}">`,
    )
  // A style that is loaded by script later stands in the page from the start: nothing shifts when it comes.
  const styleLinks = styles
    .filter((file) => !isNamed(file))
    .map((file) => `<link rel="stylesheet" crossorigin href="/_nuxt/${file}">`)
  return [...styleLinks, ...scriptLinks].join('')
}
