import { nowKnown, type Part } from '../catalogue/index.ts'
import type { PriceView } from './prices.ts'

const nowDrawing = (part: Part, drawW: number): Part => {
  const { power } = part
  const times = power?.drawW ? drawW / power.drawW : 1
  const scaled = (watts: number | undefined) => (watts === undefined ? undefined : watts * times)
  return {
    ...nowKnown(part, 'drawW'),
    power: {
      ...power,
      drawW,
      ...(power?.standbyW === undefined ? {} : { standbyW: Math.min(drawW, scaled(power.standbyW) ?? 0) }),
      ...(power?.fullW === undefined ? {} : { fullW: Math.max(drawW, scaled(power.fullW) ?? 0) }),
    },
  }
}

/**
 * Parts as the locker, the ledger and the field know them: a weighed mass, prices that were seen and a measured draw
 * take the place of the datasheet's.
 * @param drawsW what the battery meter read, W, by part; what it draws idle and at most goes with it in proportion
 */
export const asKnown = (
  parts: readonly Part[],
  prices: ReadonlyMap<string, Pick<PriceView, 'low' | 'usual' | 'high'>>,
  measuredG: ReadonlyMap<string, number>,
  drawsW: ReadonlyMap<string, number> = new Map(),
): readonly Part[] =>
  parts.map((part) => {
    const [price, massG, drawW] = [prices.get(part.id), measuredG.get(part.id), drawsW.get(part.id)]
    if (!price && massG === undefined && drawW === undefined) return part
    const drawn = drawW === undefined ? part : nowDrawing(part, drawW)
    return {
      ...(massG === undefined ? drawn : nowKnown(drawn, 'massG')),
      ...(price ? { price: { low: price.low, usual: price.usual, high: price.high } } : {}),
      ...(massG === undefined ? {} : { massG }),
    }
  })
