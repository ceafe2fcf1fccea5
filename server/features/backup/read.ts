import { createHash, type Hash } from 'node:crypto'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import { backupTables, type BackupRow } from './tables.ts'
import { BACKUP_FORMAT, BACKUP_VERSION } from './write.ts'

/** No row is longer; a file of the first version was one line of at most so many bytes. */
const LONGEST_LINE = 32 * 1024 * 1024
const LONGEST_FIRST_FORM = 256 * 1024 * 1024

export const badBackup = (path: string, message: string): Refusal =>
  new Refusal('backup-bad', { issues: [{ path, message }] })

const headSchema = z.object({ format: z.literal(BACKUP_FORMAT), version: z.int() })
const lineSchema = z.strictObject({ t: z.string().max(40), r: z.record(z.string().regex(/^\w{1,40}$/), z.unknown()) })
const endSchema = z.strictObject({
  end: z.literal(true),
  rows: z.record(z.string().max(40), z.int().min(0)),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})
/** The whole of a file of the first version: one object, documents as text. */
const firstForm = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(1),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  tables: z.strictObject(
    Object.fromEntries(
      backupTables.map(({ name }) => [
        name,
        // Tables that came later are in no file of that form.
        z
          .array(z.record(z.string().regex(/^\w{1,40}$/), z.union([z.string(), z.number(), z.boolean(), z.null()])))
          .optional(),
      ]),
    ),
  ),
})

export interface ReadRow {
  readonly table: string
  readonly row: BackupRow
  /** Which line it stands on, to be told when it is wrong. */
  readonly line: number
}

const jsonOf = (text: string, path: string): unknown => {
  try {
    return JSON.parse(text)
  } catch {
    throw badBackup(path, 'this is not JSON, or it ends too early')
  }
}

/** The lines of a stream of bytes, each ended by a line feed, none longer than is allowed. */
const linesOf = async function* (
  source: AsyncIterable<Uint8Array>,
): AsyncGenerator<{ readonly text: string; readonly ended: boolean }> {
  let waiting: Uint8Array[] = []
  let bytes = 0
  let first = true
  for await (const chunk of source) {
    let from = 0
    for (let at = chunk.indexOf(10); at >= 0; at = chunk.indexOf(10, from)) {
      waiting.push(chunk.subarray(from, at))
      yield { text: Buffer.concat(waiting).toString('utf8'), ended: true }
      first = false
      waiting = []
      bytes = 0
      from = at + 1
    }
    if (from < chunk.length) {
      waiting.push(chunk.subarray(from))
      bytes += chunk.length - from
      if (bytes > (first ? LONGEST_FIRST_FORM : LONGEST_LINE))
        throw badBackup('', 'a line of it is longer than any backup has')
    }
  }
  if (bytes > 0) yield { text: Buffer.concat(waiting).toString('utf8'), ended: false }
}

const firstFormRows = function* (data: unknown): Generator<ReadRow> {
  const parsed = firstForm.safeParse(data)
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    throw badBackup(issue?.path.map(String).join('.') ?? '', issue?.message ?? 'not as expected')
  }
  const { tables, sha256 } = parsed.data
  if (createHash('sha256').update(JSON.stringify(tables)).digest('hex') !== sha256)
    throw badBackup('', 'its checksum does not fit: something in it was changed or lost')
  for (const { name } of backupTables) for (const row of tables[name] ?? []) yield { table: name, row, line: 1 }
}

const checkEnd = (data: unknown, hash: Hash, counted: Readonly<Record<string, number>>, line: number): void => {
  const end = endSchema.safeParse(data)
  if (!end.success) throw badBackup(`line ${line}`, 'its end is not as expected')
  if (hash.digest('hex') !== end.data.sha256)
    throw badBackup('', 'its checksum does not fit: something in it was changed or lost')
  for (const [name, rows] of Object.entries(end.data.rows))
    if ((counted[name] ?? 0) !== rows)
      throw badBackup(name, `${rows} rows were written, ${counted[name] ?? 0} are there`)
}

const tryJson = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown
  } catch {
    return undefined
  }
}

/**
 * The rows of a backup of any version, as they come in. Only after the last one is it known that the file is whole:
 * whoever uses them must be able to take everything back.
 * @throws {Refusal} backup-bad with the place that is wrong
 */
export const backupRows = async function* (source: AsyncIterable<Uint8Array>): AsyncGenerator<ReadRow> {
  const hash = createHash('sha256')
  const counted: Record<string, number> = {}
  let line = 0
  let whole = false
  for await (const { text, ended } of linesOf(source)) {
    line++
    if (whole) throw badBackup(`line ${line}`, 'something stands behind its end')
    if (line === 1) {
      const head = headSchema.safeParse(tryJson(text))
      if (!head.success) throw badBackup('line 1', 'this is not a backup of this program, or it ends too early')
      if (head.data.version > BACKUP_VERSION)
        throw badBackup(
          'version',
          `it was made by a newer version of the program (form ${head.data.version}); update this one first`,
        )
      if (head.data.version === 1) {
        yield* firstFormRows(jsonOf(text, 'line 1'))
        return
      }
      hash.update(`${text}\n`)
      continue
    }
    const data = jsonOf(text, `line ${line}`)
    if (data !== null && typeof data === 'object' && 'end' in data) {
      checkEnd(data, hash, counted, line)
      whole = true
      continue
    }
    const parsed = lineSchema.safeParse(data)
    if (!parsed.success || !ended) throw badBackup(`line ${line}`, 'this is no row of a backup, or it ends too early')
    hash.update(`${text}\n`)
    counted[parsed.data.t] = (counted[parsed.data.t] ?? 0) + 1
    yield { table: parsed.data.t, row: parsed.data.r as BackupRow, line }
  }
  if (!whole) throw badBackup(`line ${line}`, 'it ends too early: what is missing can not be told')
}
