import { futureDates, type LockerPiece, newPiece, samePiece } from '@zucchini/core/locker'
import { type DataSource, type EntityManager, In } from 'typeorm'
import { Refusal } from '../../errors.ts'
import { partEntity } from '../catalogue/entity.ts'
import { pieceEntity, type PieceRow } from './entity.ts'

/** A piece as it was saved last. */
export interface SavedPiece {
  readonly piece: LockerPiece
  readonly revision: number
}

const OWNED = ['kept', 'lent']
/** So many rows go into one statement. */
const AT_ONCE = 500

export const rowOf = (piece: LockerPiece, revision: number, updatedAt: Date): PieceRow => ({
  id: piece.id,
  partId: piece.partId,
  state: piece.state,
  revision,
  doc: piece,
  updatedAt,
})

/** What the operator owns, piece by piece. */
export class LockerService {
  readonly #db: DataSource
  readonly #now: () => Date

  constructor(db: DataSource, now: () => Date = () => new Date()) {
    this.#db = db
    this.#now = now
  }

  get today(): string {
    return this.#now().toISOString().slice(0, 10)
  }

  /** How many pieces of each part are owned: kept, or lent and coming back. */
  async all(): Promise<Record<string, number>> {
    const rows = await this.#db
      .getRepository(pieceEntity)
      .createQueryBuilder('piece')
      .select('piece.partId', 'partId')
      .addSelect('COUNT(*)', 'pieces')
      .where('piece.state IN (:...owned)', { owned: OWNED })
      .groupBy('piece.partId')
      .orderBy('piece.partId')
      .getRawMany<{ partId: string; pieces: string }>()
    return Object.fromEntries(rows.map(({ partId, pieces }) => [partId, Number(pieces)]))
  }

  async pieces(): Promise<SavedPiece[]> {
    const rows = await this.#db.getRepository(pieceEntity).find({ order: { partId: 'ASC', id: 'ASC' } })
    return rows.map(({ doc, revision }) => ({ piece: doc, revision }))
  }

  /**
   * Sets how many pieces are owned, if there are still as many as the asker saw. New ones are plain; those that go are the newest plain ones.
   * @throws {Refusal} part-unknown; locker-changed with the present count; pieces-described when only described ones are left to take away
   */
  async set(partId: string, was: number, pieces: number): Promise<void> {
    await this.#db.transaction(async (manager) => {
      if (!(await manager.existsBy(partEntity, { id: partId }))) throw new Refusal('part-unknown')
      const rows = await manager.find(pieceEntity, { where: { partId }, order: { id: 'ASC' }, lock: { mode: 'pessimistic_write' } })
      const owned = rows.filter(({ state }) => OWNED.includes(state))
      if (owned.length !== was) throw new Refusal('locker-changed', { pieces: owned.length })
      const taken = new Set(rows.map(({ id }) => id))
      const ids: string[] = []
      for (let n = 1; ids.length < pieces - was; n++) {
        const id = `${partId.slice(0, 58)}-${n}`
        if (!taken.has(id)) ids.push(id)
      }
      if (ids.length > 0)
        await this.#insert(
          manager,
          ids.map((id) => newPiece(id, partId)),
        )
      if (pieces < was) {
        const plain = owned.filter(({ doc }) => JSON.stringify(doc) === JSON.stringify(newPiece(doc.id, partId))).reverse()
        if (plain.length < was - pieces) throw new Refusal('pieces-described', { pieces: owned.length })
        await manager.delete(pieceEntity, { id: In(plain.slice(0, was - pieces).map(({ id }) => id)) })
      }
    })
  }

  /**
   * Saves a piece over the revision it was made from; 0: a new one.
   * @throws {Refusal} part-unknown, piece-exists, piece-changed with the present one, future-date
   */
  async save(piece: LockerPiece, base: number): Promise<SavedPiece> {
    this.mustBePast(piece)
    return this.#db.transaction(async (manager) => {
      if (!(await manager.existsBy(partEntity, { id: piece.partId }))) throw new Refusal('part-unknown')
      const now = this.#now()
      if (base === 0) {
        if (await manager.existsBy(pieceEntity, { id: piece.id })) throw new Refusal('piece-exists')
        await this.#insert(manager, [piece])
        return { piece, revision: 1 }
      }
      const { id, ...row } = rowOf(piece, base + 1, now)
      const { affected } = await manager.update(pieceEntity, { id, revision: base }, row)
      if (affected !== 1) {
        const theirs = await manager.findOneBy(pieceEntity, { id })
        throw new Refusal('piece-changed', { theirs: theirs ? { piece: theirs.doc, revision: theirs.revision } : null })
      }
      return { piece, revision: base + 1 }
    })
  }

  /** @throws {Refusal} piece-changed */
  async remove(id: string, base: number): Promise<void> {
    const { affected } = await this.#db.getRepository(pieceEntity).delete({ id, revision: base })
    if (affected !== 1) throw new Refusal('piece-changed', { theirs: null })
  }

  /** @throws {Refusal} piece-unknown */
  async piece(id: string): Promise<SavedPiece> {
    const row = await this.#db.getRepository(pieceEntity).findOneBy({ id })
    if (!row) throw new Refusal('piece-unknown')
    return { piece: row.doc, revision: row.revision }
  }

  /** Takes many pieces in, all or none: those that are there by their id are written over. */
  async takeIn(pieces: readonly LockerPiece[]): Promise<{ added: number; changed: number; same: number }> {
    return this.#db.transaction(async (manager) => {
      const known = new Map((await manager.find(pieceEntity, { lock: { mode: 'pessimistic_write' } })).map((row) => [row.id, row] as const))
      const fresh = pieces.filter(({ id }) => !known.has(id))
      const other = pieces.filter((piece) => {
        const row = known.get(piece.id)
        return row !== undefined && !samePiece(row.doc, piece)
      })
      await this.#insert(manager, fresh)
      const now = this.#now()
      for (let i = 0; i < other.length; i += AT_ONCE)
        await manager.upsert(
          pieceEntity,
          other.slice(i, i + AT_ONCE).map((piece) => rowOf(piece, (known.get(piece.id)?.revision ?? 0) + 1, now)),
          ['id'],
        )
      return { added: fresh.length, changed: other.length, same: pieces.length - fresh.length - other.length }
    })
  }

  /** @throws {Refusal} future-date */
  mustBePast(piece: LockerPiece): void {
    const [first] = futureDates(piece, this.today)
    if (first) throw new Refusal('future-date', { issues: [{ path: first, message: `is in the future; today is ${this.today}` }] })
  }

  async #insert(manager: EntityManager, pieces: readonly LockerPiece[]): Promise<void> {
    const now = this.#now()
    for (let i = 0; i < pieces.length; i += AT_ONCE)
      await manager.insert(
        pieceEntity,
        pieces.slice(i, i + AT_ONCE).map((piece) => rowOf(piece, 1, now)),
      )
  }
}
