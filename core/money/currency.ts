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
export const inHome = (amountMinor: number, currency: string, on: string, home: string, rates: readonly Rate[]): Outcome<number> => {
  if (currency === home) return good(amountMinor)
  const known = rates.filter((rate) => rate.currency === currency).sort((a, b) => (a.seenOn < b.seenOn ? 1 : -1))
  const rate = known.find(({ seenOn }) => seenOn <= on) ?? known.at(-1)
  return rate ? good(Math.round(amountMinor * rate.rate)) : bad('currency-unknown', 'currency', { names: { currency, home } })
}
