import { type FieldEntry, fieldEntrySchema, inOrder } from '@zucchini/core/log'
import { type DataSource, type EntityManager, In } from 'typeorm'
import { inTransaction } from '../../transactions.ts'
import { Kept, raise, type Worlds } from '../../versions.ts'
import { fieldEntity, rowOf } from './entity.ts'

/** Entries that something is learnt from; ticks are only remembered. */
const TEACHING = ['day', 'lap', 'word'] as const
/** So many of the newest teach: some twenty years of days. */
const MOST_TEACHING = 20_000

const readable = (rows: readonly { readonly doc: unknown }[]): readonly FieldEntry[] =>
  rows.flatMap(({ doc }) => {
    const parsed = fieldEntrySchema.safeParse(doc)
    return parsed.success ? [parsed.data] : []
  })

/** The log of the field. What was told once stands: entries are added, never changed and never taken out. */
export class FieldService {
  readonly #db: DataSource
  readonly #teaching: Kept<readonly FieldEntry[]>

  constructor(db: DataSource, worlds: Worlds) {
    this.#db = db
    this.#teaching = new Kept(worlds, ['field', 'epoch'], async () => {
      const rows = await db.getRepository(fieldEntity).find({
        where: { kind: In([...TEACHING]) },
        order: { at: 'DESC', id: 'DESC' },
        take: MOST_TEACHING,
      })
      return inOrder(readable(rows))
    })
  }

  /**
   * Stores entries, all or none. One whose id is stored already is left as it stands, so a sender that heard no answer
   * simply sends again.
   */
  async tell(
    entries: readonly FieldEntry[],
  ): Promise<{ readonly kept: readonly string[]; readonly strange: readonly string[] }> {
    return inTransaction(this.#db, async (manager) => {
      const known = await this.#knownRigs(manager, new Set(entries.map(({ rigId }) => rigId)))
      const good = entries.filter(({ rigId }) => known.has(rigId))
      if (good.length > 0)
        await manager.createQueryBuilder().insert().into(fieldEntity).values(good.map(rowOf)).orIgnore().execute()
      const teaches = ({ what }: FieldEntry) => (TEACHING as readonly string[]).includes(what.kind)
      // In the order of their names, as everybody raises them.
      if (good.some(teaches)) await raise(manager, 'field')
      if (good.some((entry) => !teaches(entry))) await raise(manager, 'ticks')
      return {
        kept: good.map(({ id }) => id),
        strange: entries.filter(({ rigId }) => !known.has(rigId)).map(({ id }) => id),
      }
    })
  }

  /** Everything that something is learnt from, in the order in which it was told. */
  teaching(): Promise<readonly FieldEntry[]> {
    return this.#teaching.now()
  }

  /** Of a rig's lists the last tick of each line, and when each was last begun anew. */
  async ticks(rigId: string): Promise<readonly FieldEntry[]> {
    const rows = await this.#db.getRepository(fieldEntity).findBy({ rigId, kind: In(['tick', 'clear']) })
    const last = new Map<string, FieldEntry>()
    for (const entry of inOrder(readable(rows)))
      if (entry.what.kind === 'tick') last.set(`tick ${entry.what.list} ${entry.what.key}`, entry)
      else if (entry.what.kind === 'clear') last.set(`clear ${entry.what.list}`, entry)
    return [...last.values()]
  }

  async #knownRigs(manager: EntityManager, ids: ReadonlySet<string>): Promise<ReadonlySet<string>> {
    const rows = await manager.query<{ id: string }[]>('SELECT id FROM rig WHERE id IN (?)', [[...ids]])
    return new Set(rows.map(({ id }) => id))
  }
}
