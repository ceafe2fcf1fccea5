import { createHash } from 'node:crypto'
import type { DataSource, EntityManager } from 'typeorm'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'

export const BACKUP_FORMAT = 'zucchini-backup'
export const BACKUP_VERSION = 1

/** The tables of a backup: parents before children, each with the columns its rows are put in order by. */
const tables = [
  ['part', ['id']],
  ['setting', ['name']],
  ['rig', ['id']],
  ['rig_revision', ['rigId', 'revision']],
  ['locker_piece', ['id']],
  ['price_point', ['partId', 'seenOn', 'shop', 'used']],
  ['currency_rate', ['currency', 'seenOn']],
  ['price_watch', ['partId']],
] as const satisfies readonly (readonly [string, readonly string[]])[]

/** Ids the database gives by itself say nothing; left out, a restored ledger is the same to the byte. */
const leftOut: ReadonlySet<string> = new Set(['price_point.id'])
const AT_ONCE = 500

const cell = z.union([z.string(), z.number(), z.boolean(), z.null()])
const backupSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(BACKUP_VERSION),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  tables: z.strictObject(Object.fromEntries(tables.map(([name]) => [name, z.array(z.record(z.string().regex(/^\w{1,40}$/), cell))]))),
})
type Rows = readonly Readonly<Record<string, z.infer<typeof cell>>>[]

const digestOf = (body: unknown): string => createHash('sha256').update(JSON.stringify(body)).digest('hex')

/** Dates as text that sorts, JSON as one normal text, so that equal rows are equal bytes. */
const plainCell = (value: unknown): z.infer<typeof cell> => {
  if (value === null || value === undefined) return null
  if (value instanceof Date) return value.toISOString()
  if (typeof value === 'object') return JSON.stringify(sorted(value))
  return value as string | number | boolean
}
const sorted = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(sorted)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sorted(inner)]),
  )
}

/** Everything that is stored in one file, and back. */
export class BackupService {
  readonly #db: DataSource

  constructor(db: DataSource) {
    this.#db = db
  }

  /** One file of one moment: a snapshot, its rows in order, with a checksum over them. The same content gives the same bytes. */
  async write(): Promise<string> {
    const runner = this.#db.createQueryRunner()
    try {
      await runner.connect()
      await runner.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ')
      await runner.query('START TRANSACTION WITH CONSISTENT SNAPSHOT')
      const body: Record<string, Rows> = {}
      for (const [name, order] of tables) {
        const rows = (await runner.query(`SELECT * FROM ${name} ORDER BY ${order.map((column) => `${column}`).join(', ')}`)) as Record<
          string,
          unknown
        >[]
        body[name] = rows.map((row) =>
          Object.fromEntries(
            Object.keys(row)
              .filter((key) => !leftOut.has(`${name}.${key}`))
              .sort()
              .map((key) => [key, dated(name, key, row[key])]),
          ),
        )
      }
      await runner.query('COMMIT')
      return `${JSON.stringify({ format: BACKUP_FORMAT, version: BACKUP_VERSION, sha256: digestOf(body), tables: body })}\n`
    } finally {
      if (!runner.isReleased) await runner.release()
    }
  }

  /** Reads and checks a file without changing anything. @throws {Refusal} backup-bad with the reason */
  check(text: string): Readonly<Record<string, Rows>> {
    const bad = (message: string) => new Refusal('backup-bad', { issues: [{ path: '', message }] })
    let data: unknown
    try {
      data = JSON.parse(text)
    } catch {
      throw bad('this is not JSON, or it ends too early')
    }
    const parsed = backupSchema.safeParse(data)
    if (!parsed.success) {
      const [first] = parsed.error.issues
      throw bad(`${first?.path.map(String).join('.') ?? ''}: ${first?.message ?? 'not as expected'}`)
    }
    if (digestOf(parsed.data.tables) !== parsed.data.sha256) throw bad('its checksum does not fit: something in it was changed or lost')
    return parsed.data.tables
  }

  /**
   * Puts a backup in place of what is stored, wholly or not at all.
   * @param replace without it only a database without rigs and pieces is filled
   * @throws {Refusal} backup-bad, not-empty
   */
  async restore(text: string, replace: boolean): Promise<Record<string, number>> {
    const body = this.check(text)
    await this.#db.transaction(async (manager) => {
      if (!replace && (await this.#holdsSomething(manager))) throw new Refusal('not-empty')
      for (const [name] of [...tables].reverse()) await manager.query(`DELETE FROM ${name}`)
      for (const [name] of tables) await this.#fill(manager, name, body[name] ?? [])
    })
    return Object.fromEntries(tables.map(([name]) => [name, body[name]?.length ?? 0]))
  }

  async #holdsSomething(manager: EntityManager): Promise<boolean> {
    const [row] = await manager.query<{ count: string | number }[]>(
      'SELECT (SELECT COUNT(*) FROM rig) + (SELECT COUNT(*) FROM locker_piece) AS count',
    )
    return Number(row?.count ?? 0) > 0
  }

  async #fill(manager: EntityManager, name: string, rows: Rows): Promise<void> {
    // Only columns the table has are named, each checked against the table itself: nothing of a file becomes part of a statement.
    const known = new Set((await manager.query<{ Field: string }[]>(`SHOW COLUMNS FROM ${name}`)).map(({ Field }) => Field))
    const columns = Object.keys(rows[0] ?? {}).filter((column) => known.has(column))
    if (rows.length > 0 && columns.length !== Object.keys(rows[0] ?? {}).length)
      throw new Refusal('backup-bad', { issues: [{ path: name, message: 'has columns this version does not know' }] })
    for (let i = 0; i < rows.length; i += AT_ONCE) {
      const some = rows.slice(i, i + AT_ONCE)
      const places = some.map(() => `(${columns.map(() => '?').join(', ')})`).join(', ')
      await manager.query(
        `INSERT INTO ${name} (${columns.join(', ')}) VALUES ${places}`,
        some.flatMap((row) => columns.map((column) => undated(column, row[column] ?? null))),
      )
    }
  }
}

const ISO = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/
/** A day comes back from the database as a moment at midnight; it is a day. */
const dated = (table: string, column: string, value: unknown): z.infer<typeof cell> => {
  const plain = plainCell(value)
  const isDay = (table === 'price_point' || table === 'currency_rate') && column === 'seenOn'
  return (isDay || (table === 'price_watch' && column === 'since')) && typeof plain === 'string' ? plain.slice(0, 10) : plain
}
/** Columns that hold a moment; a text that only looks like one stays a text. */
const moments: ReadonlySet<string> = new Set(['createdAt', 'updatedAt', 'removedAt', 'savedAt'])
const undated = (column: string, value: z.infer<typeof cell>): z.infer<typeof cell> | Date =>
  moments.has(column) && typeof value === 'string' && ISO.test(value) ? new Date(value) : value
