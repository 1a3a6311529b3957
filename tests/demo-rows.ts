import mysql from 'mysql2/promise'

/** Where the demo's rows are kept beside those that tests work on. */
const KEPT = 'jolvet_demo'

/** Work on every table of a database, on one connection without its foreign keys in the way. */
async function onTables(url: string, work: (run: (sql: string) => Promise<unknown>, table: string) => Promise<void>) {
  const connection = await mysql.createConnection(url)
  try {
    const run = async (sql: string) => (await connection.query(sql))[0]
    const tables = (await run('show tables')) as Record<string, string>[]
    await run('set foreign_key_checks = 0')
    await run('start transaction')
    for (const table of tables.map((row) => Object.values(row)[0]!)) await work(run, table)
    await run('commit')
  } finally {
    await connection.end()
  }
}

/** Keeps the rows of a database as they are now. */
export async function keepRows(url: string) {
  const connection = await mysql.createConnection(url)
  await connection.query(`create database ${KEPT}`)
  await connection.end()
  await onTables(url, async (run, table) => {
    await run(`create table ${KEPT}.\`${table}\` as select * from \`${table}\``)
  })
}

/** Puts back the rows that were kept, and takes away all others. */
export const putBackRows = (url: string): Promise<void> =>
  onTables(url, async (run, table) => {
    await run(`delete from \`${table}\``)
    await run(`insert into \`${table}\` select * from ${KEPT}.\`${table}\``)
  })
