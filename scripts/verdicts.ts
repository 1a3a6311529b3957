// npm run docs:verdicts: docs/verdicts.md from the rules themselves; --check says whether it is as they are.
import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { verdictsPage } from '../core/rulebook'

const file = fileURLToPath(new URL('../docs/verdicts.md', import.meta.url))
const page = verdictsPage()
if (!process.argv.includes('--check')) {
  writeFileSync(file, page)
  console.log(`docs/verdicts.md: ${page.split('\n').filter((line) => line.startsWith('| `')).length} rules`)
} else if (readFileSync(file, 'utf8') !== page) {
  console.error('docs/verdicts.md is not as the rules are: npm run docs:verdicts')
  process.exitCode = 1
}
