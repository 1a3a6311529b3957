import { pages } from '#page-files'
import { afterInk, hintsOf, pageOf, stageOf, wordOf } from '../services/first-frame'

/** The frame that is sent is that of the page asked for, and its files are asked for before any script has run. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    const { pathname } = getRequestURL(event)
    const head = html.head.join('')
    const files = pages[pageOf(pathname)]
    html.head = html.head.map(afterInk)
    if (files) html.head.push(hintsOf(files, (file) => head.includes(file)))
    html.body = html.body.map((part) =>
      part.replace('<!-- stations -->', stageOf(pathname)).replace('<!-- word -->', wordOf(pathname)),
    )
  })
})
