// The file of a backup: gzip of JSON Lines. The first line says what it holds, the second signs the first, the rest are
// rows. docs/formats.md has it in full.
import { createHash } from 'node:crypto'
import {
  closeSync,
  createReadStream,
  createWriteStream,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip, gzipSync } from 'node:zlib'
import { aboutPlace, Halt } from './halt.mjs'
import { isSigned, signed } from './keys.mjs'

export const FORMAT = 2
/** What the first line of a backup begins with that was made before they were signed: the client's statements follow. */
const OLD_MARK = '-- jolvet-backup '
/** The first two lines are read before anything else is known of a file, so they are bounded by themselves, bytes. */
const MOST_HEAD = 64 * 1024
/** The longest line of a row, bytes: a photo in base64 and then some. */
const MOST_LINE = 64 * 1024 * 1024

const syncFile = (file) => {
  const fd = openSync(file, 'r')
  fsyncSync(fd)
  closeSync(fd)
}

/**
 * Writes a backup, whole or not at all. `about` is what its first line says beside its own size and digest. Gives that
 * line.
 */
export async function writeBackup(file, about, lines) {
  const [body, part] = [`${file}.rows-part`, `${file}.part`]
  const hash = createHash('sha256')
  let bytes = 0
  try {
    mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 })
    await pipeline(
      Readable.from(lines),
      async function* (source) {
        for await (const line of source) {
          const text = Buffer.from(`${JSON.stringify(line)}\n`)
          hash.update(text)
          bytes += text.length
          yield text
        }
      },
      createGzip(),
      createWriteStream(body, { mode: 0o600 }),
    )
    const head = { jolvet: 'backup', format: FORMAT, ...(await about()), bytes, sha256: hash.digest('hex') }
    const first = JSON.stringify(head)
    await pipeline(
      Readable.from(
        (async function* () {
          // Two parts of gzip one after another are one file of it.
          yield gzipSync(`${first}\n${JSON.stringify(signed(first))}\n`)
          yield* createReadStream(body)
        })(),
      ),
      createWriteStream(part, { mode: 0o600 }),
    )
    syncFile(part)
    renameSync(part, file)
    return head
  } catch (error) {
    throw aboutPlace(error, path.dirname(file))
  } finally {
    for (const left of [body, part]) if (existsSync(left)) rmSync(left)
  }
}

function checkIsThere(file, folder) {
  if (existsSync(file) && statSync(file).isFile()) return
  const made = existsSync(folder) ? readdirSync(folder).filter((name) => name.endsWith('.gz')) : null
  throw new Halt(`There is no file ${file}.${made ? ` Backups made here: ${made.join(', ') || 'none'}.` : ''}`)
}

/** A failure to unpack, in words. */
function unpackFault(error, file) {
  if (error instanceof Halt) return error
  return new Halt(
    error.code === 'Z_BUF_ERROR'
      ? `${file} ends too early: it was not copied whole. Nothing was changed.`
      : `${file} is damaged or no backup of Jolvet. Nothing was changed.`,
  )
}

/** The unpacked bytes of a file, as they come. */
async function* unpacked(file) {
  const source = createReadStream(file)
  const unzip = source.pipe(createGunzip())
  source.once('error', (error) => unzip.destroy(error))
  try {
    yield* unzip
  } catch (error) {
    throw unpackFault(error, file)
  } finally {
    source.destroy()
    unzip.destroy()
  }
}

function parseHead(text, file) {
  try {
    const head = JSON.parse(text)
    const isCount = (value) => Number.isInteger(value) && value >= 0
    const isWhole = isCount(head.format) && isCount(head.bytes) && isCount(head.migrations)
    // The day is shown before anybody trusts the file.
    if (isWhole && /^[0-9a-f]{64}$/.test(head.sha256) && /^\d{4}-\d\d-\d\dT\d\d:\d\d:/.test(head.at)) return head
  } catch {
    // Said below.
  }
  throw new Halt(`${file} is damaged or no backup of Jolvet. Nothing was changed.`)
}

/**
 * What a backup says of itself, before anything else of it is unpacked: its head, whose key signed it (null before they
 * were signed), and how many bytes the head takes. Halts where its signature does not fit.
 */
export async function readHead(file, folder) {
  checkIsThere(file, folder)
  let text = Buffer.alloc(0)
  for await (const chunk of unpacked(file)) {
    text = Buffer.concat([text, chunk])
    if (text.length >= MOST_HEAD) break
  }
  if (text.length === 0) throw new Halt(`${file} is not a backup of Jolvet: it is empty.`)
  const [first, second] = text.subarray(0, MOST_HEAD).toString('utf8').split('\n', 2)
  const isOld = first.startsWith(OLD_MARK)
  if (!isOld && !first.startsWith('{"jolvet":"backup"'))
    throw new Halt(`${file} is not a backup of Jolvet: its first line does not say so.`)
  const head = parseHead(isOld ? first.slice(OLD_MARK.length) : first, file)
  if (head.format > FORMAT) throw new Halt(`${file} was made by a newer Jolvet. Update Jolvet and run this again.`)
  if (isOld) return { head: { ...head, format: 1 }, key: null, headBytes: Buffer.byteLength(first) + 1 }
  const own = readSignature(second)
  if (!own || !isSigned(first, own))
    throw new Halt(
      `${file} is damaged, or was changed since it was made: its signature does not fit. Nothing was changed.`,
    )
  return { head, key: own.key, headBytes: Buffer.byteLength(first) + Buffer.byteLength(second) + 2 }
}

function readSignature(line) {
  try {
    const { key, signature } = JSON.parse(line)
    return typeof key === 'string' && typeof signature === 'string' ? { key, signature } : null
  } catch {
    return null
  }
}

/**
 * What follows the head, as it comes. Stops with a sentence before more is unpacked than the head states, and at the end
 * where it is not what was put in.
 */
export async function* bodyOf(file, { head, headBytes }) {
  const damaged = () => new Halt(`${file} is damaged: what it holds is not what was put in. Nothing was changed.`)
  const hash = createHash('sha256')
  let toSkip = headBytes
  let bytes = 0
  for await (const chunk of unpacked(file)) {
    const rest = chunk.subarray(Math.min(toSkip, chunk.length))
    toSkip -= chunk.length - rest.length
    bytes += rest.length
    if (bytes > head.bytes) throw damaged()
    hash.update(rest)
    if (rest.length > 0) yield rest
  }
  if (bytes !== head.bytes || hash.digest('hex') !== head.sha256) throw damaged()
}

/** The lines of a body, parsed. */
export async function* linesOf(file, opened) {
  let kept = []
  let length = 0
  for await (const chunk of bodyOf(file, opened)) {
    let from = 0
    for (let end = chunk.indexOf(10); end >= 0; end = chunk.indexOf(10, from)) {
      kept.push(chunk.subarray(from, end))
      yield JSON.parse(Buffer.concat(kept).toString('utf8'))
      kept = []
      length = 0
      from = end + 1
    }
    kept.push(chunk.subarray(from))
    length += chunk.length - from
    if (length > MOST_LINE) throw new Halt(`${file} has a line that no backup has. Nothing was changed.`)
  }
}
