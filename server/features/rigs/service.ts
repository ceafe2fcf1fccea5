import { liftRig, placeholderFor, type Rig, RIG_VERSION, soundnessIssues } from '@zucchini/core/assembly'
import { type Catalogue, withPlaceholders } from '@zucchini/core/catalogue'
import type { DataSource, EntityManager } from 'typeorm'
import { Refusal, wordedIssues } from '../../errors.ts'
import type { KeptAnswer } from '../../kept-answers.ts'
import { inTransaction, isTaken } from '../../transactions.ts'
import { raise, type Worlds } from '../../versions.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import type { Descent, RigHistory } from './history.ts'

/** A rig as it was saved last. */
export interface SavedRig {
  readonly rig: Rig
  readonly revision: number
  readonly updatedAt: string
}
/** What a save says: the client has the rig itself. */
export type Receipt = Omit<SavedRig, 'rig'>

interface Row {
  readonly revision: number
  readonly updatedAt: Date
  readonly removedAt: Date | null
}
interface Held extends KeptAnswer {
  readonly revision: number
  readonly updatedAt: number
  readonly epoch: number
  /** The number of the rigs' world at which this was last known to be the newest. */
  readonly at: number
}

/** So many rigs are kept at hand as the bytes of their answer. */
const MOST_HELD = 200
const fresh: Descent = { grewFrom: null, same: null }
const PRESENT_VERSION = new RegExp(`"version":\\s*${RIG_VERSION}\\b`)

/** The text of a stored rig as today's program writes it; one stored by an older version is lifted. */
const todaysText = (text: string): string =>
  PRESENT_VERSION.test(text) ? text : JSON.stringify(liftRig(JSON.parse(text)))

/** Rigs on the shelf. Every save adds a revision; none is ever changed or lost. */
export class RigService {
  readonly #db: DataSource
  readonly #catalogue: CatalogueService
  readonly #history: RigHistory
  readonly #worlds: Worlds
  readonly #now: () => Date
  readonly #held = new Map<string, Held>()

  constructor(
    db: DataSource,
    catalogue: CatalogueService,
    history: RigHistory,
    worlds: Worlds,
    now: () => Date = () => new Date(),
  ) {
    this.#db = db
    this.#catalogue = catalogue
    this.#history = history
    this.#worlds = worlds
    this.#now = now
  }

  /**
   * The answer to who opens a rig. What is at hand is sent again as long as the database says that nothing newer was
   * saved, here or elsewhere.
   * @throws {Refusal} rig-unknown, rig-put-away
   */
  async answer(id: string): Promise<KeptAnswer> {
    const { rigs: at, epoch } = await this.#worlds.now()
    const held = this.#held.get(id)
    if (held && held.at === at && held.epoch === epoch) return held
    const row = await this.#row(this.#db.manager, id)
    const updatedAt = row.updatedAt.getTime()
    if (held && held.epoch === epoch && held.revision === row.revision && held.updatedAt === updatedAt) {
      const still = { ...held, at }
      this.#held.set(id, still)
      return still
    }
    const { text, revision, updatedAt: when } = await this.#text(this.#db.manager, id)
    const bytes = Buffer.from(`{"rig":${todaysText(text)},"revision":${revision},"updatedAt":"${when.toISOString()}"}`)
    const made = { tag: `${id}-${revision}-${epoch}`, bytes, revision, updatedAt: when.getTime(), epoch, at }
    if (this.#held.size >= MOST_HELD) this.#held.clear()
    this.#held.set(id, made)
    return made
  }

  /** @throws {Refusal} rig-unknown, rig-put-away */
  async get(id: string): Promise<SavedRig> {
    return this.#saved(this.#db.manager, id)
  }

  /** @throws {Refusal} unsound-rig, rig-exists */
  async create(rig: Rig, note: string): Promise<SavedRig> {
    await this.#mustBeSound(rig)
    const now = this.#now()
    try {
      await inTransaction(this.#db, async (manager) => {
        await this.insert(manager, rig, note, now)
        await raise(manager, 'rigs')
      })
    } catch (error) {
      if (isTaken(error) && (await this.#exists(rig.id))) throw new Refusal('rig-exists')
      throw error
    }
    return { rig, revision: 1, updatedAt: now.toISOString() }
  }

  /** Stores a new rig and its first revision, as a part of a larger transaction. */
  async insert(manager: EntityManager, rig: Rig, note: string, now: Date): Promise<void> {
    await manager.query(
      'INSERT INTO rig (id, revision, name, doc, createdAt, updatedAt, removedAt) VALUES (?, 1, ?, ?, ?, ?, NULL)',
      [rig.id, rig.name, JSON.stringify(rig), now, now],
    )
    await this.#history.keep(manager, rig, 1, note, now, fresh)
  }

  /**
   * Saves a rig over the revision it was made from.
   * @param descent the revision it grew from, or is the same as after an undo
   * @throws {Refusal} saved-elsewhere, with both versions, when that revision is no longer the newest; unsound-rig;
   * rig-unknown, rig-put-away
   */
  async save(id: string, base: number, rig: Rig, note: string, descent: Descent = fresh): Promise<Receipt> {
    await this.#mustBeSound(rig)
    const now = this.#now()
    return inTransaction(this.#db, async (manager) => {
      const done = await manager.query<{ affectedRows: number }>(
        'UPDATE rig SET revision = ?, name = ?, doc = ?, updatedAt = ? WHERE id = ? AND revision = ? AND removedAt IS NULL',
        [base + 1, rig.name, JSON.stringify(rig), now, id, base],
      )
      if (done.affectedRows !== 1) throw new Refusal('saved-elsewhere', { theirs: await this.#saved(manager, id) })
      await this.#history.keep(manager, rig, base + 1, note, now, descent)
      await raise(manager, 'rigs')
      return { revision: base + 1, updatedAt: now.toISOString() }
    })
  }

  /**
   * Takes a rig off the shelf, if it is still as it was when this was decided, or puts it back; its history stays.
   * @throws {Refusal} rig-unknown, rig-put-away, saved-elsewhere
   */
  async putAway(id: string, base: number): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      const done = await manager.query<{ affectedRows: number }>(
        'UPDATE rig SET removedAt = ? WHERE id = ? AND revision = ? AND removedAt IS NULL',
        [this.#now(), id, base],
      )
      if (done.affectedRows !== 1) throw new Refusal('saved-elsewhere', { theirs: await this.#saved(manager, id) })
      await raise(manager, 'rigs')
    })
  }

  /** @throws {Refusal} rig-unknown */
  async putBack(id: string): Promise<SavedRig> {
    await inTransaction(this.#db, async (manager) => {
      if (!(await this.#exists(id))) throw new Refusal('rig-unknown')
      await manager.query('UPDATE rig SET removedAt = NULL WHERE id = ?', [id])
      await raise(manager, 'rigs')
    })
    return this.get(id)
  }

  /** The first id of this kind that neither shelf nor history has. */
  async freeId(wanted: string): Promise<string> {
    for (let n = 1; ; n++) {
      const id = n === 1 ? wanted : `${wanted.slice(0, 56)}-${n}`
      if (!(await this.#exists(id))) return id
    }
  }

  /** Rigs that were put away can still be looked up in their history. @throws {Refusal} rig-unknown */
  async mustExist(id: string): Promise<void> {
    if (!(await this.#exists(id))) throw new Refusal('rig-unknown')
  }

  async #exists(id: string): Promise<boolean> {
    return (await this.#db.query<unknown[]>('SELECT 1 FROM rig WHERE id = ?', [id])).length > 0
  }

  async #row(manager: EntityManager, id: string): Promise<Row> {
    const [row] = await manager.query<Row[]>('SELECT revision, updatedAt, removedAt FROM rig WHERE id = ?', [id])
    if (!row) throw new Refusal('rig-unknown')
    if (row.removedAt) throw new Refusal('rig-put-away', { revision: row.revision })
    return row
  }

  async #text(manager: EntityManager, id: string): Promise<Row & { readonly text: string }> {
    const [row] = await manager.query<(Row & { text: string })[]>(
      "SELECT revision, updatedAt, removedAt, CONCAT(doc, '') AS text FROM rig WHERE id = ?",
      [id],
    )
    if (!row) throw new Refusal('rig-unknown')
    if (row.removedAt) throw new Refusal('rig-put-away', { revision: row.revision })
    return row
  }

  async #saved(manager: EntityManager, id: string): Promise<SavedRig> {
    const { text, revision, updatedAt } = await this.#text(manager, id)
    return { rig: liftRig(JSON.parse(text)) as Rig, revision, updatedAt: updatedAt.toISOString() }
  }

  async #mustBeSound(rig: Rig): Promise<void> {
    const catalogue = await this.#catalogue.catalogue()
    const issues = soundnessIssues(rig, catalogue)
    if (issues.length === 0) return
    const left = soundnessIssues(rig, await this.#withWhatWasThere(rig, catalogue))
    if (left.length > 0) throw new Refusal('unsound-rig', { issues: wordedIssues(left) })
  }

  /**
   * A rig that already names a part nobody knows may go on naming it: a placeholder stands for it. New ones may not
   * come in.
   */
  async #withWhatWasThere(rig: Rig, catalogue: Catalogue): Promise<Catalogue> {
    const [row] = await this.#db.query<{ text: string }[]>("SELECT CONCAT(doc, '') AS text FROM rig WHERE id = ?", [
      rig.id,
    ])
    if (!row) return catalogue
    const stored = liftRig(JSON.parse(row.text)) as Rig
    const unknown = [...new Set(stored.kit.map(({ partId }) => partId))].filter((id) => !catalogue.parts.has(id))
    return withPlaceholders(
      catalogue,
      unknown.map((id) => placeholderFor(id, rig, catalogue)),
    )
  }
}
