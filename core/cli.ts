// npm run -s core -- VERB < question.json
import { answer, VERBS } from './contract'
import type { Issue } from '#core/base'

/** Largest question read, bytes: a thousand full questions fit many times over. */
const MOST_BYTES = 8 * 1024 * 1024

const end = (body: unknown, code: number) => {
  process.stdout.write(`${JSON.stringify(body)}\n`)
  process.exitCode = code
}
const endWrong = (error: Issue) => end({ error }, 2)

async function readInput(): Promise<string | null> {
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of process.stdin) {
    bytes += chunk.length
    if (bytes > MOST_BYTES) return null
    chunks.push(chunk)
  }
  return Buffer.concat(chunks).toString('utf8')
}

const verb = process.argv[2] ?? ''
const input = await readInput()
if (!Object.hasOwn(VERBS, verb)) {
  endWrong({
    code: 'verb',
    path: '',
    message: `No verb "${verb.slice(0, 40)}". Accepted: ${Object.keys(VERBS).join(', ')}.`,
  })
} else if (input === null) {
  endWrong({ code: 'too-many', path: '', message: 'The question is larger than 8 MB.' })
} else {
  let question: unknown
  let readable = true
  try {
    question = JSON.parse(input)
  } catch {
    readable = false
  }
  if (!readable) {
    endWrong({ code: 'json', path: '', message: 'The question is not readable JSON.' })
  } else {
    const result = answer(verb, question)
    if (result.ok) end(result.value, 0)
    else endWrong(result.error)
  }
}
