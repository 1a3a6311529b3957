/** The files of a page, as the build named them. */
export interface PageFiles {
  scripts: readonly string[]
  styles: readonly string[]
}

/* Which files a page is made of, read from the build's own list. Only the build uses this. */

/** A file of the build's list, by the name of its source. */
interface Listed {
  file: string
  src?: string
  imports?: readonly string[]
  css?: readonly string[]
  isEntry?: boolean
  prefetch?: boolean
}
export type Manifest = Record<string, Listed>

const PAGE = /(?:^|\/)pages\/(.+)\.vue$/
/** What every page of a job asks for by itself once it runs. */
const OF_JOBS = /(?:^|\/)outbox\/core-rules\.ts$/

/** A file with all that it imports, those first that others build on. */
function filesOf(manifest: Manifest, name: string, seen = new Set<string>()): string[] {
  if (seen.has(name) || !manifest[name]) return []
  seen.add(name)
  return [...(manifest[name].imports ?? []).flatMap((one) => filesOf(manifest, one, seen)), name]
}

/** The files of each page by its name, without those of the entry, which every page names already. */
export function pageFiles(manifest: Manifest): Record<string, PageFiles> {
  const names = Object.keys(manifest)
  const entry = new Set(names.filter((name) => manifest[name]!.isEntry).flatMap((name) => filesOf(manifest, name)))
  const ofJobs = names.filter((name) => OF_JOBS.test(name))
  return Object.fromEntries(
    names.flatMap((name) => {
      const page = PAGE.exec(name)?.[1]
      if (page === undefined) return []
      const roots = page.startsWith('jobs/') ? [...ofJobs, name] : [name]
      const own = new Set(roots.flatMap((root) => filesOf(manifest, root)).filter((one) => !entry.has(one)))
      const files = [...own].map((one) => manifest[one]!)
      return [
        [page, { scripts: files.map(({ file }) => file), styles: [...new Set(files.flatMap(({ css }) => css ?? []))] }],
      ]
    }),
  )
}
