import { futureDates, type LockerPiece, newPiece, samePiece } from '@zucchini/core/locker'
import { type DataSource, type EntityManager, In } from 'typeorm'
import { Refusal } from '../../errors.ts'
import type { KeptAnswer } from '../../kept-answers.ts'
import { operatorDay } from '../../operator-day.ts'
import { inTransaction, isTaken } from '../../transactions.ts'
import { Kept, raise, type Worlds } from '../../versions.ts'
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
const INSERTED_AT_ONCE = 2500

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
  readonly #answer: Kept<KeptAnswer>
  readonly #worlds: Worlds

  constructor(db: DataSource, worlds: Worlds, now: () => Date = () => new Date()) {
    this.#db = db
    this.#now = now
    this.#worlds = worlds
    this.#answer = new Kept(worlds, ['epoch', 'locker'], () => this.#read())
  }

  /** The operator's calendar day. */
  get today(): string {
    return operatorDay(this.#now())
  }

  /** The answer to who asks for every piece, as bytes; made anew when the locker or the day changes. */
  answer(): Promise<KeptAnswer> {
    return this.#answer.now(this.today)
  }

  async #read(): Promise<KeptAnswer> {
    const { epoch, locker } = await this.#worlds.now()
    const today = this.today
    const rows = await this.#db.query<{ revision: number; text: string }[]>(
      "SELECT revision, CONCAT(doc, '') AS text FROM locker_piece ORDER BY partId, id",
    )
    const pieces = rows.map(({ revision, text }) => `{"piece":${text},"revision":${revision}}`).join(',')
    return {
      tag: `locker-${epoch}-${locker}-${today}`,
      bytes: Buffer.from(`{"today":"${today}","pieces":[${pieces}]}`),
    }
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
   * Sets how many pieces are owned, if there are still as many as the asker saw. New ones are plain; those that go are
   * the newest plain ones.
   * @throws {Refusal} part-unknown; locker-changed with the present count; pieces-described when only described ones
   * are left to take away
   */
  async set(partId: string, was: number, pieces: number): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      // The part's row is the one everybody who counts it waits for; locking gaps between pieces would set them against
      // each other.
      const part = await manager.findOne(partEntity, {
        where: { id: partId },
        select: { id: true },
        lock: { mode: 'pessimistic_write' },
      })
      if (!part) throw new Refusal('part-unknown')
      const rows = await manager.find(pieceEntity, {
        where: { partId },
        order: { id: 'ASC' },
        lock: { mode: 'pessimistic_write' },
      })
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
        const plain = owned
          .filter(({ doc }) => JSON.stringify(doc) === JSON.stringify(newPiece(doc.id, partId)))
          .reverse()
        if (plain.length < was - pieces) throw new Refusal('pieces-described', { pieces: owned.length })
        await manager.delete(pieceEntity, { id: In(plain.slice(0, was - pieces).map(({ id }) => id)) })
      }
      await raise(manager, 'locker')
    })
  }

  /**
   * Saves a piece over the revision it was made from; 0: a new one.
   * @throws {Refusal} part-unknown, piece-exists, piece-changed with the present one, future-date
   */
  async save(piece: LockerPiece, base: number): Promise<SavedPiece> {
    this.mustBePast(piece)
    const known = await this.#db.manager.existsBy(partEntity, { id: piece.partId })
    if (!known) throw new Refusal('part-unknown')
    if (base === 0) return this.#add(piece)
    return inTransaction(this.#db, async (manager) => {
      const now = this.#now()
      const { id, ...row } = rowOf(piece, base + 1, now)
      const { affected } = await manager.update(pieceEntity, { id, revision: base }, row)
      if (affected !== 1) {
        const theirs = await manager.findOneBy(pieceEntity, { id })
        throw new Refusal('piece-changed', { theirs: theirs ? { piece: theirs.doc, revision: theirs.revision } : null })
      }
      await raise(manager, 'locker')
      return { piece, revision: base + 1 }
    })
  }

  /** Of several new pieces with one id entered at once, one is stored; the others are told. */
  async #add(piece: LockerPiece): Promise<SavedPiece> {
    try {
      await inTransaction(this.#db, async (manager) => {
        await this.#insert(manager, [piece])
        await raise(manager, 'locker')
      })
    } catch (error) {
      if (isTaken(error) && (await this.#db.manager.existsBy(pieceEntity, { id: piece.id })))
        throw new Refusal('piece-exists')
      throw error
    }
    return { piece, revision: 1 }
  }

  /** @throws {Refusal} piece-changed with the present one */
  async remove(id: string, base: number): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      const { affected } = await manager.delete(pieceEntity, { id, revision: base })
      if (affected !== 1) {
        const theirs = await manager.findOneBy(pieceEntity, { id })
        throw new Refusal('piece-changed', { theirs: theirs ? { piece: theirs.doc, revision: theirs.revision } : null })
      }
      await raise(manager, 'locker')
    })
  }

  /** @throws {Refusal} piece-unknown */
  async piece(id: string): Promise<SavedPiece> {
    const row = await this.#db.getRepository(pieceEntity).findOneBy({ id })
    if (!row) throw new Refusal('piece-unknown')
    return { piece: row.doc, revision: row.revision }
  }

  /** Takes many pieces in, all or none: those that are there by their id are written over. */
  async takeIn(pieces: readonly LockerPiece[]): Promise<{ added: number; changed: number; same: number }> {
    return inTransaction(this.#db, async (manager) => {
      const known = new Map(
        (await manager.find(pieceEntity, { lock: { mode: 'pessimistic_write' } })).map((row) => [row.id, row] as const),
      )
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
      await raise(manager, 'locker')
      return { added: fresh.length, changed: other.length, same: pieces.length - fresh.length - other.length }
    })
  }

  /** @throws {Refusal} future-date */
  mustBePast(piece: LockerPiece): void {
    const [first] = futureDates(piece, this.today)
    if (first)
      throw new Refusal('future-date', {
        issues: [{ path: first, message: `is in the future; today is ${this.today}` }],
      })
  }

  async #insert(manager: EntityManager, pieces: readonly LockerPiece[]): Promise<void> {
    const now = this.#now()
    // One statement for many rows: putting thousands of parameters together one by one takes longer than storing them.
    for (let i = 0; i < pieces.length; i += INSERTED_AT_ONCE)
      await manager.query('INSERT INTO locker_piece (id, partId, state, revision, doc, updatedAt) VALUES ?', [
        pieces.slice(i, i + INSERTED_AT_ONCE).map((piece) => {
          const row = rowOf(piece, 1, now)
          return [row.id, row.partId, row.state, row.revision, JSON.stringify(row.doc), row.updatedAt]
        }),
      ])
  }
}
