import { averageOperator } from '@zucchini/core/balance'
import type { DataSource } from 'typeorm'
import { z } from 'zod'
import { settingEntity } from '../../settings.ts'
import { inTransaction } from '../../transactions.ts'
import { raise } from '../../versions.ts'

/** The operator's arm as the program stores it. */
export const operatorSchema = z.strictObject({
  strengthNm: z.number().min(5).max(300),
  armMassG: z.number().min(500).max(12_000),
})
export type StoredOperator = z.infer<typeof operatorSchema>

const NAME = 'operator'

/** Who holds the rigs: an average adult until a timed hold says otherwise. */
export class OperatorService {
  readonly #db: DataSource

  constructor(db: DataSource) {
    this.#db = db
  }

  async get(): Promise<StoredOperator & { calibrated: boolean }> {
    const row = await this.#db.getRepository(settingEntity).findOneBy({ name: NAME })
    const parsed = row ? operatorSchema.safeParse(JSON.parse(row.value)) : undefined
    return parsed?.success ? { ...parsed.data, calibrated: true } : { ...averageOperator, calibrated: false }
  }

  async set(operator: StoredOperator): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      await manager.upsert(settingEntity, { name: NAME, value: JSON.stringify(operator) }, ['name'])
      await raise(manager, 'settings')
    })
  }

  /** Back to the average adult. */
  async forget(): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      await manager.delete(settingEntity, { name: NAME })
      await raise(manager, 'settings')
    })
  }
}
