import { createHash } from 'node:crypto'
import { liftRig, type Rig, soundnessIssues } from '@zucchini/core/assembly'
import { catalogueOf, type Part, partIssues } from '@zucchini/core/catalogue'
import { type DataSource, type EntityManager, IsNull } from 'typeorm'
import { Refusal, wordedIssues } from '../../errors.ts'
import { inTransaction, isTaken } from '../../transactions.ts'
import { raise } from '../../versions.ts'
import { pieceEntity } from '../locker/entity.ts'
import { rigEntity } from '../rigs/entity.ts'
import { partEntity, type PartRow } from './entity.ts'
import type { CatalogueService, Held } from './service.ts'

/** A short name for a part's present data: who edits says from which data the edit was made. */
export const partTag = (part: Part): string =>
  createHash('sha256').update(JSON.stringify(part)).digest('hex').slice(0, 16)

/** Parts the operator enters. Shipped parts are never changed; a copy of one is a start. */
export class OwnPartService {
  readonly #db: DataSource
  readonly #catalogue: CatalogueService

  constructor(db: DataSource, catalogue: CatalogueService) {
    this.#db = db
    this.#catalogue = catalogue
  }

  /**
   * Stores a part, new or over the data it was made from. An id that was taken out before may be used again.
   * @param was the tag of that data; null for a new part
   * @throws {Refusal} unsound-part; part-exists; part-shipped; part-changed with the present data; part-holds-rigs with
   * their names
   */
  async save(part: Part, was: string | null): Promise<string> {
    const issues = partIssues(part)
    if (issues.length > 0) throw new Refusal('unsound-part', { issues: wordedIssues(issues) })
    const held = await this.#catalogue.held()
    try {
      await inTransaction(this.#db, async (manager) => {
        const row = await this.#locked(manager, part.id)
        const there = row && row.origin !== 'gone' ? row : undefined
        if (there && was === null) throw new Refusal('part-exists')
        if (!there && was !== null) throw new Refusal('part-unknown')
        if (there?.origin === 'demo') throw new Refusal('part-shipped')
        if (there && partTag(there.doc) !== was)
          throw new Refusal('part-changed', { theirs: there.doc, tag: partTag(there.doc) })
        if (row)
          await this.#rigsMustStand(manager, held, (parts) => [...parts.filter(({ id }) => id !== part.id), part])
        if (row) await manager.update(partEntity, { id: part.id }, { role: part.role, origin: 'own', doc: part })
        else await manager.insert(partEntity, { id: part.id, role: part.role, origin: 'own', doc: part })
        await raise(manager, 'catalogue')
      })
    } catch (error) {
      // Of several new parts with one id entered at once, one is stored; the others are told.
      if (isTaken(error) && (await this.#db.manager.existsBy(partEntity, { id: part.id })))
        throw new Refusal('part-exists')
      throw error
    }
    return partTag(part)
  }

  /**
   * Takes a part out of the catalogue: nobody is offered it any more, but its last data stay with the rigs and the
   * history that use it.
   * @param was the tag of the data that was looked at when this was decided
   * @throws {Refusal} part-unknown, part-shipped, part-changed, part-holds-rigs, part-owned
   */
  async remove(id: string, was: string): Promise<void> {
    const held = await this.#catalogue.held()
    await inTransaction(this.#db, async (manager) => {
      const row = await this.#locked(manager, id)
      if (!row || row.origin === 'gone') throw new Refusal('part-unknown')
      if (row.origin === 'demo') throw new Refusal('part-shipped')
      if (partTag(row.doc) !== was) throw new Refusal('part-changed', { theirs: row.doc, tag: partTag(row.doc) })
      if (await manager.existsBy(pieceEntity, { partId: id })) throw new Refusal('part-owned')
      await this.#rigsMustStand(manager, held, (parts) => parts.filter((part) => part.id !== id))
      await manager.update(partEntity, { id }, { origin: 'gone' })
      await raise(manager, 'catalogue')
    })
  }

  /** Puts a part that was taken out back into the catalogue. @throws {Refusal} part-unknown */
  async bringBack(id: string): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      const { affected } = await manager.update(partEntity, { id, origin: 'gone' }, { origin: 'own' })
      if (affected !== 1) throw new Refusal('part-unknown')
      await raise(manager, 'catalogue')
    })
  }

  #locked(manager: EntityManager, id: string): Promise<PartRow | null> {
    return manager.findOne(partEntity, { where: { id }, lock: { mode: 'pessimistic_write' } })
  }

  /**
   * Rigs on the shelf that would not hold together any more with other parts stop the change; old history never does.
   */
  async #rigsMustStand(
    manager: EntityManager,
    held: Held,
    change: (parts: readonly Part[]) => readonly Part[],
  ): Promise<void> {
    const next = catalogueOf(change(held.parts))
    const rigs = await manager.find(rigEntity, { where: { removedAt: IsNull() } })
    const standing = (rig: Rig, catalogue: typeof next) => soundnessIssues(rig, catalogue).length === 0
    const broken = rigs.filter(({ doc }) => {
      const rig = liftRig(doc) as Rig
      return standing(rig, held.catalogue) && !standing(rig, next)
    })
    if (broken.length > 0) throw new Refusal('part-holds-rigs', { rigs: broken.map(({ name }) => name).slice(0, 20) })
  }
}
