import { nowKnown, type Part } from '../catalogue/index.ts'
import type { PriceView } from './prices.ts'

/**
 * Parts as the locker and the ledger know them: a weighed mass and prices that were seen take the place of the
 * datasheet's.
 */
export const asKnown = (
  parts: readonly Part[],
  prices: ReadonlyMap<string, Pick<PriceView, 'low' | 'usual' | 'high'>>,
  measuredG: ReadonlyMap<string, number>,
): readonly Part[] =>
  parts.map((part) => {
    const [price, massG] = [prices.get(part.id), measuredG.get(part.id)]
    if (!price && massG === undefined) return part
    return {
      ...(massG === undefined ? part : nowKnown(part, 'massG')),
      ...(price ? { price: { low: price.low, usual: price.usual, high: price.high } } : {}),
      ...(massG === undefined ? {} : { massG }),
    }
  })
