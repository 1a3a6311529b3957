// The registry may lack some other-platform binaries; npm then leaves them out of the lock and `npm ci` refuses it.
// Adds an entry (never downloaded: os/cpu do not match) for each optional dependency that has none.
import { readFileSync, writeFileSync } from 'node:fs'

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'))
const P = lock.packages
const OS = {
  android: 'android',
  darwin: 'darwin',
  freebsd: 'freebsd',
  openbsd: 'openbsd',
  netbsd: 'netbsd',
  sunos: 'sunos',
  aix: 'aix',
  win32: 'win32',
  linux: 'linux',
  openharmony: 'openharmony',
}
const has = (from, name, spec) => {
  for (let at = from; ; at = at.includes('/node_modules/') ? at.slice(0, at.lastIndexOf('/node_modules/')) : '') {
    const q = P[`${at ? at + '/' : ''}node_modules/${name}`]
    if (q) return /^[\d]/.test(spec) ? q.version === spec : true
    if (!at) return false
  }
}
let n = 0
for (const [at, p] of Object.entries(P)) {
  for (const [name, spec] of Object.entries(p.optionalDependencies ?? {})) {
    if (has(at, name, spec)) continue
    const parts = name.split('/').pop().split('-')
    const os = parts.find((w) => OS[w])
    const cpu = /wasm32/.test(name)
      ? 'wasm32'
      : parts.find((w) => /^(x64|ia32|arm|arm64|ppc64|s390x|riscv64|loong64|ppc64le)$/.test(w))
    if (!os && !cpu) {
      console.error('cannot tell the platform of', name, spec, 'needed by', at)
      continue
    }
    const key = P[`node_modules/${name}`] ? `${at}/node_modules/${name}` : `node_modules/${name}`
    P[key] = {
      version: spec.replace(/^[\^~]/, ''),
      optional: true,
      ...(p.dev && { dev: true }),
      ...(cpu && { cpu: [cpu] }),
      ...(os && { os: [os] }),
    }
    n++
  }
}
for (const p of Object.values(P)) if (p.version) delete p.resolved // a lock that names no download address works with any registry
lock.packages = Object.fromEntries(Object.entries(P).sort(([a], [b]) => (a < b ? -1 : 1)))
writeFileSync('package-lock.json', JSON.stringify(lock, null, 2) + '\n')
console.log(`added ${n} entries`)
