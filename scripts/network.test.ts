import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { aboutCertificate, readNetwork } from './network.mjs'

describe('where it is reached', () => {
  it('is this machine alone, where nothing is set', () => {
    expect(readNetwork({}, false)).toMatchObject({
      host: '127.0.0.1',
      port: 3000,
      isOpen: false,
      certificate: null,
      address: 'http://127.0.0.1:3000',
      asked: 'http://127.0.0.1:3000',
    })
    expect(readNetwork({ HOST: '::1', PORT: '80' }, false)).toMatchObject({
      isOpen: false,
      address: 'http://127.0.0.1:80',
    })
  })

  it('on a network is the first of its names; this machine asks it by its address', () => {
    const env = { HOST: '0.0.0.0', JOLVET_HOSTS: ' jolvet.test,192.0.2.7 ' }
    expect(readNetwork(env, true)).toMatchObject({
      isOpen: true,
      names: ['jolvet.test', '192.0.2.7'],
      address: 'http://jolvet.test:3000',
      asked: 'http://127.0.0.1:3000',
    })
    expect(readNetwork({ ...env, HOST: '192.0.2.7' }, true).asked).toBe('http://192.0.2.7:3000')
    expect(readNetwork({ ...env, HOST: 'fe80::1' }, true).asked).toBe('http://[fe80::1]:3000')
  })

  it('is refused in words where what is set does not go together', () => {
    for (const [env, words] of [
      [{ PORT: '0' }, /PORT is "0"/],
      [{ PORT: '70000' }, /PORT is "70000"/],
      [{ HOST: '0.0.0.0' }, /Say by which names/],
      [{ HOST: '0.0.0.0', JOLVET_HOSTS: 'x' }, /npm run certificate/],
      [{ JOLVET_KEY: 'x' }, /go together/],
    ] as const)
      expect(() => readNetwork(env, false)).toThrow(words)
  })
})

describe('a certificate', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'jolvet-cert-'))
  const cert = path.join(folder, 'server.pem')
  const DAY = 86_400_000
  beforeAll(() => {
    const about = ['-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:P-256', '-nodes', '-days', '90', '-subj', '/CN=x']
    execFileSync('openssl', ['req', '-x509', ...about, '-keyout', path.join(folder, 'key'), '-out', cert], {
      stdio: 'ignore',
    })
  })
  afterAll(() => rmSync(folder, { recursive: true }))

  it('is said to end a month before it does, and refused once it has', () => {
    const now = Date.now()
    expect(aboutCertificate({ cert }, now)).toBeNull()
    expect(aboutCertificate({ cert }, now + 70 * DAY)).toMatch(/ends in (19|20) days.*npm run certificate/)
    expect(() => aboutCertificate({ cert }, now + 91 * DAY)).toThrow(/ended on .*npm run certificate/)
    expect(() => aboutCertificate({ cert: 'package.json' })).toThrow(/no certificate/)
  })
})
