import { liftRig, rigSchema } from '@zucchini/core/assembly'
import { partIssues, partSchema } from '@zucchini/core/catalogue'
import { fieldEntrySchema } from '@zucchini/core/log'
import { pieceSchema } from '@zucchini/core/locker'
import { priceSchema, rateSchema } from '@zucchini/core/money'
import { z } from 'zod'
import { wordedIssues } from '../../errors.ts'
import { packWhole, unpackRevision } from '../rigs/revision-codec.ts'

/** A value in a row of a backup: JSON of a document stands as it is, bytes as base64 under `b64`. */
export type Cell = string | number | boolean | null | object
export type BackupRow = Readonly<Record<string, Cell>>

const id = z.string().min(1).max(64)
const moment = z.iso.datetime({ precision: 3 })
const day = z.iso.date()
const count = z.int().min(1).max(4_294_967_295)
const bytes = z.strictObject({ b64: z.base64().max(8_000_000) })

/**
 * A table of a backup: what its rows must be like, by which columns they are put in order, and what more of a row must
 * hold.
 */
export interface BackupTable {
  readonly name: string
  readonly order: readonly string[]
  readonly row: z.ZodType<Record<string, unknown>>
  /** Columns the database makes by itself; left out, equal content gives equal bytes. */
  readonly leftOut: readonly string[]
  /** Rows name rows of other tables by these columns. */
  readonly refers?: { readonly column: string; readonly to: string }
}

/** A document of the rig's own form, whatever version wrote it, as today's. */
const rigDoc = z.unknown().transform(liftRig).pipe(rigSchema)

const partDoc = partSchema.superRefine((part, context) => {
  for (const { path, message } of wordedIssues(partIssues(part)))
    context.addIssue({ code: 'custom', message: `${path}: ${message}` })
})

/** Parents before children. */
export const backupTables = [
  {
    name: 'part',
    order: ['id'],
    leftOut: [],
    row: z
      .strictObject({ id, role: z.string().max(32), origin: z.enum(['demo', 'own', 'gone']), doc: partDoc })
      .refine(
        (row) => row.doc.id === row.id && row.doc.role === row.role,
        'the part inside is another one than its row says',
      ),
  },
  {
    name: 'setting',
    order: ['name'],
    leftOut: [],
    row: z.strictObject({ name: z.string().min(1).max(64), value: z.string().max(60_000) }),
  },
  {
    name: 'rig',
    order: ['id'],
    leftOut: [],
    row: z
      .strictObject({
        id,
        revision: count,
        name: z.string().max(80),
        doc: rigDoc,
        createdAt: moment,
        updatedAt: moment,
        removedAt: moment.nullable(),
      })
      .refine((row) => row.doc.id === row.id, 'the rig inside is another one than its row says'),
  },
  {
    name: 'rig_revision',
    order: ['rigId', 'revision'],
    leftOut: [],
    refers: { column: 'rigId', to: 'rig' },
    row: z.strictObject({
      rigId: id,
      revision: count,
      note: z.string().max(200),
      body: bytes,
      whole: count.nullable(),
      grewFrom: count.nullable(),
      same: count.nullable(),
      name: z.string().max(80).nullable(),
      savedAt: moment,
    }),
  },
  {
    name: 'field_entry',
    order: ['id'],
    leftOut: [],
    refers: { column: 'rigId', to: 'rig' },
    row: z
      .strictObject({
        id: z.uuid(),
        rigId: id,
        revision: count,
        kind: z.string().max(8),
        at: moment,
        doc: fieldEntrySchema,
      })
      .refine(
        (row) => row.doc.id === row.id && row.doc.rigId === row.rigId && row.doc.what.kind === row.kind,
        'the entry inside is another one than its row says',
      ),
  },
  {
    name: 'locker_piece',
    order: ['id'],
    leftOut: [],
    refers: { column: 'partId', to: 'part' },
    row: z
      .strictObject({ id, partId: id, state: z.string().max(8), revision: count, doc: pieceSchema, updatedAt: moment })
      .refine(
        (row) => row.doc.id === row.id && row.doc.partId === row.partId,
        'the piece inside is another one than its row says',
      ),
  },
  {
    name: 'price_point',
    order: ['partId', 'seenOn', 'shop', 'used'],
    leftOut: ['id'],
    refers: { column: 'partId', to: 'part' },
    row: z.strictObject({
      ...priceSchema.shape,
      used: z.union([z.boolean(), z.int().min(0).max(1)]),
      available: z.union([z.boolean(), z.int().min(0).max(1)]),
    }),
  },
  { name: 'currency_rate', order: ['currency', 'seenOn'], leftOut: [], row: rateSchema },
  {
    name: 'price_watch',
    order: ['partId'],
    leftOut: [],
    refers: { column: 'partId', to: 'part' },
    row: z.strictObject({ partId: id, belowMinor: z.int().min(0), since: day }),
  },
] as const satisfies readonly BackupTable[]

export type TableName = (typeof backupTables)[number]['name']
const byName = new Map<string, BackupTable>(backupTables.map((table) => [table.name, table]))
export const tableOf = (name: string): BackupTable | undefined => byName.get(name)

/** Columns that hold a document, a moment, a day. */
export const DOCUMENTS: ReadonlySet<string> = new Set(['doc'])
export const MOMENTS: ReadonlySet<string> = new Set(['at', 'createdAt', 'updatedAt', 'removedAt', 'savedAt'])
export const DAYS: ReadonlySet<string> = new Set(['seenOn', 'since'])

const isText = (value: unknown): value is string => typeof value === 'string'

/**
 * Brings a row that an earlier version wrote up to today's form: documents that stood as text are read, a revision that
 * stood whole is packed. Anything else stays as it is, for the schema to judge.
 */
export const liftRow = (table: string, row: BackupRow): BackupRow => {
  const doc = row['doc']
  if (!isText(doc)) return row
  let read: unknown
  try {
    read = JSON.parse(doc)
  } catch {
    return row
  }
  if (table !== 'rig_revision') return { ...row, doc: read as object }
  const { doc: _, ...rest } = row
  const { body } = packWhole(read)
  return { whole: null, grewFrom: null, same: null, name: null, ...rest, body: { b64: body.toString('base64') } }
}

/**
 * Looks into packed revisions: each must give a rig. Whole ones are remembered, since those after them differ from
 * them.
 */
export class RevisionReader {
  #rigId = ''
  #wholes = new Map<number, unknown>()

  /** @returns why this is no rig; undefined when it is one */
  trouble(row: Readonly<Record<string, unknown>>): string | undefined {
    const { rigId, revision, whole, body } = row as {
      rigId: string
      revision: number
      whole: number | null
      body: { b64: string }
    }
    if (rigId !== this.#rigId) {
      this.#rigId = rigId
      this.#wholes = new Map()
    }
    try {
      const rig = unpackRevision(
        { body: Buffer.from(body.b64, 'base64'), whole },
        whole === null ? undefined : this.#wholes.get(whole),
      )
      if (whole === null) this.#wholes.set(revision, rig)
      const parsed = rigDoc.safeParse(rig)
      if (!parsed.success)
        return `body: ${parsed.error.issues[0]?.path.join('.') ?? ''}: ${parsed.error.issues[0]?.message ?? ''}`
      return parsed.data.id === rigId ? undefined : 'body: the rig inside is another one than its row says'
    } catch (error) {
      return `body: can't be unpacked (${error instanceof Error ? error.message.slice(0, 120) : ''})`
    }
  }
}
