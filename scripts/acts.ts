// npm run docs:acts: docs/acts.md from the acts themselves.
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { ACT_NAMES, actsPage } from '../core/acts'

writeFileSync(fileURLToPath(new URL('../docs/acts.md', import.meta.url)), actsPage())
console.log(`docs/acts.md: ${ACT_NAMES.length} acts`)
