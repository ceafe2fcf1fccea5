import { z } from 'zod'

/** What comes on top of prices, as the operator sets it. */
export const billRulesSchema = z.strictObject({
  /** Tax in percent, and whether the prices entered have it in them already. */
  taxPercent: z.number().min(0).max(100),
  taxIncluded: z.boolean(),
  /** One order's sending, and from what sum on a shop sends for nothing; 0: never for nothing. */
  shippingMinor: z.int().min(0).max(1e8),
  freeFromMinor: z.int().min(0).max(1e9),
})
export type BillRules = z.infer<typeof billRulesSchema>

export const plainRules: BillRules = { taxPercent: 20, taxIncluded: true, shippingMinor: 690, freeFromMinor: 10_000 }

export interface Bill {
  readonly goodsMinor: number
  readonly shippingMinor: number
  /** Added tax; 0 when the prices have it in them. */
  readonly taxMinor: number
  readonly totalMinor: number
}

/**
 * A bill over some goods: one order, sent for nothing from a sum on, tax on goods and sending when the prices are without.
 * @example 80.00 net at 20 % with 6.90 sending: 80 + 6.90 + 17.38 = 104.28
 */
export const billOf = (goodsMinor: number, rules: BillRules): Bill => {
  const free = goodsMinor === 0 || (rules.freeFromMinor > 0 && goodsMinor >= rules.freeFromMinor)
  const shippingMinor = free ? 0 : rules.shippingMinor
  const taxMinor = rules.taxIncluded ? 0 : Math.round(((goodsMinor + shippingMinor) * rules.taxPercent) / 100)
  return { goodsMinor, shippingMinor, taxMinor, totalMinor: goodsMinor + shippingMinor + taxMinor }
}
