import { createHash } from 'node:crypto'
import type { ContextSources } from '@zucchini/core/assess'
import type { WorldNumbers } from '../../versions.ts'
import type { CatalogueService } from '../catalogue/service.ts'
import type { FieldService } from '../field/service.ts'
import type { LockerService } from '../locker/service.ts'
import type { OperatorService } from '../operator/service.ts'
import type { PriceService } from '../prices/service.ts'

interface Services {
  readonly catalogue: CatalogueService
  readonly locker: LockerService
  readonly prices: PriceService
  readonly operator: OperatorService
  readonly field: FieldService
}

/** What surrounds every rig: parts, locker, prices, who holds it and what the field taught, gathered from their services. */
export class Surroundings {
  readonly #from: Services

  constructor(from: Services) {
    this.#from = from
  }

  /** A short name for the surroundings at these numbers of their worlds, on a day. */
  key({ catalogue, epoch, field, locker, prices, settings }: WorldNumbers, day: string): string {
    return createHash('sha256')
      .update([catalogue, epoch, field, locker, prices, settings, day].join(' '))
      .digest('hex')
      .slice(0, 32)
  }

  async sources(): Promise<ContextSources> {
    const { catalogue, locker, prices } = this.#from
    const [{ parts, gone }, pieces, views, { rules, home }, rates, operator, field] = await Promise.all([
      catalogue.held(),
      locker.pieces(),
      prices.views(),
      prices.reckoning(),
      prices.rates(),
      this.#from.operator.get(),
      this.#from.field.teaching(),
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
      calibrated: operator.calibrated,
      limits: operator.limits,
      field,
    }
  }
}
