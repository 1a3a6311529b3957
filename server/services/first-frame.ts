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
  return `<ol class="first-stage">${cells.join('')}</ol>`
}

/** Hints in the head for the files of a page that its entry does not name itself. */
export function hintsOf({ scripts, styles }: PageFiles, isNamed: (file: string) => boolean): string {
  const scriptLinks = scripts
    .filter((file) => !isNamed(file))
    .map((file) => `<link rel="modulepreload" as="script" crossorigin href="/_nuxt/${file}">`)
  // A style that is loaded by script later stands in the page from the start: nothing shifts when it comes.
  const styleLinks = styles
    .filter((file) => !isNamed(file))
    .map((file) => `<link rel="stylesheet" crossorigin href="/_nuxt/${file}">`)
  return [...styleLinks, ...scriptLinks].join('')
}
