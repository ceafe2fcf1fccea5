import Papa from 'papaparse'

/** A cell of a table that goes out; a figure is written with a point and no thousands. */
export type Cell = string | number | undefined

/**
 * Writes a table as CSV (RFC 4180: commas, CRLF, quotes doubled), the first row its headers with units. A text that a
 * spreadsheet would take for a formula gets an apostrophe before it.
 * @example `writeCsv(['name', 'mass (g)'], [['=1+1', 12]])` is `name,mass (g)\r\n'=1+1,12\r\n`
 */
export const writeCsv = (headers: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  `${Papa.unparse({ fields: [...headers], data: rows.map((row) => row.map((cell) => cell ?? '')) }, { newline: '\r\n', escapeFormulae: true })}\r\n`
