import { createHash } from 'node:crypto'
import { type Catalogue, catalogueOf, type Part } from '@zucchini/core/catalogue'
import type { DataSource } from 'typeorm'
import { Kept, type Worlds } from '../../versions.ts'
import { partEntity } from './entity.ts'

/**
 * The catalogue as it was read: parts that are offered, parts that were taken out and stay known to rigs that use them.
 */
export interface Held {
  readonly parts: readonly Part[]
  readonly gone: readonly Part[]
  readonly own: readonly string[]
  readonly catalogue: Catalogue
  readonly tag: string
  /** The answer to who asks for all of it. */
  readonly bytes: Buffer
}

/** The known parts, kept in memory as long as nobody changed them, on this server or another one. */
export class CatalogueService {
  readonly #db: DataSource
  readonly #held: Kept<Held>

  constructor(db: DataSource, worlds: Worlds) {
    this.#db = db
    this.#held = new Kept(worlds, ['catalogue'], () => this.#read())
  }

  held(): Promise<Held> {
    return this.#held.now()
  }

  async parts(): Promise<readonly Part[]> {
    return (await this.held()).parts
  }

  async catalogue(): Promise<Catalogue> {
    return (await this.held()).catalogue
  }

  async #read(): Promise<Held> {
    const rows = await this.#db.getRepository(partEntity).find({ order: { role: 'ASC', id: 'ASC' } })
    const parts = rows.filter(({ origin }) => origin !== 'gone').map(({ doc }) => doc)
    const gone = rows.filter(({ origin }) => origin === 'gone').map(({ doc }) => doc)
    const own = rows.filter(({ origin }) => origin === 'own').map(({ id }) => id)
    const bytes = Buffer.from(JSON.stringify({ parts, own, gone }))
    const tag = createHash('sha256').update(bytes).digest('hex').slice(0, 16)
    return { parts, gone, own, catalogue: catalogueOf(parts, gone), tag, bytes }
  }
}
