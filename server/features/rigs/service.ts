import { liftRig, type Rig, soundnessIssues } from '@zucchini/core/assembly'
import { type DataSource, type EntityManager, IsNull } from 'typeorm'
import { Refusal, wordedIssues } from '../../errors.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import { rigEntity, type RigRevisionRow, rigRevisionEntity, type RigRow } from './entity.ts'

/** A rig as it was saved last. */
export interface SavedRig {
  readonly rig: Rig
  readonly revision: number
  readonly updatedAt: string
}

const DUPLICATE_KEY = 'ER_DUP_ENTRY'

/** Rigs stored by an older version of the program come out as today's. */
const saved = (row: RigRow): SavedRig => ({ rig: liftRig(row.doc) as Rig, revision: row.revision, updatedAt: row.updatedAt.toISOString() })

/** Rigs and all their revisions. Every save adds a revision; none is ever changed or lost. */
export class RigService {
  readonly #db: DataSource
  readonly #catalogue: CatalogueService
  readonly #now: () => Date

  constructor(db: DataSource, catalogue: CatalogueService, now: () => Date = () => new Date()) {
    this.#db = db
    this.#catalogue = catalogue
    this.#now = now
  }

  async list(): Promise<SavedRig[]> {
    const rows = await this.#db.getRepository(rigEntity).find({ where: { removedAt: IsNull() }, order: { updatedAt: 'DESC', id: 'ASC' } })
    return rows.map(saved)
  }

  /** @throws {Refusal} rig-unknown */
  async get(id: string): Promise<SavedRig> {
    return saved(await this.#row(this.#db.manager, id))
  }

  /** @throws {Refusal} unsound-rig, rig-exists */
  async create(rig: Rig, note: string): Promise<SavedRig> {
    await this.#mustBeSound(rig)
    const now = this.#now()
    try {
      await this.#db.transaction(async (manager) => {
        await manager.insert(rigEntity, {
          id: rig.id,
          revision: 1,
          name: rig.name,
          doc: rig,
          createdAt: now,
          updatedAt: now,
          removedAt: null,
        })
        await this.#keep(manager, rig, 1, note, now)
      })
    } catch (error) {
      if ((error as { code?: string }).code === DUPLICATE_KEY) throw new Refusal('rig-exists')
      throw error
    }
    return { rig, revision: 1, updatedAt: now.toISOString() }
  }

  /**
   * Saves a rig over the revision it was made from.
   * @throws {Refusal} saved-elsewhere, with both versions, when that revision is no longer the newest; unsound-rig; rig-unknown
   */
  async save(id: string, base: number, rig: Rig, note: string): Promise<SavedRig> {
    await this.#mustBeSound(rig)
    const now = this.#now()
    return this.#db.transaction(async (manager) => {
      const { affected } = await manager.update(
        rigEntity,
        { id, revision: base, removedAt: IsNull() },
        { revision: base + 1, name: rig.name, doc: rig, updatedAt: now },
      )
      if (affected !== 1) throw new Refusal('saved-elsewhere', { yours: { rig, base }, theirs: saved(await this.#row(manager, id)) })
      await this.#keep(manager, rig, base + 1, note, now)
      return { rig, revision: base + 1, updatedAt: now.toISOString() }
    })
  }

  async revisions(id: string): Promise<Pick<RigRevisionRow, 'revision' | 'note' | 'savedAt'>[]> {
    await this.#row(this.#db.manager, id)
    return this.#db
      .getRepository(rigRevisionEntity)
      .find({ where: { rigId: id }, order: { revision: 'DESC' }, select: { revision: true, note: true, savedAt: true } })
  }

  /** @throws {Refusal} revision-unknown */
  async revision(id: string, revision: number): Promise<RigRevisionRow> {
    const row = await this.#db.getRepository(rigRevisionEntity).findOneBy({ rigId: id, revision })
    if (!row) throw new Refusal('revision-unknown')
    return { ...row, doc: liftRig(row.doc) as Rig }
  }

  /** Takes a rig off the shelf, or puts it back; its history stays. */
  async remove(id: string, away: boolean): Promise<void> {
    const { affected } = await this.#db.getRepository(rigEntity).update({ id }, { removedAt: away ? this.#now() : null })
    if (affected !== 1) throw new Refusal('rig-unknown')
  }

  async #row(manager: EntityManager, id: string): Promise<RigRow> {
    const row = await manager.findOneBy(rigEntity, { id, removedAt: IsNull() })
    if (!row) throw new Refusal('rig-unknown')
    return row
  }

  async #keep(manager: EntityManager, rig: Rig, revision: number, note: string, savedAt: Date): Promise<void> {
    await manager.insert(rigRevisionEntity, { rigId: rig.id, revision, note, doc: rig, savedAt })
  }

  async #mustBeSound(rig: Rig): Promise<void> {
    const issues = soundnessIssues(rig, await this.#catalogue.catalogue())
    if (issues.length > 0) throw new Refusal('unsound-rig', { issues: wordedIssues(issues) })
  }
}
