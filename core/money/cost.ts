import type { Rig } from '../assembly/index.ts'
import type { Catalogue, Part } from '../catalogue/index.ts'

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

const nothing = { low: 0, usual: 0, high: 0 } as const

/**
 * What is still to buy for a rig's kit. The locker's pieces are used first, each once; what comes in the box of
 * something bought is paid with it; considered pieces cost nothing yet.
 * @param owned pieces of each part in the locker
 * @param catalogue with prices in the rig's currency, tax in them
 */
export const costOf = (rig: Rig, catalogue: Catalogue, owned: ReadonlyMap<string, number>): Cost => {
  const left = new Map(owned)
  const kit = rig.kit.flatMap((instance) => {
    const part = catalogue.parts.get(instance.partId)
    return part && instance.status === 'in' ? [{ instance: instance.id, part }] : []
  })
  const have = kit.map(({ part }) => {
    const pieces = left.get(part.id) ?? 0
    if (pieces > 0) left.set(part.id, pieces - 1)
    return pieces > 0
  })
  // What comes in the box of something that is bought covers one piece each, and only pieces that would be bought.
  const boxed = new Map<string, string[]>()
  kit.forEach(({ instance, part }, i) => {
    if (!have[i]) for (const id of part.includes ?? []) boxed.set(id, [...(boxed.get(id) ?? []), instance])
  })
  const lines = kit.map(({ instance, part }, i): CostLine => {
    if (have[i]) return { instance, part, owned: true, ...nothing }
    const inBoxOf = boxed.get(part.id)?.shift()
    return inBoxOf === undefined
      ? { instance, part, owned: false, ...part.price }
      : { instance, part, owned: false, inBoxOf, ...nothing }
  })
  return costOfLines(lines)
}

/** The sums over some lines. */
export const costOfLines = (lines: readonly CostLine[]): Cost => {
  const sum = (key: 'low' | 'usual' | 'high') => lines.reduce((total, line) => total + line[key], 0)
  return {
    lines,
    low: sum('low'),
    usual: sum('usual'),
    high: sum('high'),
    unpriced: lines.filter((line) => !line.owned && line.inBoxOf === undefined && line.high === 0),
  }
}
