import Papa from 'papaparse'

/** Rows as CSV (RFC 4180, UTF-8) with their columns' names first, or what these are called. */
export const csv = <T extends object>(
  columns: readonly (keyof T & string)[],
  rows: readonly T[],
  called: Partial<Record<keyof T & string, string>> = {},
): string =>
  Papa.unparse(
    {
      fields: columns.map((column) => called[column] ?? column),
      data: rows.map((row) => columns.map((column) => row[column])),
    },
    { newline: '\r\n', escapeFormulae: true },
  )
