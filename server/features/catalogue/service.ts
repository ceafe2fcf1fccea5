import { createHash } from 'node:crypto'
import { type Catalogue, catalogueOf, type Part } from '@zucchini/core/catalogue'
import type { DataSource } from 'typeorm'
import { partEntity } from './entity.ts'

interface Held {
  readonly parts: readonly Part[]
  readonly catalogue: Catalogue
  readonly tag: string
}

/** The known parts, kept in memory after the first reading since every save is checked against them. */
export class CatalogueService {
  readonly #db: DataSource
  #held: Promise<Held> | undefined

  constructor(db: DataSource) {
    this.#db = db
  }

  async parts(): Promise<readonly Part[]> {
    return (await this.#hold()).parts
  }

  async catalogue(): Promise<Catalogue> {
    return (await this.#hold()).catalogue
  }

  /** A short name for the catalogue's present contents, for the browser's cache. */
  async tag(): Promise<string> {
    return (await this.#hold()).tag
  }

  /** Forgets what was read; the next question reads again. */
  refresh(): void {
    this.#held = undefined
  }

  #hold(): Promise<Held> {
    this.#held ??= this.#read().catch((error: unknown) => {
      this.#held = undefined
      throw error
    })
    return this.#held
  }

  async #read(): Promise<Held> {
    const rows = await this.#db.getRepository(partEntity).find({ order: { role: 'ASC', id: 'ASC' } })
    const parts = rows.map((row) => row.doc)
    const tag = createHash('sha256').update(JSON.stringify(parts)).digest('hex').slice(0, 16)
    return { parts, catalogue: catalogueOf(parts), tag }
  }
}
