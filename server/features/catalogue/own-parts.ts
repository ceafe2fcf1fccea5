import { createHash } from 'node:crypto'
import { liftRig, type Rig, soundnessIssues } from '@zucchini/core/assembly'
import { catalogueOf, type Part, partIssues } from '@zucchini/core/catalogue'
import { type DataSource, type EntityManager, IsNull } from 'typeorm'
import { Refusal, wordedIssues } from '../../errors.ts'
import { pieceEntity } from '../locker/entity.ts'
import { rigEntity } from '../rigs/entity.ts'
import { partEntity } from './entity.ts'
import type { CatalogueService } from './service.ts'

/** A short name for a part's present data: who edits says from which data the edit was made. */
export const partTag = (part: Part): string => createHash('sha256').update(JSON.stringify(part)).digest('hex').slice(0, 16)

/** What the database says when another request stored the same id a moment earlier. */
const TAKEN_MEANWHILE: ReadonlySet<string> = new Set(['ER_DUP_ENTRY', 'ER_LOCK_DEADLOCK'])

/** Parts the operator enters. Shipped parts are never changed; a copy of one is a start. */
export class OwnPartService {
  readonly #db: DataSource
  readonly #catalogue: CatalogueService

  constructor(db: DataSource, catalogue: CatalogueService) {
    this.#db = db
    this.#catalogue = catalogue
  }

  async ownIds(): Promise<string[]> {
    const rows = await this.#db.getRepository(partEntity).find({ where: { origin: 'own' }, select: { id: true }, order: { id: 'ASC' } })
    return rows.map(({ id }) => id)
  }

  /**
   * Stores a part, new or over the data it was made from.
   * @param was the tag of that data; null for a new part
   * @throws {Refusal} unsound-part; part-exists; part-shipped; part-changed with the present data; part-holds-rigs with their names
   */
  async save(part: Part, was: string | null): Promise<string> {
    const issues = partIssues(part)
    if (issues.length > 0) throw new Refusal('unsound-part', { issues: wordedIssues(issues) })
    await this.#db.transaction(async (manager) => {
      const row = await manager.findOne(partEntity, { where: { id: part.id }, lock: { mode: 'pessimistic_write' } })
      if (row && was === null) throw new Refusal('part-exists')
      if (!row && was !== null) throw new Refusal('part-unknown')
      if (row?.origin === 'demo') throw new Refusal('part-shipped')
      if (row && partTag(row.doc) !== was) throw new Refusal('part-changed', { theirs: row.doc, tag: partTag(row.doc) })
      if (row) await this.#rigsMustStand(manager, (parts) => parts.map((other) => (other.id === part.id ? part : other)))
      if (row) await manager.update(partEntity, { id: part.id }, { role: part.role, doc: part })
      else await this.#insert(manager, part)
    })
    this.#catalogue.refresh()
    return partTag(part)
  }

  /** Of several new parts with one id entered at once, one is stored; the others are told. */
  async #insert(manager: EntityManager, part: Part): Promise<void> {
    try {
      await manager.insert(partEntity, { id: part.id, role: part.role, origin: 'own', doc: part })
    } catch (error) {
      if (TAKEN_MEANWHILE.has((error as { code?: string }).code ?? '')) throw new Refusal('part-exists')
      throw error
    }
  }

  /** @throws {Refusal} part-unknown, part-shipped, part-holds-rigs, part-owned */
  async remove(id: string): Promise<void> {
    await this.#db.transaction(async (manager) => {
      const row = await manager.findOne(partEntity, { where: { id }, lock: { mode: 'pessimistic_write' } })
      if (!row) throw new Refusal('part-unknown')
      if (row.origin === 'demo') throw new Refusal('part-shipped')
      if (await manager.existsBy(pieceEntity, { partId: id })) throw new Refusal('part-owned')
      await this.#rigsMustStand(manager, (parts) => parts.filter((part) => part.id !== id))
      await manager.delete(partEntity, { id })
    })
    this.#catalogue.refresh()
  }

  /** Rigs on the shelf that would not hold together any more with other parts stop the change. */
  async #rigsMustStand(manager: EntityManager, change: (parts: readonly Part[]) => readonly Part[]): Promise<void> {
    const next = catalogueOf(change(await this.#catalogue.parts()))
    const rigs = await manager.find(rigEntity, { where: { removedAt: IsNull() } })
    const broken = rigs.filter(({ doc }) => soundnessIssues(liftRig(doc) as Rig, next).length > 0).map(({ name }) => name)
    if (broken.length > 0) throw new Refusal('part-holds-rigs', { rigs: broken.slice(0, 20) })
  }
}
