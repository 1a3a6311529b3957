// Says of every job whether its log is whole; of a register or a log that was given out, whether it is of one of them.
import { readFileSync } from 'node:fs'
import { reading } from '../server/db/client'
import { jobs } from '../server/db/schema'
import { chainOf, readLog } from '../server/services/log'

const logs = await reading(async (db) => {
  const rows = await db
    .select({ id: jobs.id, name: jobs.name, acts: jobs.acts, head: jobs.head })
    .from(jobs)
    .orderBy(jobs.position)
  return Promise.all(rows.map(async ({ id, name, ...end }) => ({ name, end, rows: await readLog(db, id) })))
})
let isWhole = true
for (const { name, end, rows } of logs) {
  const { acts, head, brokenAt } = chainOf(rows, end)
  if (brokenAt !== null) isWhole = false
  const words =
    brokenAt === null ? 'whole' : `BROKEN at act ${brokenAt}: that row, or one before it, was changed or taken out`
  console.log(`${name}: ${acts} acts, ${words}${head ? `, head ${head}` : ''}`)
}

/** The head that a file was given out with: of a register it stands under `log`, of a log beside its rows. */
function headOf(file: string): string | undefined {
  const { head, log } = JSON.parse(readFileSync(file, 'utf8')) as { head?: string; log?: { head?: string } }
  return log?.head ?? head
}
for (const file of process.argv.slice(2)) {
  const head = headOf(file)
  const own = logs.find(({ rows }) => rows.some(({ hash }) => hash === head))
  const at = own?.rows.find(({ hash }) => hash === head)?.number
  if (!own) isWhole = false
  console.log(
    own
      ? `${file}: as of act ${at} of ${own.name}, and the log goes on from there`
      : `${file}: NOT of a log that is here: acts it was given out with were changed or taken out since`,
  )
}
process.exit(isWhole ? 0 : 1)
