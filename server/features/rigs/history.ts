import { liftRig, type Rig } from '@zucchini/core/assembly'
import type { DataSource, EntityManager } from 'typeorm'
import { Refusal } from '../../errors.ts'
import { inTransaction } from '../../transactions.ts'
import { type RigRevisionRow, rigRevisionEntity } from './entity.ts'
import { type Line, lineOf } from './line.ts'
import { MOST_ON_ONE, type Packed, packRevision, unpackRevision } from './revision-codec.ts'
import { thinnedOut } from './thinning.ts'

/** Which states an edit came from, for undo and redo after a reload. */
export interface Descent {
  readonly grewFrom: number | null
  readonly same: number | null
}

/** A line of the history, without the rig itself. */
export type HistoryEntry = Pick<RigRevisionRow, 'revision' | 'note' | 'savedAt' | 'name'>

interface Whole {
  readonly revision: number
  readonly rig: unknown
  readonly bytes: number
}
/** Of so many rigs the newest whole revision is kept at hand. */
const MOST_HELD = 64

/** Rows as the database gives them without making objects of them. */
interface PackedRow {
  readonly body: Buffer
  readonly whole: number | null
}

/** All revisions of all rigs. Every save adds one; none is ever changed. */
export class RigHistory {
  readonly #db: DataSource
  readonly #wholes = new Map<string, Whole>()
  /** The world the whole revisions at hand were read in. */
  #epoch: number | undefined

  constructor(db: DataSource) {
    this.#db = db
  }

  /** Adds a revision, in the transaction that saves the rig. */
  async keep(
    manager: EntityManager,
    rig: Rig,
    revision: number,
    note: string,
    savedAt: Date,
    descent: Descent,
  ): Promise<void> {
    const on = revision === 1 ? undefined : await this.#wholeFor(manager, rig.id, revision)
    if (await this.#insert(manager, rig, revision, note, savedAt, descent, packRevision(rig, on))) return
    // Everything was replaced since the whole revision was read: what differs from it says nothing now.
    this.forget()
    await this.#insert(manager, rig, revision, note, savedAt, descent, packRevision(rig))
  }

  /**
   * @returns whether it was stored: a difference is only if the world is still the one its whole revision was read in
   */
  async #insert(
    manager: EntityManager,
    rig: Rig,
    revision: number,
    note: string,
    savedAt: Date,
    { grewFrom, same }: Descent,
    { body, whole }: Packed,
  ): Promise<boolean> {
    const columns = 'INSERT INTO rig_revision (rigId, revision, note, body, whole, grewFrom, same, name, savedAt)'
    const values = [rig.id, revision, note, body, whole, grewFrom, same, savedAt]
    if (whole === null) {
      await manager.query(`${columns} VALUES (?, ?, ?, ?, ?, ?, ?, NULL, ?)`, values)
      return true
    }
    const done = await manager.query<{ affectedRows: number }>(
      `${columns} SELECT ?, ?, ?, ?, ?, ?, ?, NULL, ? FROM world WHERE name = 'epoch' AND number = ?`,
      [...values, this.#epoch],
    )
    return done.affectedRows === 1
  }

  /** @throws {Refusal} revision-unknown */
  async rig(rigId: string, revision: number): Promise<{ readonly entry: HistoryEntry; readonly rig: Rig }> {
    const row = await this.#db.getRepository(rigRevisionEntity).findOneBy({ rigId, revision })
    if (!row) throw new Refusal('revision-unknown')
    return { entry: row, rig: liftRig(await this.#unpack(this.#db.manager, rigId, row)) as Rig }
  }

  /** The newest entries before a revision, newest first. */
  async entries(rigId: string, before: number, most: number): Promise<HistoryEntry[]> {
    return this.#db.query(
      'SELECT revision, note, savedAt, name FROM rig_revision WHERE rigId = ? AND revision < ? ORDER BY revision DESC LIMIT ?',
      [rigId, before, most],
    )
  }

  async line(rigId: string): Promise<Line> {
    return lineOf(await this.#db.query('SELECT revision, grewFrom, same FROM rig_revision WHERE rigId = ?', [rigId]))
  }

  /** Gives a revision a name, or takes it away. @throws {Refusal} revision-unknown */
  async name(rigId: string, revision: number, name: string | null): Promise<void> {
    const revisions = this.#db.getRepository(rigRevisionEntity)
    if (!(await revisions.existsBy({ rigId, revision }))) throw new Refusal('revision-unknown')
    await revisions.update({ rigId, revision }, { name })
  }

  /** Lets old revisions go by the rule of thinning.ts. @returns how many went */
  async thin(now: Date): Promise<number> {
    const rigs = await this.#db.query<{ rigId: string }[]>('SELECT DISTINCT rigId FROM rig_revision')
    let gone = 0
    for (const { rigId } of rigs) {
      const rows = await this.#db.query<
        { revision: number; savedAt: Date; name: string | null; whole: number | null }[]
      >('SELECT revision, savedAt, name, whole FROM rig_revision WHERE rigId = ?', [rigId])
      const out = thinnedOut(
        rows.map(({ name, ...row }) => ({ ...row, pinned: name !== null })),
        now,
      )
      for (let i = 0; i < out.length; i += 500)
        await inTransaction(this.#db, (manager) =>
          manager.query('DELETE FROM rig_revision WHERE rigId = ? AND revision IN (?) AND name IS NULL', [
            rigId,
            out.slice(i, i + 500),
          ]),
        )
      gone += out.length
    }
    if (gone > 0) this.#wholes.clear()
    return gone
  }

  /** Everything was replaced: nothing that was at hand holds any more. */
  forget(): void {
    this.#wholes.clear()
    this.#epoch = undefined
  }

  async #unpack(manager: EntityManager, rigId: string, { body, whole }: PackedRow): Promise<unknown> {
    if (whole === null) return unpackRevision({ body, whole })
    return unpackRevision({ body, whole }, (await this.#whole(manager, rigId, whole)).rig)
  }

  async #whole(manager: EntityManager, rigId: string, revision: number): Promise<Whole> {
    const held = this.#wholes.get(rigId)
    if (held?.revision === revision) return held
    const [row] = await manager.query<PackedRow[]>(
      'SELECT body, whole FROM rig_revision WHERE rigId = ? AND revision = ?',
      [rigId, revision],
    )
    if (!row) throw new Refusal('revision-unknown')
    const whole = { revision, rig: unpackRevision({ body: row.body, whole: null }), bytes: row.body.length }
    if (this.#wholes.size >= MOST_HELD) this.#wholes.clear()
    this.#wholes.set(rigId, whole)
    return whole
  }

  /** The whole revision the next one can stand on; none when it is time for another whole one. */
  async #wholeFor(manager: EntityManager, rigId: string, revision: number): Promise<Whole | undefined> {
    if (this.#epoch === undefined)
      this.#epoch = Number(
        (await manager.query<{ number: number }[]>("SELECT number FROM world WHERE name = 'epoch'"))[0]?.number ?? 0,
      )
    const held = this.#wholes.get(rigId)
    const newest =
      held?.revision ??
      (
        await manager.query<{ revision: number | null }[]>(
          'SELECT MAX(revision) AS revision FROM rig_revision WHERE rigId = ? AND whole IS NULL',
          [rigId],
        )
      )[0]?.revision ??
      undefined
    if (newest === undefined || revision - newest >= MOST_ON_ONE) {
      this.#wholes.delete(rigId)
      return undefined
    }
    return this.#whole(manager, rigId, newest)
  }
}
