import Papa from 'papaparse'

/** Rows as a CSV (RFC 4180) that a link can hold, columns in the order given. A cell that begins like a formula is kept as text. */
export const csvLink = (rows: readonly object[], columns: string[]): string =>
  `data:text/csv;charset=utf-8,${encodeURIComponent(Papa.unparse([...rows], { columns, newline: '\r\n', escapeFormulae: true }))}`
