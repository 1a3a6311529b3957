import { execFileSync } from 'node:child_process'
import { createHash, X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

/** The name of this machine in tests of a network: beds answer to it, browsers know it where they are told. */
export const NAME = 'jolvet.test'

export interface OwnCertificate {
  cert: Buffer
  key: Buffer
  certificate: X509Certificate
  authority: X509Certificate
  /** What a browser is told to trust: SHA-256 of its public key, base64. */
  trusted: string
}

/** The certificate that `npm run certificate` made in a data folder. */
export function certificateIn(folder: string): OwnCertificate {
  const read = (name: string) => readFileSync(path.join(folder, 'certificate', name))
  const cert = read('server.pem')
  const certificate = new X509Certificate(cert)
  const key = certificate.publicKey.export({ type: 'spki', format: 'der' })
  return {
    cert,
    key: read('server.key'),
    certificate,
    authority: new X509Certificate(read('jolvet-authority.crt')),
    trusted: createHash('sha256').update(key).digest('base64'),
  }
}

/** One made for `NAME`, as a user makes it. */
export function makeCertificate(): OwnCertificate {
  const folder = mkdtempSync(path.join(tmpdir(), 'jolvet-certificate-'))
  try {
    const env = { ...process.env, JOLVET_DATA: folder }
    execFileSync(process.execPath, ['scripts/certificate.mjs', NAME], { env, stdio: 'ignore' })
    return certificateIn(folder)
  } finally {
    rmSync(folder, { recursive: true })
  }
}
