import Papa from 'papaparse'
import { bad, good, isDate, type Outcome } from '../kernel/index.ts'

/** A table as it was read: its headers, trimmed, and its rows with the lines they stand on. */
export interface Table {
  readonly headers: readonly string[]
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[]
  /** Between cells: a semicolon makes a comma in a figure its decimal sign. */
  readonly delimiter: string
}

/** More rows than this are not taken in at once. */
export const MOST_ROWS = 60_000

/**
 * Bytes as text: UTF-8, or UTF-16 when it says so by its mark.
 * @returns `wrong-encoding` for anything else, since a guess would spoil names
 */
export const decodeText = (bytes: Uint8Array): Outcome<string> => {
  const wide =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? 'utf-16le'
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? 'utf-16be'
        : undefined
  try {
    return good(new TextDecoder(wide ?? 'utf-8', { fatal: true }).decode(bytes))
  } catch {
    return bad('wrong-encoding')
  }
}

/**
 * Reads CSV (RFC 4180) with commas, semicolons or tabs between cells, quoted or not.
 * @returns `empty-file`, `too-many-rows`, or `bad-quotes` with the line
 */
export const readTable = (text: string): Outcome<Table> => {
  const { data, errors, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t'],
    skipEmptyLines: 'greedy',
    // One more than is taken in: enough to see that there are too many, without reading them all.
    preview: MOST_ROWS + 2,
  })
  const quotes = errors.find(({ type }) => type === 'Quotes')
  if (quotes) return bad('bad-quotes', '', { numbers: { line: (quotes.row ?? 0) + 1 } })
  const [headers, ...rows] = data
  if (!headers) return bad('empty-file')
  if (rows.length > MOST_ROWS) return bad('too-many-rows', '', { numbers: { count: rows.length, most: MOST_ROWS } })
  return good({
    headers: headers.map((header) => header.trim()),
    rows: rows.map((cells, i) => ({ line: i + 2, cells })),
    delimiter: meta.delimiter,
  })
}

/** What our own writing puts before a text that looks like a formula comes off again. */
export const unguarded = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)

/** Would a spreadsheet run this cell? */
export const isFormula = (cell: string): boolean => /^[=@\t\r]/.test(cell) || /^[+-][^\d.,]/.test(cell)

/**
 * A figure as people write it: a point, or with semicolons between the cells also a comma before its decimals; groups
 * of three by spaces or the other sign. @returns undefined when it is none
 * @example "1.234,50" in a file with semicolons: 1234.5
 */
export const figureOf = (cell: string, delimiter: string): number | undefined => {
  const plain = cell.trim().replace(/[\s\u00A0']/g, '')
  const commaDecimals = delimiter !== ',' && (/^-?\d+,\d+$/.test(plain) || /^-?\d{1,3}(\.\d{3})+(,\d+)?$/.test(plain))
  const text = commaDecimals
    ? plain.replace(/\./g, '').replace(',', '.')
    : /^-?\d{1,3}(,\d{3})+(\.\d+)?$/.test(plain)
      ? plain.replace(/,/g, '')
      : plain
  return /^-?\d+(\.\d+)?$/.test(text) ? Number(text) : undefined
}

/**
 * Year, month and day of a text: `2026-11-25`, `25.11.2026`, or with slashes when only one of the two ways round is
 * possible.
 */
const partsOf = (text: string): readonly [string, string, string] | undefined => {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text)
  if (iso) return [iso[1] ?? '', iso[2] ?? '', iso[3] ?? '']
  const points = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text)
  if (points) return [points[3] ?? '', points[2] ?? '', points[1] ?? '']
  const [, first = '', second = '', year = ''] = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(text) ?? []
  if (year === '' || (Number(first) <= 12 && Number(second) <= 12 && first !== second)) return undefined
  return Number(first) > 12 ? [year, second, first] : [year, first, second]
}

/**
 * A day as `2026-11-25`, or as spreadsheets write it.
 * @returns undefined when it is none, or could be two: 03/01/2025 is a day in March in one country and in January in
 * another
 */
export const dayOf = (cell: string): string | undefined => {
  const parts = partsOf(cell.trim())
  if (!parts) return undefined
  const [year, month, day] = parts
  const text = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`
  return isDate(text) ? text : undefined
}
