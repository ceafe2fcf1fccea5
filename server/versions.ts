import type { DataSource, EntityManager } from 'typeorm'

/**
 * The worlds whose contents some process keeps in memory. Every change raises its world's number in the same
 * transaction. `epoch` changes only when everything is replaced, by a restore or a fresh start.
 */
export const worlds = [
  'catalogue',
  'epoch',
  'field',
  'locker',
  'prices',
  'rigs',
  'settings',
  'summaries',
  'ticks',
] as const
export type World = (typeof worlds)[number]
export type WorldNumbers = Readonly<Record<World, number>>

/**
 * Says that something of a world changed. The last thing a transaction does, so that its row is held only for the
 * commit.
 * @returns the world's new number
 */
export const raise = async (manager: EntityManager, world: World): Promise<number> => {
  const done = await manager.query<{ insertId: number | string }>(
    'UPDATE world SET number = LAST_INSERT_ID(number + 1) WHERE name = ?',
    [world],
  )
  return Number(done.insertId)
}

/** Everything was replaced: every world changed, and nothing anybody kept of the old one may be built upon. */
export const raiseAll = async (manager: EntityManager): Promise<void> => {
  await manager.query('UPDATE world SET number = number + 1 ORDER BY name')
}

/**
 * What the worlds stand at now, asked of the database, so that several servers on one database see each other's
 * changes. Requests that come while a question is under way share the next one: an answer is never older than its
 * request.
 */
export class Worlds {
  readonly #db: DataSource
  #asking: Promise<WorldNumbers> | undefined
  #next: Promise<WorldNumbers> | undefined

  constructor(db: DataSource) {
    this.#db = db
  }

  now(): Promise<WorldNumbers> {
    if (!this.#asking) return (this.#asking = this.#ask().finally(() => (this.#asking = undefined)))
    return (this.#next ??= this.#asking
      .catch(() => undefined)
      .then(() => {
        this.#next = undefined
        return this.now()
      }))
  }

  async #ask(): Promise<WorldNumbers> {
    const rows = await this.#db.query<{ name: World; number: string | number }[]>('SELECT name, number FROM world')
    const found = new Map(rows.map(({ name, number }) => [name, Number(number)]))
    return Object.fromEntries(worlds.map((world) => [world, found.get(world) ?? 0])) as Record<World, number>
  }
}

/** Something made from a world and kept until the world's number changes. */
export class Kept<T> {
  readonly #worlds: Worlds
  readonly #of: readonly World[]
  readonly #make: () => Promise<T>
  #held: { readonly key: string; readonly value: Promise<T> } | undefined

  constructor(worldsNow: Worlds, of: readonly World[], make: () => Promise<T>) {
    this.#worlds = worldsNow
    this.#of = of
    this.#make = make
  }

  /** @param more whatever else it depends on, such as the day */
  async now(more = ''): Promise<T> {
    const numbers = await this.#worlds.now()
    const key = `${this.#of.map((world) => numbers[world]).join(' ')} ${more}`
    if (this.#held?.key === key) return this.#held.value
    const value = this.#make()
    const held = (this.#held = { key, value })
    value.catch(() => {
      if (this.#held === held) this.#held = undefined
    })
    return value
  }
}
