import type { Part } from '../catalogue/index.ts'
import { type BillRules, plainRules } from './bill.ts'
import type { Rate } from './currency.ts'

/**
 * What surrounds prices: the currency they are kept in, what other currencies are worth in it, and whether tax is in
 * them.
 */
export interface PriceSource {
  readonly home?: string | undefined
  readonly rates?: readonly Rate[] | undefined
  readonly rules?: BillRules | undefined
}

/** What a price of the ledger or the catalogue comes to in a rig's own currency, tax in it. */
export interface PriceTerms {
  /** Times this; undefined when no rate between the two currencies is known. */
  readonly factor: number | undefined
}

/** What one unit of the home currency is worth in another, by the newest rate; undefined when none is known. */
export const worthOf = (currency: string, { home, rates = [] }: PriceSource): number | undefined => {
  if (home === undefined || currency === home) return 1
  const newest = rates.filter((rate) => rate.currency === currency).sort((a, b) => (a.seenOn < b.seenOn ? 1 : -1))[0]
  return newest && 1 / newest.rate
}

/**
 * Prices in the currency of a rig, with tax on top where they are kept without.
 * @example home EUR, 1 GBP = 1.25 EUR, net at 20 %: a price of 100 EUR is 100 / 1.25 x 1.2 = 96 GBP
 */
export const termsOf = (currency: string, source: PriceSource): PriceTerms => {
  const { taxIncluded, taxPercent } = source.rules ?? plainRules
  const worth = worthOf(currency, source)
  return { factor: worth === undefined ? undefined : worth * (taxIncluded ? 1 : 1 + taxPercent / 100) }
}

/** Has anybody entered a price? Nothing is had for nothing: 0 stands for a price that is not known. */
export const isPriced = ({ price }: Pick<Part, 'price'>): boolean => price.high > 0

/** The usual price to compare by: what nobody has priced comes last, and is never the cheaper one. */
export const comparedMinor = (part: Pick<Part, 'price'>): number =>
  isPriced(part) ? part.price.usual : Number.MAX_SAFE_INTEGER

/** A price under these terms, whole minor units; 0, unknown, when it is not priced or can't be converted. */
export const priceIn = ({ price }: Pick<Part, 'price'>, { factor = 0 }: PriceTerms): Part['price'] => ({
  low: Math.round(price.low * factor),
  usual: Math.round(price.usual * factor),
  high: Math.round(price.high * factor),
})

/** The rules of a bill in another currency: sending and the sum it is free from are kept in the home currency. */
export const rulesIn = (currency: string, source: PriceSource): BillRules => {
  const rules = source.rules ?? plainRules
  const worth = worthOf(currency, source) ?? 1
  return worth === 1
    ? rules
    : {
        ...rules,
        shippingMinor: Math.round(rules.shippingMinor * worth),
        freeFromMinor: Math.round(rules.freeFromMinor * worth),
      }
}

/**
 * An amount of one currency in another, whole minor units, by the newest rates of both; undefined when one of them is
 * not known.
 * @example home EUR, 1 GBP = 1.25 EUR: 90.00 EUR are 72.00 GBP
 */
export const exchanged = (amountMinor: number, from: string, to: string, source: PriceSource): number | undefined => {
  const [a, b] = [worthOf(from, source), worthOf(to, source)]
  return a === undefined || b === undefined ? undefined : Math.round((amountMinor / a) * b)
}
