import { drizzle } from 'drizzle-orm/mysql2'
import { migrate } from 'drizzle-orm/mysql2/migrator'
import mysql from 'mysql2/promise'
import { fileURLToPath } from 'node:url'

export async function runMigrations(url) {
  const c = await mysql.createConnection({ uri: url, multipleStatements: false })
  try { await migrate(drizzle(c), { migrationsFolder: fileURLToPath(new URL('../server/db/migrations', import.meta.url)) }) }
  finally { await c.end() }
}
if (process.argv[1] === fileURLToPath(import.meta.url)) { await runMigrations(process.env.DATABASE_URL); console.log('migrated') }
