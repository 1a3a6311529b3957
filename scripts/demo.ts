// Loads the demo jobs. --if-empty: only into a database without jobs. --replace: takes the demo jobs out first; other jobs
// stay.
import { loadDemo } from '../server/demo/load'

const loaded = await loadDemo({ replace: process.argv.includes('--replace') })
if (loaded > 0) console.log(`demo: ${loaded} jobs loaded`)
process.exit(0)
