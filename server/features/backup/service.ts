import type { DataSource, EntityManager } from 'typeorm'
import { Refusal } from '../../errors.ts'
import { raiseAll } from '../../versions.ts'
import { backupRows, badBackup } from './read.ts'
import { backupTables, type BackupTable, DOCUMENTS, liftRow, MOMENTS, RevisionReader, tableOf } from './tables.ts'
import { backupLines } from './write.ts'

/** One statement holds so many bytes and rows at most, well under what any database takes in one packet. */
const STATEMENT_BYTES = 1024 * 1024
const STATEMENT_ROWS = 500
/** After this long other requests are let in, ms. */
const BREATH_MS = 15

/** Thrown to take everything back after a dry run. */
class DryRun extends Error {}

/** Rows read from a file that wait to go into one statement. */
interface Waiting {
  readonly table: BackupTable
  readonly columns: readonly string[]
  readonly values: unknown[][]
  bytes: number
}

const valueOf = (column: string, value: unknown): unknown => {
  if (value === null || value === undefined) return null
  if (MOMENTS.has(column)) return new Date(value as string)
  if (DOCUMENTS.has(column)) return JSON.stringify(value)
  if (typeof value === 'object' && 'b64' in value) return Buffer.from((value as { b64: string }).b64, 'base64')
  return value
}
const sizeOf = (value: unknown): number =>
  Buffer.isBuffer(value) ? value.length : typeof value === 'string' ? Buffer.byteLength(value) : 8

/** What a row of a backup is called where it is refused: its first key that is a text or a number. */
const rowName = (given: Record<string, unknown>): string => {
  const name = [given['id'], given['rigId'], given['partId'], given['name']].find(
    (key) => typeof key === 'string' || typeof key === 'number',
  )
  return String(name ?? '').slice(0, 64)
}

/** Checks rows as they come: the same schemas as everywhere, and that what they name is there. */
class RowChecker {
  readonly #revisions = new RevisionReader()
  readonly #ids = new Map<string, Set<string>>()
  #rank = -1

  /** @throws {Refusal} backup-bad with the line, the table and what is wrong */
  check(
    tableName: string,
    given: Readonly<Record<string, unknown>>,
    line: number,
  ): { table: BackupTable; row: Record<string, unknown> } {
    const table = tableOf(tableName)
    if (!table) throw badBackup(`line ${line}`, `this version knows no "${tableName.slice(0, 40)}"`)
    const rank = backupTables.findIndex(({ name }) => name === tableName)
    if (rank < this.#rank) throw badBackup(`line ${line}`, `"${tableName}" stands after what is built upon it`)
    this.#rank = rank
    const parsed = table.row.safeParse(given)
    const where = `line ${line}, ${tableName} ${rowName(given)}`
    if (!parsed.success) {
      const [issue] = parsed.error.issues
      throw badBackup(where, `${issue?.path.map(String).join('.') ?? ''} ${issue?.message ?? 'not as expected'}`.trim())
    }
    const row = parsed.data
    if (typeof row['id'] === 'string') (this.#ids.get(tableName) ?? this.#newSet(tableName)).add(row['id'])
    const { refers } = table
    if (refers && !this.#ids.get(refers.to)?.has(String(row[refers.column])))
      throw badBackup(where, `${refers.column} names a ${refers.to} that is not in the backup`)
    const trouble = tableName === 'rig_revision' ? this.#revisions.trouble(row) : undefined
    if (trouble) throw badBackup(where, trouble)
    return { table, row }
  }

  #newSet(name: string): Set<string> {
    const made = new Set<string>()
    this.#ids.set(name, made)
    return made
  }
}

/** Everything that is stored in one file, and back. */
export class BackupService {
  readonly #db: DataSource
  #restoring = false

  constructor(db: DataSource) {
    this.#db = db
  }

  lines(): AsyncGenerator<Buffer, void> {
    return backupLines(this.#db)
  }

  /** The whole of it as one text; for small worlds and tests. */
  async write(): Promise<string> {
    const pieces: Buffer[] = []
    for await (const piece of this.lines()) pieces.push(piece)
    return Buffer.concat(pieces).toString('utf8')
  }

  /**
   * Puts a backup in place of what is stored, wholly or not at all, as it is read: its size does not matter. Dry, the
   * very same is done and taken back at the end, so what it says holds.
   * @param replace without it only a database without rigs and pieces is filled
   * @returns how many rows of each table there were
   * @throws {Refusal} backup-bad with the place that is wrong, not-empty, restore-under-way; then nothing was changed
   */
  async restore(
    source: AsyncIterable<Uint8Array>,
    { replace, dry }: { replace: boolean; dry: boolean },
  ): Promise<Record<string, number>> {
    if (this.#restoring) throw new Refusal('restore-under-way')
    this.#restoring = true
    let rows: Record<string, number> = {}
    try {
      // Not tried again when it loses a lock: the file has gone by. Nothing was changed then, and it is told.
      await this.#db.transaction(async (manager) => {
        if (!replace && !dry && (await this.#holdsSomething(manager))) throw new Refusal('not-empty')
        await manager.query('DELETE FROM rig_summary')
        for (const { name } of [...backupTables].reverse()) await manager.query(`DELETE FROM ${name}`)
        rows = await this.#fill(manager, source)
        await raiseAll(manager)
        if (dry) throw new DryRun()
      })
    } catch (error) {
      if (!(error instanceof DryRun)) throw error
    } finally {
      this.#restoring = false
    }
    return rows
  }

  async #fill(manager: EntityManager, source: AsyncIterable<Uint8Array>): Promise<Record<string, number>> {
    const counts: Record<string, number> = Object.fromEntries(backupTables.map(({ name }) => [name, 0]))
    const checker = new RowChecker()
    let waiting: Waiting | undefined
    let since = Date.now()
    const flush = async () => {
      if (waiting) await this.#insert(manager, waiting)
      waiting = undefined
    }
    for await (const { table: name, row: given, line } of backupRows(source)) {
      const { table, row } = checker.check(name, liftRow(name, given), line)
      const columns = Object.keys(row)
      if (waiting && (waiting.table !== table || waiting.columns.join() !== columns.join())) await flush()
      waiting ??= { table, columns, values: [], bytes: 0 }
      const values = columns.map((column) => valueOf(column, row[column]))
      waiting.values.push(values)
      waiting.bytes += values.reduce<number>((sum, value) => sum + sizeOf(value), 0)
      counts[name] = (counts[name] ?? 0) + 1
      if (waiting.bytes >= STATEMENT_BYTES || waiting.values.length >= STATEMENT_ROWS) await flush()
      if (Date.now() - since > BREATH_MS) {
        await new Promise((done) => setImmediate(done))
        since = Date.now()
      }
    }
    await flush()
    return counts
  }

  /** The columns are those of the schema, never of the file: nothing of a file becomes part of a statement. */
  async #insert(manager: EntityManager, { table, columns, values }: Waiting): Promise<void> {
    const places = `(${columns.map(() => '?').join(', ')})`
    await manager.query(
      `INSERT INTO ${table.name} (${columns.join(', ')}) VALUES ${values.map(() => places).join(', ')}`,
      values.flat(),
    )
  }

  async #holdsSomething(manager: EntityManager): Promise<boolean> {
    const [row] = await manager.query<{ count: string | number }[]>(
      'SELECT (SELECT COUNT(*) FROM rig) + (SELECT COUNT(*) FROM locker_piece) AS count',
    )
    return Number(row?.count ?? 0) > 0
  }
}
