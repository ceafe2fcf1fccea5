import type { Operator } from '../balance/index.ts'
import type { Catalogue } from '../catalogue/index.ts'
import type { Learnt } from '../log/index.ts'
import type { BillRules, PriceView, Rate } from '../money/index.ts'

/** The operator's own limits: by check, then by option. What is not named keeps its default. */
export type Limits = Readonly<Record<string, Readonly<Record<string, number>>>>

/** What surrounds a rig: all known parts, and how many of each lie in the locker. */
export interface Context {
  readonly catalogue: Catalogue
  readonly owned: ReadonlyMap<string, number>
  /**
   * What the price ledger says today, by part; and how bills are made up. Without them only the catalogue's prices
   * count.
   */
  readonly prices?: ReadonlyMap<string, PriceView>
  readonly rules?: BillRules
  /**
   * The currency that catalogue and ledger are kept in, and what others are worth in it. Without it they are the rig's
   * own.
   */
  readonly home?: string
  readonly rates?: readonly Rate[]
  /**
   * The currency that all prices above were put into, tax in them; what they were made from; and whether no rate
   * between the two is known.
   */
  readonly pricedIn?: { readonly currency: string; readonly kept: Context; readonly noRate: boolean }
  /** The parts whose mass was weighed, and on which day; and those whose figures the operator typed in. */
  readonly weighed?: ReadonlyMap<string, string>
  readonly typed?: ReadonlySet<string>
  /** Limits the operator has set for the checks. */
  readonly limits?: Limits
  /** Who holds the rig; without it an average adult. */
  readonly operator?: Operator
  /** What days in the field taught. */
  readonly learnt?: Learnt
}
