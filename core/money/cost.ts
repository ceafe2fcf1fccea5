import type { Instance, Rig } from '../assembly/index.ts'
import type { Catalogue, Part } from '../catalogue/index.ts'
import { keyed, perPair, perThing, flatMap } from '../kernel/index.ts'

/** One piece of the kit and what it costs to have it. */
export interface CostLine {
  readonly instance: string
  readonly part: Part
  readonly owned: boolean
  /** It comes in the box of this instance and costs nothing of its own. */
  readonly inBoxOf?: string
  /** 0 when owned, and when nobody knows. Minor units of the rig's currency, tax in it. */
  readonly low: number
  readonly usual: number
  readonly high: number
}

export interface Cost {
  readonly lines: readonly CostLine[]
  readonly low: number
  readonly usual: number
  readonly high: number
  /**
   * Pieces to buy whose price nobody has entered, or in a currency without a rate: the sums are at least what they say.
   */
  readonly unpriced: readonly CostLine[]
}

const byPiece = perThing('cost lines by piece', (lines: Cost['lines']): ReadonlyMap<string, CostLine> =>
  keyed(lines, ({ instance }) => instance),
)
/** What a piece of the kit costs; undefined for one that is only considered. */
export const lineOf = ({ lines }: Pick<Cost, 'lines'>, instance: string): CostLine | undefined =>
  byPiece(lines).get(instance)

const nothing = { low: 0, usual: 0, high: 0 } as const

/** The same piece is the same line. */
const haveLine = perPair('line of a piece that is owned', ({ id }: Instance, part: Part): CostLine => ({
  instance: id,
  part,
  owned: true,
  ...nothing,
}))
const buyLine = perPair('line of a piece to buy', ({ id }: Instance, part: Part): CostLine => ({
  instance: id,
  part,
  owned: false,
  ...part.price,
}))

/**
 * What is still to buy for a rig's kit. The locker's pieces are used first, each once; what comes in the box of
 * something bought is paid with it; considered pieces cost nothing yet.
 * @param owned pieces of each part in the locker
 * @param catalogue with prices in the rig's currency, tax in them
 */
export const costOf = (rig: Pick<Rig, 'kit'>, catalogue: Catalogue, owned: ReadonlyMap<string, number>): Cost => {
  const used = new Map<string, number>()
  const kit = flatMap(rig.kit, (instance) => {
    const part = catalogue.parts.get(instance.partId)
    return part && instance.status === 'in' ? [{ instance, part }] : []
  })
  const have = kit.map(({ part }) => {
    const before = used.get(part.id) ?? 0
    used.set(part.id, before + 1)
    return before < (owned.get(part.id) ?? 0)
  })
  // What comes in the box of something that is bought covers one piece each, and only pieces that would be bought.
  const boxed = new Map<string, string[]>()
  kit.forEach(({ instance, part }, i) => {
    if (!have[i]) for (const id of part.includes ?? []) boxed.set(id, [...(boxed.get(id) ?? []), instance.id])
  })
  const lines = kit.map(({ instance, part }, i): CostLine => {
    if (have[i]) return haveLine(instance, part)
    const inBoxOf = boxed.get(part.id)?.shift()
    return inBoxOf === undefined
      ? buyLine(instance, part)
      : { instance: instance.id, part, owned: false, inBoxOf, ...nothing }
  })
  return costOfLines(lines)
}

/** The sums over some lines. */
export const costOfLines = (lines: readonly CostLine[]): Cost => {
  let [low, usual, high] = [0, 0, 0]
  for (const line of lines) {
    low += line.low
    usual += line.usual
    high += line.high
  }
  return {
    lines,
    low,
    usual,
    high,
    unpriced: lines.filter((line) => !line.owned && line.inBoxOf === undefined && line.high === 0),
  }
}
