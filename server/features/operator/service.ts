import { averageOperator } from '@zucchini/core/balance'
import { limitsSchema } from '@zucchini/core/checks'
import { type Limits } from '@zucchini/core/context'
import type { DataSource } from 'typeorm'
import { operatorSchema } from '@zucchini/contract'
import type { z } from 'zod'
import { Refusal } from '../../errors.ts'
import { settingEntity } from '../../settings.ts'
import { inTransaction } from '../../transactions.ts'
import { raise } from '../../versions.ts'

export type StoredOperator = z.infer<typeof operatorSchema>

const NAME = 'operator'
const LIMITS = 'limits'

const limitsIn = (value: string | undefined): Limits => {
  const parsed = value === undefined ? undefined : limitsSchema.safeParse(JSON.parse(value))
  return parsed?.success ? parsed.data : {}
}

/** Who holds the rigs: an average adult until a timed hold says otherwise. */
export class OperatorService {
  readonly #db: DataSource

  constructor(db: DataSource) {
    this.#db = db
  }

  async get(): Promise<StoredOperator & { calibrated: boolean; limits: Limits }> {
    const [row, limits] = await Promise.all([
      this.#db.getRepository(settingEntity).findOneBy({ name: NAME }),
      this.limits(),
    ])
    const parsed = row ? operatorSchema.safeParse(JSON.parse(row.value)) : undefined
    return parsed?.success
      ? { ...parsed.data, calibrated: true, limits }
      : { ...averageOperator, calibrated: false, limits }
  }

  async set(operator: StoredOperator): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      await manager.upsert(settingEntity, { name: NAME, value: JSON.stringify(operator) }, ['name'])
      await raise(manager, 'settings')
    })
  }

  /** The limits the operator has set. */
  async limits(): Promise<Limits> {
    return limitsIn((await this.#db.getRepository(settingEntity).findOneBy({ name: LIMITS }))?.value)
  }

  /**
   * Sets one limit, or takes it back. @throws {Refusal} limit-refused for a limit no check has or a value it does not
   * take
   */
  async setLimit(check: string, option: string, value: number | null): Promise<void> {
    await inTransaction(this.#db, async (manager) => {
      const row = await manager.findOne(settingEntity, { where: { name: LIMITS }, lock: { mode: 'pessimistic_write' } })
      const now = limitsIn(row?.value)
      const { [option]: _, ...others } = now[check] ?? {}
      const own = value === null ? others : { ...others, [option]: value }
      const { [check]: __, ...rest } = now
      const next = Object.keys(own).length > 0 ? { ...rest, [check]: own } : rest
      const parsed = limitsSchema.safeParse(next)
      if (!parsed.success)
        throw new Refusal('limit-refused', {
          issues: parsed.error.issues.map(({ path, message }) => ({ path: path.map(String).join('.'), message })),
        })
      await manager.upsert(settingEntity, { name: LIMITS, value: JSON.stringify(next) }, ['name'])
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
