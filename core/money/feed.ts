import { addDays, flatMap } from '../kernel/index.ts'
import type { Price } from './prices.ts'

/** Three shops that exist nowhere. */
export const feedShops = ['Lockside Lens & Light', 'The Reed Counter', 'Pondweed Outlet'] as const

/** A figure from 0 to 1 that is always the same for the same words (FNV-1a, then mixed). */
const chanceOf = (...words: readonly (string | number)[]): number => {
  let hash = 0x811c9dc5
  for (const char of words.join('|')) hash = Math.imul(hash ^ char.charCodeAt(0), 0x01000193)
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d)
  hash = Math.imul(hash ^ (hash >>> 12), 0x297a2d39)
  return ((hash ^ (hash >>> 15)) >>> 0) / 4294967296
}

/** A shop looks at its prices this often. days */
export const FEED_STEP_DAYS = 14

/**
 * Simulated prices of the three shops for a part over some steps up to a day: a slow drift of its own, a shop's own
 * level, a little noise, now and then a sale of a fifth, now and then none left. The same seed gives the same prices.
 */
export const feedPrices = (
  seed: number,
  part: {
    readonly id: string
    readonly price: { readonly low: number; readonly usual: number; readonly high: number }
  },
  today: string,
  steps: number,
  currency: string,
): readonly Price[] => {
  const drift = (chanceOf(seed, part.id, 'drift') - 0.6) * 0.006
  return flatMap(feedShops, (shop) => {
    const level = 0.94 + 0.12 * chanceOf(seed, part.id, shop)
    return Array.from({ length: steps }, (_, i): Price => {
      const back = steps - 1 - i
      const seenOn = addDays(today, -back * FEED_STEP_DAYS)
      const sale = chanceOf(seed, part.id, shop, seenOn, 'sale') < 0.06 ? 0.8 : 1
      const noise = 1 + (chanceOf(seed, part.id, shop, seenOn, 'noise') - 0.5) * 0.03
      const amount = part.price.usual * level * (1 - drift * back) * sale * noise
      return {
        partId: part.id,
        seenOn,
        shop,
        amountMinor: Math.max(1, Math.round(amount / 10) * 10 - 1),
        shippingMinor: amount > 10_000 ? 0 : 590,
        currency,
        used: false,
        available: chanceOf(seed, part.id, shop, seenOn, 'left') > 0.07,
        source: 'feed',
      }
    })
  })
}
