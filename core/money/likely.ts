import { billOf, type BillRules, plainRules } from './bill.ts'
import { chanceWithin, spreadsOf } from './chance.ts'
import type { Cost } from './cost.ts'
import type { PriceView } from './prices.ts'

/** How likely a bill stays within the brief's money. */
export interface Chance {
  /** 0 to 1; undefined when some prices are unknown, or too few were seen to tell how far they spread. */
  readonly within: number | undefined
  /** The parts of which too few prices were seen. */
  readonly thin: readonly string[]
}

/** The chance for a cost, bought at once: goods by their spread, sending as it is at usual prices. */
export const chanceOf = (
  cost: Cost,
  budgetMinor: number,
  {
    prices,
    rules = plainRules,
  }: {
    readonly prices?: ReadonlyMap<string, Pick<PriceView, 'points'>> | undefined
    readonly rules?: BillRules | undefined
  },
): Chance => {
  const lines = cost.lines.filter(({ owned, inBoxOf }) => !owned && inBoxOf === undefined)
  const { spreads, thin } = spreadsOf(lines, prices ?? new Map())
  if (thin.length > 0 || cost.unpriced.length > 0) return { within: undefined, thin }
  const { shippingMinor } = billOf(cost.usual, rules)
  return { within: chanceWithin(spreads, budgetMinor - shippingMinor), thin }
}
