import { z } from 'zod'
import { idSchema } from '../catalogue/index.ts'
import { addDays, daysBetween, flatMap } from '../kernel/index.ts'
import { currencySchema, inHome, type Rate } from './currency.ts'

/** One price somebody saw. */
export const priceSchema = z.strictObject({
  partId: idSchema,
  seenOn: z.iso.date(),
  shop: z.string().trim().min(1).max(60),
  amountMinor: z.int().min(0, 'a price can not be less than nothing').max(1e9),
  shippingMinor: z.int().min(0, 'shipping can not cost less than nothing').max(1e8),
  currency: currencySchema,
  used: z.boolean(),
  /** Could it be had? A shop that has none keeps its last price. */
  available: z.boolean(),
  source: z.enum(['hand', 'csv', 'feed']),
})
export type Price = z.infer<typeof priceSchema>

/** What the ledger says about a part on a day, in the home currency. */
export interface PriceView {
  readonly partId: string
  readonly low: number
  readonly usual: number
  readonly high: number
  /** The cheapest second-hand price, when one was seen. */
  readonly usedMinor?: number | undefined
  /** What sending it costs at the cheapest new offer. */
  readonly shippingMinor: number
  /** The least any shop asks that has it now; the newest price when none does. */
  readonly newestMinor: number
  readonly newestOn: string
  readonly ageDays: number
  /** The slope of its prices, minor units in thirty days; 0 when there are too few to tell. */
  readonly driftMinor: number
  /** It is to be had for well under what it usually costs. */
  readonly sale: boolean
  /** No shop asked lately had it. */
  readonly unavailable: boolean
  readonly points: number
}

/** Prices older than this are not looked at for the range. days */
export const RANGE_DAYS = 365
/** A price is on sale this far under the usual one. */
export const SALE_SHARE = 0.85
/** Offers of the last so many days say whether a part can be had. */
export const OFFER_DAYS = 45
const MONTH = 30

/**
 * The value below which a share of sorted figures lies, between two by halves of their distance. @example [1, 2, 3, 4]
 * at 0.5: 2.5
 */
export const quantile = (sorted: ArrayLike<number>, share: number): number => {
  const at = (sorted.length - 1) * share
  const [low, high] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0]
  return low + (high - low) * (at - Math.floor(at))
}

/** The middle of all slopes between two points (Theil and Sen): one odd price does not turn it. */
const slopeOf = (points: readonly (readonly [day: number, amount: number])[]): number => {
  // Typed numbers, since this is asked of every part whenever a rate changes.
  const slopes = new Float64Array((points.length * (points.length - 1)) / 2)
  let count = 0
  points.forEach(([day, amount], i) => {
    for (let k = i + 1; k < points.length; k++) {
      const [other, later] = points[k] ?? [day, amount]
      if (other !== day) slopes[count++] = (later - amount) / (other - day)
    }
  })
  return count === 0 ? 0 : quantile(slopes.subarray(0, count).sort(), 0.5)
}
/** Slopes between all pairs of more points than this take too long; the newest are enough. */
const MOST_FOR_SLOPE = 60

/**
 * What a part costs by its ledger: the range of new prices of a year (its tenth, its middle, its ninetieth; while prices
 * rise, what is asked now if that is more than the middle), how old the newest is, where it drifts, whether it is on
 * sale or gone. Prices in a currency without a rate are left out.
 * @returns undefined when nothing usable is known
 */
export const priceView = (
  prices: readonly Price[],
  today: string,
  home: string,
  rates: readonly Rate[],
): PriceView | undefined => {
  // Dates of this form sort as they follow each other, so no day has to be counted here.
  const [from, offersFrom] = [addDays(today, -RANGE_DAYS), addDays(today, -OFFER_DAYS)]
  const seen = flatMap(
    prices.filter(({ seenOn }) => seenOn <= today && seenOn >= from),
    (price) => {
      const amount = inHome(price.amountMinor, price.currency, price.seenOn, home, rates)
      const shipping = inHome(price.shippingMinor, price.currency, price.seenOn, home, rates)
      return amount.ok && shipping.ok ? [{ price, amount: amount.value, shipping: shipping.value }] : []
    },
  ).sort((a, b) => (a.price.seenOn < b.price.seenOn ? -1 : a.price.seenOn > b.price.seenOn ? 1 : a.amount - b.amount))
  const fresh = seen.filter(({ price }) => !price.used)
  const newest = fresh.at(-1)
  if (!newest) return undefined
  const amounts = fresh.map(({ amount }) => amount).sort((a, b) => a - b)
  const median = Math.round(quantile(amounts, 0.5))
  const offers = fresh.filter(({ price }) => price.seenOn >= offersFrom)
  // Each shop's latest word: what it asks, and whether it has any.
  const latest = new Map(offers.map((offer) => [offer.price.shop, offer]))
  const there = [...latest.values()].filter(({ price }) => price.available)
  const nowMinor = there.length > 0 ? Math.min(...there.map(({ amount }) => amount)) : newest.amount
  const cheapest = [...fresh]
    .filter(({ price }) => price.available)
    .sort((a, b) => a.amount + a.shipping - b.amount - b.shipping)[0]
  const used = seen.filter(({ price }) => price.used && price.available).map(({ amount }) => amount)
  const first = fresh[0]?.price.seenOn ?? today
  const driftMinor = Math.round(
    slopeOf(
      fresh.slice(-MOST_FOR_SLOPE).map(({ price, amount }) => [daysBetween(first, price.seenOn), amount] as const),
    ) * MONTH,
  )
  // Prices that rise don't come back: what the shops ask now is what will be paid.
  const usual = driftMinor > 0 ? Math.max(median, nowMinor) : median
  return {
    partId: newest.price.partId,
    low: Math.round(quantile(amounts, 0.1)),
    usual,
    high: Math.max(usual, Math.round(quantile(amounts, 0.9))),
    usedMinor: used.length > 0 ? Math.min(...used) : undefined,
    shippingMinor: cheapest?.shipping ?? 0,
    newestMinor: nowMinor,
    newestOn: newest.price.seenOn,
    ageDays: daysBetween(newest.price.seenOn, today),
    driftMinor,
    sale: fresh.length > 2 && nowMinor <= median * SALE_SHARE,
    unavailable: latest.size > 0 && there.length === 0,
    points: fresh.length,
  }
}
