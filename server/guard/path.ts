/** The path of a call as the table of routes reads it: without what is asked, with one slash between its parts. */
export const plainPath = (path: string): string => {
  const parts = path.split('?')[0]!.split('/').filter(Boolean)
  return `/${parts.join('/')}`
}
/** Whether it is asked of the server, not a page or a file. */
export const isApi = (path: string): boolean => path === '/api' || path.startsWith('/api/')
