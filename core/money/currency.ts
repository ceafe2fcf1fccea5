import { z } from 'zod'
import { bad, good, type Outcome } from '../kernel/index.ts'

export const currencySchema = z.string().regex(/^[A-Z]{3}$/, 'use a three-letter currency code such as EUR')

/** What one unit of another currency is worth in the home currency from a day on. */
export const rateSchema = z.strictObject({
  currency: currencySchema,
  seenOn: z.iso.date(),
  rate: z.number().positive('a rate must be more than 0').max(1_000_000),
})
export type Rate = z.infer<typeof rateSchema>

/**
 * An amount in the home currency, by the newest rate of its day or before; the oldest known when all are later.
 * @param amountMinor minor units of its own currency; both are taken to have hundredths
 * @returns `currency-unknown` when no rate is known
 * @example 100.00 at 1.08: 108.00
 */
export const inHome = (
  amountMinor: number,
  currency: string,
  on: string,
  home: string,
  rates: readonly Rate[],
): Outcome<number> => {
  if (currency === home) return good(amountMinor)
  // The newest rate of that day or before; else the oldest there is.
  let [best, oldest]: [Rate | undefined, Rate | undefined] = [undefined, undefined]
  for (const one of rates) {
    if (one.currency !== currency) continue
    if (one.seenOn <= on && (!best || one.seenOn > best.seenOn)) best = one
    if (!oldest || one.seenOn < oldest.seenOn) oldest = one
  }
  const rate = best ?? oldest
  return rate
    ? good(Math.round(amountMinor * rate.rate))
    : bad('currency-unknown', 'currency', { names: { currency, home } })
}
