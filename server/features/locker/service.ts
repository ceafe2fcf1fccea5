import type { DataSource } from 'typeorm'
import { Refusal } from '../../errors.ts'
import { partEntity } from '../catalogue/entity.ts'
import { lockerEntity } from './entity.ts'

/** What the operator owns: how many pieces of each part. */
export class LockerService {
  readonly #db: DataSource

  constructor(db: DataSource) {
    this.#db = db
  }

  async all(): Promise<Record<string, number>> {
    const rows = await this.#db.getRepository(lockerEntity).find({ order: { partId: 'ASC' } })
    return Object.fromEntries(rows.map((row) => [row.partId, row.pieces]))
  }

  /**
   * Sets how many pieces are owned, if there are still as many as the asker saw.
   * @throws {Refusal} part-unknown; locker-changed with the present count
   */
  async set(partId: string, was: number, pieces: number): Promise<void> {
    await this.#db.transaction(async (manager) => {
      if (!(await manager.existsBy(partEntity, { id: partId }))) throw new Refusal('part-unknown')
      const row = await manager.findOne(lockerEntity, { where: { partId }, lock: { mode: 'pessimistic_write' } })
      const now = row?.pieces ?? 0
      if (now !== was) throw new Refusal('locker-changed', { pieces: now })
      if (pieces === 0) await manager.delete(lockerEntity, { partId })
      else await manager.upsert(lockerEntity, { partId, pieces }, ['partId'])
    })
  }
}
