import type { Check } from '../check.ts'
import { bundleWaste } from './bundle-waste.ts'
import { cheaperEqual } from './cheaper-equal.ts'
import { duplicateOwned } from './duplicate-owned.ts'
import { forgottenCost } from './forgotten-cost.ts'
import { likelyOver } from './likely-over.ts'
import { overBudget } from './over-budget.ts'
import { priceStale } from './price-stale.ts'
import { unavailable } from './unavailable.ts'

/** The rules of this family, in the order of their ids. */
export const moneyChecks: readonly Check[] = [
  bundleWaste,
  cheaperEqual,
  duplicateOwned,
  forgottenCost,
  likelyOver,
  overBudget,
  priceStale,
  unavailable,
]
