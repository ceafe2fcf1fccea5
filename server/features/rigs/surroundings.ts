import { createHash } from 'node:crypto'
import type { ContextSources } from '@zucchini/core/assess'
import type { WorldNumbers } from '../../versions.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import type { LockerService } from '../locker/service.ts'
import type { OperatorService } from '../operator/service.ts'
import type { PriceService } from '../prices/service.ts'

/** What surrounds every rig: parts, locker, prices and who holds it, gathered from their services. */
export class Surroundings {
  readonly #catalogue: CatalogueService
  readonly #locker: LockerService
  readonly #prices: PriceService
  readonly #operator: OperatorService

  constructor(catalogue: CatalogueService, locker: LockerService, prices: PriceService, operator: OperatorService) {
    this.#catalogue = catalogue
    this.#locker = locker
    this.#prices = prices
    this.#operator = operator
  }

  /** A short name for the surroundings at these numbers of their worlds, on a day. */
  key({ catalogue, epoch, locker, prices, settings }: WorldNumbers, day: string): string {
    return createHash('sha256')
      .update([catalogue, epoch, locker, prices, settings, day].join(' '))
      .digest('hex')
      .slice(0, 32)
  }

  async sources(): Promise<ContextSources> {
    const [{ parts, gone }, pieces, views, { rules, home }, rates, operator] = await Promise.all([
      this.#catalogue.held(),
      this.#locker.pieces(),
      this.#prices.views(),
      this.#prices.reckoning(),
      this.#prices.rates(),
      this.#operator.get(),
    ])
    return {
      parts,
      gone,
      pieces: pieces.map(({ piece }) => piece),
      prices: views,
      rules,
      home,
      rates,
      operator,
      limits: operator.limits,
    }
  }
}
