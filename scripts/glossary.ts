// npm run docs:glossary: the words of each region in docs/glossary.md, made from the tables.
import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { glossaryPage } from './glossary-page'

const file = fileURLToPath(new URL('../docs/glossary.md', import.meta.url))
const page = glossaryPage(readFileSync(file, 'utf8'))
writeFileSync(file, page)
console.log(`docs/glossary.md: ${page.split('\n').filter((line) => line.startsWith('| ')).length} rows`)
