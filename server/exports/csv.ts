import Papa from 'papaparse'

/** Rows as CSV (RFC 4180, UTF-8) with their columns' names first. */
export const csv = <T extends object>(columns: readonly (keyof T & string)[], rows: readonly T[]): string =>
  Papa.unparse(
    { fields: [...columns], data: rows.map((row) => columns.map((column) => row[column])) },
    { newline: '\r\n', escapeFormulae: true },
  )
