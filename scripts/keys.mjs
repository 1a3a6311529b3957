// The key that this Jolvet signs its backups with (Ed25519), made once and kept with the data.
import { createHash, createPrivateKey, createPublicKey, generateKeyPairSync, sign, verify } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { dataFolder, writeWhole } from './db.mjs'
import { aboutPlace, Halt } from './halt.mjs'

export const keyFile = path.join(dataFolder, 'keys/backup.pem')

/** The private key, made at the first call: a start makes it, so that every backup has one. */
export function ownKey() {
  try {
    if (!existsSync(keyFile)) {
      mkdirSync(path.dirname(keyFile), { recursive: true, mode: 0o700 })
      writeWhole(keyFile, generateKeyPairSync('ed25519').privateKey.export({ type: 'pkcs8', format: 'pem' }))
    }
    return createPrivateKey(readFileSync(keyFile))
  } catch (error) {
    if (error.code?.startsWith('ERR_') || /DECODER|PEM/.test(error.message))
      throw new Halt(
        `${keyFile} is no key any more. Put it back from a copy, or move it away: a new one is made, and backups signed by the old one are asked about.`,
      )
    throw aboutPlace(error, path.dirname(keyFile))
  }
}

const publicText = (key) => createPublicKey(key).export({ type: 'spki', format: 'der' }).toString('base64')

/** What is written beside signed text: whose key, and the signature. */
export function signed(text) {
  const key = ownKey()
  return { key: publicText(key), signature: sign(null, Buffer.from(text), key).toString('base64') }
}

/** Whether a text is signed by the key that it names. */
export function isSigned(text, { key, signature }) {
  try {
    const open = createPublicKey({ key: Buffer.from(key, 'base64'), type: 'spki', format: 'der' })
    if (open.asymmetricKeyType !== 'ed25519') return false
    return verify(null, Buffer.from(text), open, Buffer.from(signature, 'base64'))
  } catch {
    return false
  }
}

/** Whether a public key is this Jolvet's own. */
export const isOwnKey = (key) => existsSync(keyFile) && key === publicText(ownKey())

/** A key as people compare it: 16 digits of its SHA-256. */
export const nameOfKey = (key) =>
  createHash('sha256')
    .update(Buffer.from(key, 'base64'))
    .digest('hex')
    .slice(0, 16)
    .replace(/(.{4})(?=.)/g, '$1-')

/** This Jolvet's own key by its name; made at the first call. */
export const nameOfOwnKey = () => nameOfKey(publicText(ownKey()))
