import type { Catalogue } from '../catalogue/index.ts'
import type { Issue } from '../kernel/index.ts'
import { conditions, type LockerPiece, newPiece, pieceSchema, pieceStates } from '../locker/index.ts'
import { type Cell, writeCsv } from './csv.ts'
import { dayOf, figureOf, isFormula, readTable, type Table, unguarded } from './csv-read.ts'

/** One trouble of a row: on which line and in which column. */
export interface LineIssue extends Issue {
  readonly line: number
  readonly column: string
}

/** What a file of pieces holds, and what is wrong with it. Nothing is taken in while anything is wrong. */
export interface LockerReport {
  readonly ok: boolean
  readonly rows: number
  readonly pieces: readonly LockerPiece[]
  readonly issues: readonly LineIssue[]
  /** Columns nobody knows; they are named and left out. */
  readonly unknownColumns: readonly string[]
}

type Kind = 'text' | 'money' | 'day' | 'grams' | 'word'
interface Column {
  readonly header: string
  readonly key: keyof LockerPiece
  readonly kind: Kind
  readonly needed?: boolean
  readonly words?: readonly string[]
}

/** The columns of a locker file, with their units. */
export const lockerColumns: readonly Column[] = [
  { header: 'id', key: 'id', kind: 'text' },
  { header: 'part', key: 'partId', kind: 'text', needed: true },
  { header: 'state', key: 'state', kind: 'word', words: pieceStates },
  { header: 'condition', key: 'condition', kind: 'word', words: conditions },
  { header: 'place', key: 'place', kind: 'text' },
  { header: 'serial', key: 'serial', kind: 'text' },
  { header: 'bought (YYYY-MM-DD)', key: 'boughtOn', kind: 'day' },
  { header: 'bought for', key: 'boughtFor', kind: 'text' },
  { header: 'paid', key: 'paidMinor', kind: 'money' },
  { header: 'insured', key: 'insuredMinor', kind: 'money' },
  { header: 'currency', key: 'currency', kind: 'text' },
  { header: 'measured (g)', key: 'measuredG', kind: 'grams' },
  { header: 'measured (YYYY-MM-DD)', key: 'measuredOn', kind: 'day' },
  { header: 'lent to', key: 'lentTo', kind: 'text' },
  { header: 'lent (YYYY-MM-DD)', key: 'lentOn', kind: 'day' },
  { header: 'ended (YYYY-MM-DD)', key: 'endedOn', kind: 'day' },
  { header: 'sold', key: 'soldMinor', kind: 'money' },
  { header: 'used (YYYY-MM-DD)', key: 'usedOn', kind: 'day' },
  { header: 'notes', key: 'notes', kind: 'text' },
]

const plain = (header: string): string =>
  header
    .toLowerCase()
    .replace(/\(.*\)/, (unit) => (/g\)/.test(unit) ? ' g' : ' '))
    .trim()

/** Writes pieces as CSV; texts that a spreadsheet would run as formulas are guarded by an apostrophe. */
export const writeLockerCsv = (pieces: readonly LockerPiece[]): string =>
  writeCsv(
    lockerColumns.map(({ header }) => header),
    pieces.map((piece) =>
      lockerColumns.map(({ key, kind }): Cell => {
        const value = piece[key]
        if (value === null) return ''
        return kind === 'money' ? (Number(value) / 100).toFixed(2) : value
      }),
    ),
  )

/** Issues past this many are only counted. */
export const MOST_ISSUES = 200

const cellOf = (
  column: Column,
  raw: string,
  delimiter: string,
): { readonly value: unknown } | { readonly code: string } => {
  const cell = unguarded(raw.trim())
  if (raw.trim() === cell && isFormula(cell)) return { code: 'formula' }
  if (cell === '') return { value: undefined }
  switch (column.kind) {
    case 'text':
      return { value: cell }
    case 'word':
      return column.words?.includes(cell.toLowerCase()) ? { value: cell.toLowerCase() } : { code: 'word-unknown' }
    case 'day': {
      const day = dayOf(cell)
      return day === undefined ? { code: 'no-day' } : { value: day }
    }
    case 'money':
    case 'grams': {
      const figure = figureOf(cell, delimiter)
      if (figure === undefined) return { code: 'no-figure' }
      if (figure < 0) return { code: 'negative' }
      return { value: column.kind === 'money' ? Math.round(figure * 100) : figure }
    }
  }
}

const headerIssues = (table: Table): LineIssue[] =>
  lockerColumns
    .filter((column) => column.needed && !table.headers.some((header) => plain(header) === plain(column.header)))
    .map(({ header }) => ({ line: 1, column: header, code: 'column-missing', path: '', names: { column: header } }))

const LOCKER_ID_DIGITS = 5

/**
 * The first free number after an id's beginning; where the last search ended is remembered, so that many pieces of one
 * part cost one step each.
 */
const freeId = (start: string, used: ReadonlySet<string>, nextOf: Map<string, number>): string => {
  const short = start.slice(0, 64 - 1 - LOCKER_ID_DIGITS)
  let n = nextOf.get(short) ?? 1
  while (used.has(`${short}-${n}`)) n++
  nextOf.set(short, n + 1)
  return `${short}-${n}`
}

/**
 * Reads pieces from CSV, line by line, and says of every line what is wrong with it. A line without an id gets one of
 * its part.
 * @param today days after it are refused
 * @param taken ids the locker has already: a line without an id never writes over them
 */
export const readLockerCsv = (
  text: string,
  catalogue: Catalogue,
  today: string,
  taken: ReadonlySet<string>,
  currency: string,
): LockerReport => {
  const read = readTable(text)
  if (!read.ok)
    return {
      ok: false,
      rows: 0,
      pieces: [],
      unknownColumns: [],
      issues: read.issues.map((issue) => ({ ...issue, line: issue.numbers?.['line'] ?? 1, column: '' })),
    }
  const table = read.value
  const columns = table.headers.map((header) => lockerColumns.find((column) => plain(column.header) === plain(header)))
  const issues = headerIssues(table)
  const used = new Set(taken)
  const seen = new Map<string, number>()
  const pieces: LockerPiece[] = []
  const nextOf = new Map<string, number>()
  if (issues.length === 0)
    for (const { line, cells } of table.rows) {
      // What is wrong with a table is seen from its first faults; the rest would only take time.
      if (issues.length >= MOST_ISSUES) break
      const found: Record<string, unknown> = {}
      const before = issues.length
      const note = (column: string, code: string, names: Record<string, string> = {}) =>
        issues.push({ line, column, code, path: column, names })
      cells.forEach((cell, i) => {
        const column = columns[i]
        if (!column) return
        const value = cellOf(column, cell, table.delimiter)
        if ('code' in value)
          note(column.header, value.code, { cell: cell.slice(0, 40), words: column.words?.join(', ') ?? '' })
        else if (value.value !== undefined) found[column.key] = value.value
      })
      const partId = typeof found['partId'] === 'string' ? found['partId'] : ''
      if (partId === '') note('part', 'part-missing')
      else if (!catalogue.parts.has(partId)) note('part', 'part-unknown', { part: partId.slice(0, 64) })
      let id = typeof found['id'] === 'string' ? found['id'] : ''
      if (id === '' && partId !== '') {
        id = freeId(partId.slice(0, 58), used, nextOf)
      }
      const earlier = seen.get(id)
      if (id !== '' && earlier !== undefined) note('id', 'id-twice', { id, line: String(earlier) })
      seen.set(id, line)
      used.add(id)
      for (const column of lockerColumns)
        if (column.kind === 'day' && typeof found[column.key] === 'string' && String(found[column.key]) > today)
          note(column.header, 'future', { day: String(found[column.key]) })
      if (issues.length > before) continue
      const parsed = pieceSchema.safeParse(newPiece(id, partId, { currency, ...found, id, partId }))
      if (parsed.success) pieces.push(parsed.data)
      else
        for (const issue of parsed.error.issues) {
          const column = lockerColumns.find(({ key }) => key === issue.path[0])
          note(column?.header ?? String(issue.path[0] ?? ''), 'not-as-expected', { reason: issue.message })
        }
    }
  return {
    ok: issues.length === 0,
    rows: table.rows.length,
    pieces: issues.length === 0 ? pieces : [],
    issues: issues.slice(0, MOST_ISSUES),
    unknownColumns: table.headers.filter((header, i) => header !== '' && !columns[i]),
  }
}
