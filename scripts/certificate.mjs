// npm run certificate [-- NAME...]: an authority of the firm's own and a certificate for the names that Jolvet is
// reached by, so that tablets take it over HTTPS. Made by openssl. docs/tablets.md says how a tablet takes it.
import { execFileSync } from 'node:child_process'
import { chmodSync, existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { aboutPlace, Halt, tell } from './halt.mjs'
import { certificateFolder, listed, ownAddresses } from './network.mjs'

const AUTHORITY_DAYS = 3650
/** The longest that tablets take. */
const SERVER_DAYS = 825
const at = (name) => path.join(certificateFolder, name)
const [authority, authorityKey] = [at('jolvet-authority.crt'), at('authority.key')]
const [server, serverKey, request, extensions] = ['server.pem', 'server.key', 'server.csr', 'server.ext'].map(at)

function openssl(...args) {
  try {
    return execFileSync('openssl', args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] })
  } catch (error) {
    if (error.code === 'ENOENT')
      throw new Halt('openssl is missing. Install it (Debian: sudo apt-get install openssl), then run this again.')
    throw new Halt(`openssl could not do that: ${String(error.stderr).trim().split('\n').at(-1)}`)
  }
}
const newKey = (file) => {
  openssl('genpkey', '-algorithm', 'EC', '-pkeyopt', 'ec_paramgen_curve:P-256', '-out', file)
  chmodSync(file, 0o600)
}

function checkName(name) {
  if (net.isIP(name) || /^(?=.{1,253}$)([a-z0-9]([a-z0-9-]*[a-z0-9])?\.)*[a-z0-9]([a-z0-9-]*[a-z0-9])?$/i.test(name))
    return
  throw new Halt(
    `"${name}" is no name of a machine. Give names or addresses: npm run certificate -- jolvet.example 192.168.1.20`,
  )
}

function makeAuthority() {
  if (existsSync(authority) && existsSync(authorityKey)) return
  newKey(authorityKey)
  const name = `Jolvet of this firm, ${new Date().toISOString().slice(0, 10)}`
  const about = ['-subj', `/CN=${name}`, '-days', String(AUTHORITY_DAYS)]
  const may = [
    '-addext',
    'basicConstraints=critical,CA:TRUE,pathlen:0',
    '-addext',
    'keyUsage=critical,keyCertSign,cRLSign',
  ]
  openssl('req', '-x509', '-new', '-sha256', '-key', authorityKey, '-out', authority, ...about, ...may)
}

function makeServer(names) {
  newKey(serverKey)
  openssl('req', '-new', '-key', serverKey, '-subj', `/CN=${names[0]}`, '-out', request)
  const alternatives = names.map((name) => `${net.isIP(name) ? 'IP' : 'DNS'}:${name}`).join(',')
  writeFileSync(
    extensions,
    [
      'basicConstraints=critical,CA:FALSE',
      'keyUsage=critical,digitalSignature',
      'extendedKeyUsage=serverAuth',
      `subjectAltName=${alternatives}`,
      '',
    ].join('\n'),
  )
  const by = ['-CA', authority, '-CAkey', authorityKey, '-CAcreateserial', '-CAserial', at('serial')]
  openssl(
    'x509',
    '-req',
    '-sha256',
    '-in',
    request,
    ...by,
    '-days',
    String(SERVER_DAYS),
    '-extfile',
    extensions,
    '-out',
    server,
  )
  for (const file of [request, extensions]) rmSync(file)
}

try {
  const given = process.argv.slice(2).filter((word) => !word.startsWith('--'))
  const names = [given, listed(process.env.JOLVET_HOSTS), ownAddresses()].find((some) => some.length > 0)
  if (!names) throw new Halt('By which names is Jolvet reached? npm run certificate -- jolvet.example 192.168.1.20')
  names.forEach(checkName)
  mkdirSync(certificateFolder, { recursive: true, mode: 0o700 })
  makeAuthority()
  makeServer(names)
  const until = openssl('x509', '-in', server, '-noout', '-enddate').trim().replace('notAfter=', '')
  const print = openssl('x509', '-in', authority, '-noout', '-fingerprint', '-sha256').trim().split('=')[1]
  console.log(`A certificate for ${names.join(', ')}, until ${until}: ${server}`)
  console.log(`Each tablet takes the firm's authority once: ${authority}`)
  console.log(`Its fingerprint, to compare on the tablet: ${print}`)
  console.log(`Then: JOLVET_HOSTS=${names.join(',')} HOST=0.0.0.0 npm start`)
} catch (error) {
  tell(aboutPlace(error, certificateFolder))
  process.exitCode = 1
}
