// Brings a database to the tables this version works with.
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { drizzle } from 'drizzle-orm/mysql2'
import { migrate } from 'drizzle-orm/mysql2/migrator'
import mysql from 'mysql2/promise'
import { Halt } from './halt.mjs'

export const migrationFolder = fileURLToPath(new URL('../server/db/migrations', import.meta.url))
const steps = () =>
  JSON.parse(readFileSync(`${migrationFolder}/meta/_journal.json`, 'utf8')).entries.map(({ when }) => when)

/** Work on one connection, closed whatever comes of it. */
export async function onDatabase(url, work) {
  const connection = await mysql.createConnection({ uri: url })
  try {
    return await work(connection)
  } finally {
    await connection.end()
  }
}

const NO_TABLE = 1146

/** How far a database is: steps done and still to do, and whether it is ahead of this version. */
export const migrationState = (url) =>
  onDatabase(url, async (connection) => {
    const [rows] = await connection
      .query('select created_at from __drizzle_migrations order by created_at')
      .catch((error) => {
        if (error.errno === NO_TABLE) return [[]]
        throw error
      })
    const last = Number(rows.at(-1)?.created_at ?? 0)
    const [tables] = await connection.query('show tables')
    return {
      done: rows.length,
      pending: steps().filter((when) => when > last).length,
      isNewer: last > steps().at(-1),
      isEmpty: tables.length === 0,
    }
  })

export const NEWER =
  'This data was made by a newer Jolvet than this one. Update Jolvet, or set JOLVET_DATA to another folder and restore a backup made by this one: npm run restore -- FILE'

/** Brings a database to the tables of this version, or to those of another folder of migrations. */
export async function runMigrations(url, migrationsFolder = migrationFolder) {
  if ((await migrationState(url)).isNewer) throw new Halt(NEWER)
  await onDatabase(url, (connection) => migrate(drizzle(connection), { migrationsFolder }))
}
