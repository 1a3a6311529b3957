// Where Jolvet is reached: address, names, certificate. Halts where what is set does not go together.
import { X509Certificate } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import net from 'node:net'
import os from 'node:os'
import path from 'node:path'
import { dataFolder } from './db.mjs'
import { Halt } from './halt.mjs'

/** What `npm run certificate` makes. */
export const certificateFolder = path.join(dataFolder, 'certificate')
const made = { cert: path.join(certificateFolder, 'server.pem'), key: path.join(certificateFolder, 'server.key') }

const isLoopback = (host) => ['127.0.0.1', '::1', 'localhost'].includes(host)
export const listed = (names) =>
  (names ?? '')
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)

/** The addresses of this machine on its networks. */
export const ownAddresses = () =>
  Object.values(os.networkInterfaces())
    .flat()
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address)

function readPort(text = '3000') {
  const port = Number(text)
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Halt(`PORT is "${text}". Give a number from 1 to 65535.`)
  return port
}

function readCertificate({ JOLVET_CERT: cert, JOLVET_KEY: key }, isOpen) {
  if (!cert !== !key) throw new Halt('JOLVET_CERT and JOLVET_KEY go together: the certificate and its private key.')
  for (const file of [cert, key])
    if (file && !existsSync(file)) throw new Halt(`There is no file ${file}, which JOLVET_CERT or JOLVET_KEY names.`)
  if (cert) return { cert: path.resolve(cert), key: path.resolve(key) }
  return isOpen && existsSync(made.cert) ? made : null
}

/**
 * How Jolvet is reached by what is set: `{ host, port, names, certificate, isOpen, address, asked }`; `asked` is where
 * this machine asks it whether it is up.
 */
export function readNetwork(env = process.env, isPlain = process.argv.includes('--plain')) {
  const port = readPort(env.PORT)
  const host = env.HOST ?? '127.0.0.1'
  const isOpen = !isLoopback(host)
  const names = listed(env.JOLVET_HOSTS)
  if (isOpen && names.length === 0)
    throw new Halt(
      `HOST=${host} opens Jolvet to a network. Say by which names it is reached there, so that no other site passes for it: JOLVET_HOSTS=${ownAddresses().join(',') || 'jolvet.example'} HOST=${host} npm start`,
    )
  const certificate = readCertificate(env, isOpen)
  if (isOpen && !certificate && !isPlain)
    throw new Halt(
      `Over plain HTTP on a network a tablet keeps no page, so none can be reloaded in a cellar, and what is sent can be read on the way. Make a certificate: npm run certificate (docs/tablets.md). To open it all the same: npm start -- --plain`,
    )
  const scheme = certificate ? 'https' : 'http'
  const own = host === '0.0.0.0' || host === '::' || isLoopback(host) ? '127.0.0.1' : host
  const bracketed = net.isIPv6(own) ? `[${own}]` : own
  return {
    host,
    port,
    names,
    certificate,
    isOpen,
    address: `${scheme}://${isOpen ? names[0] : '127.0.0.1'}:${port}`,
    asked: `${scheme}://${bracketed}:${port}`,
  }
}

const DAY_MS = 86_400_000
/** A certificate is said to end soon, days. */
const SOON_DAYS = 30

/** What is to be said of a certificate at a start, or null. Halts where it is none, or its time is over. */
export function aboutCertificate({ cert }, now = Date.now()) {
  const { validTo } = read(cert)
  const days = Math.floor((Date.parse(validTo) - now) / DAY_MS)
  if (days < 0)
    throw new Halt(
      `The certificate ${cert} ended on ${validTo}. Make a new one: npm run certificate (docs/tablets.md).`,
    )
  return days < SOON_DAYS
    ? `the certificate ends in ${days} days, on ${validTo}: npm run certificate makes the next; tablets keep what they took`
    : null
}
function read(cert) {
  try {
    return new X509Certificate(readFileSync(cert))
  } catch {
    throw new Halt(`${cert} is no certificate that can be read (PEM).`)
  }
}

/** Why a port cannot be had, or null. */
const portFault = (port, host) =>
  new Promise((resolve) => {
    const server = net.createServer().once('error', ({ code }) => resolve(code))
    server.listen(port, host, () => server.close(() => resolve(null)))
  })

export async function checkPort({ port, host }) {
  const fault = await portFault(port, host)
  if (fault === null) return
  if (fault === 'EACCES')
    throw new Halt(`Port ${port} may not be used by this user. Choose one above 1023: PORT=3000 npm start`)
  if (fault === 'EADDRINUSE')
    throw new Halt(
      `Port ${port} is taken. Stop what uses it, or choose another: PORT=${port === 65535 ? 3000 : port + 1} npm start`,
    )
  throw new Halt(
    `HOST is "${host}"; this machine cannot listen there (${fault}). Leave HOST out for this machine only, or set 0.0.0.0 for its network.`,
  )
}
