import { type LineIssue, writeLockerCsv } from '@zucchini/core/formats'
import { samePiece } from '@zucchini/core/locker'
import type { Pool } from '../../work/pool.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import type { LockerService } from './service.ts'
import { wordsOf } from '../../errors.ts'

export interface CsvAnswer {
  readonly ok: boolean
  readonly rows: number
  readonly added: number
  readonly changed: number
  readonly same: number
  readonly unknownColumns: readonly string[]
  readonly issues: readonly { readonly line: number; readonly column: string; readonly message: string }[]
}

const worded = (issues: readonly LineIssue[]) =>
  issues.map(({ line, column, ...issue }) => ({ line, column, message: wordsOf(issue) }))

/** Reads and writes the locker as a table. */
export class LockerCsv {
  readonly #locker: LockerService
  readonly #catalogue: CatalogueService
  readonly #pool: Pool

  constructor(locker: LockerService, catalogue: CatalogueService, pool: Pool) {
    this.#locker = locker
    this.#catalogue = catalogue
    this.#pool = pool
  }

  async write(): Promise<string> {
    return writeLockerCsv((await this.#locker.pieces()).map(({ piece }) => piece))
  }

  /** Says what a table would do; not dry, it does it, wholly or not at all. Reading it is the worker's work. */
  async read(bytes: Uint8Array, dry: boolean, currency: string): Promise<CsvAnswer> {
    const nothing = { added: 0, changed: 0, same: 0, unknownColumns: [] }
    const known = await this.#locker.pieces()
    const report = await this.#pool.table({
      bytes,
      parts: (await this.#catalogue.held()).parts,
      today: this.#locker.today,
      known: known.map(({ piece }) => piece.id),
      currency,
    })
    const answer = {
      ok: report.ok,
      rows: report.rows,
      unknownColumns: report.unknownColumns,
      issues: worded(report.issues),
    }
    if (!report.ok) return { ...nothing, ...answer }
    if (!dry) return { ...answer, ...(await this.#locker.takeIn(report.pieces)) }
    const before = new Map(known.map(({ piece }) => [piece.id, piece] as const))
    const added = report.pieces.filter(({ id }) => !before.has(id)).length
    const same = report.pieces.filter((piece) => {
      const old = before.get(piece.id)
      return old !== undefined && samePiece(old, piece)
    }).length
    return { ...answer, added, same, changed: report.pieces.length - added - same }
  }
}
