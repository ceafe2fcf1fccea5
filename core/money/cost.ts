import type { Rig } from '../assembly/index.ts'
import type { Catalogue, Part } from '../catalogue/index.ts'

/** One piece of the kit and what it costs to have it. */
export interface CostLine {
  readonly instance: string
  readonly part: Part
  readonly owned: boolean
  /** 0 when owned. Minor units of the rig's currency. */
  readonly low: number
  readonly usual: number
  readonly high: number
}

export interface Cost {
  readonly lines: readonly CostLine[]
  readonly low: number
  readonly usual: number
  readonly high: number
  /** Pieces to buy whose price nobody has entered. */
  readonly unpriced: readonly CostLine[]
}

/**
 * What is still to buy for a rig's kit. The locker's pieces are used first, each once; considered pieces cost nothing yet.
 * @param owned pieces of each part in the locker
 */
export const costOf = (rig: Rig, catalogue: Catalogue, owned: ReadonlyMap<string, number>): Cost => {
  const left = new Map(owned)
  const lines = rig.kit.flatMap((instance): CostLine[] => {
    const part = catalogue.parts.get(instance.partId)
    if (!part || instance.status !== 'in') return []
    const have = left.get(part.id) ?? 0
    if (have > 0) left.set(part.id, have - 1)
    const price = have > 0 ? { low: 0, usual: 0, high: 0 } : part.price
    return [{ instance: instance.id, part, owned: have > 0, ...price }]
  })
  const sum = (key: 'low' | 'usual' | 'high') => lines.reduce((total, line) => total + line[key], 0)
  return {
    lines,
    low: sum('low'),
    usual: sum('usual'),
    high: sum('high'),
    unpriced: lines.filter((line) => !line.owned && line.high === 0),
  }
}
