import { getRequestHeader, type H3Event } from 'h3'
import { issue } from '#core/base'
import { Problem } from '../http/problem'

const LOOPBACK: readonly string[] = ['127.0.0.1', 'localhost', '[::1]']

/** The names Jolvet answers to: this machine's own, and those of `JOLVET_HOSTS`, as `jolvet.example,192.168.1.20`. */
export const namesOf = (listed = ''): ReadonlySet<string> =>
  new Set([
    ...LOOPBACK,
    ...listed
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean),
  ])

/** Whether a Host header has one of the names, whatever its port. */
export const isNamed = (host: string, names: ReadonlySet<string>): boolean =>
  /^[\w.:[\]-]+$/.test(host) && URL.canParse(`http://${host}`) && names.has(new URL(`http://${host}`).hostname)

const NAMES = namesOf(process.env.JOLVET_HOSTS)

/**
 * A site whose name was pointed at this machine does not pass for our own page: only the names that are listed are
 * answered, on loopback as on a network. Problem 421.
 */
export function checkHost(event: H3Event) {
  if (isNamed(getRequestHeader(event, 'host') ?? '', NAMES)) return
  throw new Problem(
    421,
    issue('impossible', '', `Jolvet answers to ${[...NAMES].join(', ')} here. Other names go into JOLVET_HOSTS.`),
  )
}
