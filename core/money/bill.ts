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
  /** With tax, as every price of a rig is. */
  readonly goodsMinor: number
  readonly shippingMinor: number
  /** Tax that was put on top of prices kept without it, on goods and sending; 0 when the prices have it in them. */
  readonly taxMinor: number
  readonly totalMinor: number
}

/**
 * A bill over some goods: one order, sent for nothing from a sum on, sending taxed like the goods.
 * @param goodsMinor with tax
 * @example 96.00 with 20 % in it, kept without, and 6.90 sending: 96 + 8.28 = 104.28, 17.38 of it tax
 */
export const billOf = (goodsMinor: number, rules: BillRules): Bill => {
  const tax = rules.taxIncluded ? 0 : rules.taxPercent / 100
  const free = goodsMinor === 0 || (rules.freeFromMinor > 0 && goodsMinor >= rules.freeFromMinor)
  const shippingMinor = free ? 0 : Math.round(rules.shippingMinor * (1 + tax))
  const totalMinor = goodsMinor + shippingMinor
  return { goodsMinor, shippingMinor, taxMinor: Math.round((totalMinor * tax) / (1 + tax)), totalMinor }
}
