import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { LockerReport } from '@zucchini/core/formats'
import { Piscina } from 'piscina'
import type { CardAnswer, CardTask, TableTask } from './tasks.ts'

const IDLE_MS = 60_000
/** The built worker stands beside the built server. */
const built = join(dirname(fileURLToPath(import.meta.url)), 'tasks.js')

/**
 * Work beside the thread that answers requests. The worker is started when first needed and goes when it has nothing to
 * do. Where the server runs from its sources there is no built worker: then the same work is done in place.
 */
export class Pool {
  #made: Piscina | undefined

  card(task: CardTask): Promise<CardAnswer> {
    return this.#run('card', task)
  }

  table(task: TableTask): Promise<LockerReport> {
    return this.#run('table', task)
  }

  async close(): Promise<void> {
    await this.#made?.destroy()
  }

  async #run<T>(name: 'card' | 'table', task: CardTask | TableTask): Promise<T> {
    if (!existsSync(built)) {
      const tasks = await import('./tasks.ts')
      return (name === 'card' ? tasks.card(task as CardTask) : tasks.table(task as TableTask)) as T
    }
    this.#made ??= new Piscina({ filename: built, minThreads: 0, maxThreads: 1, idleTimeout: IDLE_MS })
    return (await this.#made.run(task, { name })) as T
  }
}
