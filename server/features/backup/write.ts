import { createHash } from 'node:crypto'
import type { EventEmitter } from 'node:events'
import type { Readable } from 'node:stream'
import type { DataSource, QueryRunner } from 'typeorm'
import { backupTables, type BackupRow, type BackupTable, type Cell, DAYS, DOCUMENTS } from './tables.ts'
import { sortedJson } from '@zucchini/core/kernel'

export const BACKUP_FORMAT = 'zucchini-backup'
export const BACKUP_VERSION = 2

/** Lines go out together in pieces of about this size, bytes. */
const PIECE_BYTES = 256 * 1024

/**
 * Days as days, moments as text that sorts, bytes as base64, documents with their keys in order: equal rows are equal
 * lines.
 */
const cellOf = (column: string, value: unknown): Cell => {
  if (value === null || value === undefined) return null
  if (value instanceof Date) return DAYS.has(column) ? value.toISOString().slice(0, 10) : value.toISOString()
  if (Buffer.isBuffer(value)) return { b64: value.toString('base64') }
  if (DOCUMENTS.has(column)) return sortedJson(typeof value === 'string' ? JSON.parse(value) : value) as object
  return typeof value === 'bigint' ? Number(value) : (value as Cell)
}

const rowOf = (table: BackupTable, row: Readonly<Record<string, unknown>>): BackupRow =>
  Object.fromEntries(
    Object.keys(row)
      .filter((column) => !table.leftOut.includes(column))
      .sort()
      .map((column) => [column, cellOf(column, row[column])]),
  )

const exists = async (runner: QueryRunner, table: string): Promise<boolean> => runner.hasTable(table)

/**
 * Everything that is stored, as lines of JSON: a head, a line for each row, and an end with the counts and a SHA-256
 * over all lines before it. Read in one snapshot and written as it is read, so that its size does not matter. The same
 * content gives the same bytes. A table that an older database does not have yet is passed over, so that a safety copy
 * can be made before the database is brought up to date.
 */
export const backupLines = async function* (db: DataSource): AsyncGenerator<Buffer, void> {
  const runner = db.createQueryRunner()
  const hash = createHash('sha256')
  const rows: Record<string, number> = {}
  let waiting: string[] = []
  let bytes = 0
  const line = (value: object) => {
    const text = `${JSON.stringify(value)}\n`
    hash.update(text)
    waiting.push(text)
    bytes += text.length
  }
  const piece = () => {
    const out = Buffer.from(waiting.join(''))
    waiting = []
    bytes = 0
    return out
  }
  // A connection that is lost in the middle of a stream says so only itself; whoever reads the stream would wait for
  // ever.
  let reading: Readable | undefined
  const lost = (error?: Error) => void reading?.destroy(error ?? new Error('Connection lost while a backup was read'))
  let connection: EventEmitter | undefined
  try {
    connection = (await runner.connect()) as EventEmitter
    connection.on('error', lost).on('end', lost)
    await runner.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ')
    await runner.query('START TRANSACTION WITH CONSISTENT SNAPSHOT')
    line({ format: BACKUP_FORMAT, version: BACKUP_VERSION })
    for (const table of backupTables) {
      rows[table.name] = 0
      if (!(await exists(runner, table.name))) continue
      reading = (await runner.stream(`SELECT * FROM ${table.name} ORDER BY ${table.order.join(', ')}`)) as Readable
      for await (const row of reading as AsyncIterable<Record<string, unknown>>) {
        line({ t: table.name, r: rowOf(table, row) })
        rows[table.name] = (rows[table.name] ?? 0) + 1
        if (bytes >= PIECE_BYTES) yield piece()
      }
    }
    await runner.query('COMMIT')
    waiting.push(`${JSON.stringify({ end: true, rows, sha256: hash.digest('hex') })}\n`)
    yield piece()
  } finally {
    connection?.off('error', lost).off('end', lost)
    if (!runner.isReleased) await runner.release()
  }
}
