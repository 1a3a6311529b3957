// The rows of a database as lines of JSON, and back: no statement comes out of a file.
import { Halt } from './halt.mjs'

const MIGRATIONS = '__drizzle_migrations'
/** Rows, and characters of them, that go to the database in one statement. */
const MOST_ROWS = 500
const MOST_CHARACTERS = 1_000_000

/** The tables and what of them is written: columns in their order, and which of them hold bytes. */
async function tablesOf(open) {
  const [columns] = await open.query(
    "select c.table_name t, c.column_name n, c.data_type d from information_schema.columns c join information_schema.tables b on b.table_schema = c.table_schema and b.table_name = c.table_name where c.table_schema = database() and b.table_type = 'BASE TABLE' and c.extra not like '%GENERATED%' order by c.table_name, c.ordinal_position",
  )
  const tables = new Map()
  for (const { t: table, n: name, d: type } of columns) {
    if (table === MIGRATIONS) continue
    if (!tables.has(table)) tables.set(table, { columns: [], isBytes: [] })
    tables.get(table).columns.push(name)
    tables.get(table).isBytes.push(/blob|binary|bit/.test(type))
  }
  return tables
}

/** All rows, of a connection as of one moment, a table's name and columns before its own. Numbers go as the text MariaDB writes. */
export async function* linesFrom(open) {
  for (const [table, { columns, isBytes }] of await tablesOf(open)) {
    yield { table, columns }
    const names = columns.map((name) => `\`${name}\``).join(', ')
    const rows = open.connection
      .query({ sql: `select ${names} from \`${table}\``, rowsAsArray: true, typeCast: (field) => field.buffer() })
      .stream({ highWaterMark: 100 })
    for await (const row of rows) yield row.map((value, i) => value && value.toString(isBytes[i] ? 'base64' : 'utf8'))
  }
}

/** One connection that sees the database as it was when it was asked. */
export async function asOfNow(open) {
  await open.query("set session time_zone = '+00:00'")
  await open.query('set session transaction isolation level repeatable read')
  await open.query('start transaction with consistent snapshot, read only')
}

const isText = (value) => value === null || typeof value === 'string'

/** Puts lines of rows into the tables that are there. Halts at the first that does not fit them. */
export async function linesInto(open, lines) {
  const tables = await tablesOf(open)
  await open.query("set session foreign_key_checks = 0, unique_checks = 0, time_zone = '+00:00'")
  let into
  let batch = []
  let characters = 0
  const put = async () => {
    if (batch.length > 0) await open.query(`insert into \`${into.table}\` (${into.names}) values ?`, [batch])
    batch = []
    characters = 0
  }
  for await (const line of lines) {
    if (Array.isArray(line)) {
      if (!into || line.length !== into.isBytes.length || !line.every(isText))
        throw new Halt('A row is not of its table.')
      batch.push(line.map((value, i) => (value !== null && into.isBytes[i] ? Buffer.from(value, 'base64') : value)))
      characters += line.reduce((sum, value) => sum + (value?.length ?? 0), 0)
      if (batch.length >= MOST_ROWS || characters >= MOST_CHARACTERS) await put()
      continue
    }
    await put()
    const known = tables.get(line?.table)
    if (!known || !Array.isArray(line.columns) || !line.columns.every((name) => known.columns.includes(name)))
      throw new Halt(`It names a table or a column that there is not: ${String(line?.table).slice(0, 40)}.`)
    into = {
      table: line.table,
      names: line.columns.map((name) => `\`${name}\``).join(', '),
      isBytes: line.columns.map((name) => known.isBytes[known.columns.indexOf(name)]),
    }
  }
  await put()
}
