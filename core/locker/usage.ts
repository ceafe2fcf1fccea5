import { flatMap } from '../kernel/index.ts'
import type { Rig } from '../assembly/index.ts'

/** Where a part is used: a rig, and its set-ups that have it on. */
export interface Usage {
  readonly rigId: string
  readonly rigName: string
  readonly setups: readonly string[]
}

/** Which rigs use which parts, and in which of their set-ups; in the kit but on none: an empty list of set-ups. */
export const usageOf = (rigs: readonly Rig[]): ReadonlyMap<string, readonly Usage[]> => {
  const found = new Map<string, Usage[]>()
  for (const rig of rigs) {
    const setupsOf = new Map<string, Set<string>>()
    const partOf = new Map(rig.kit.filter(({ status }) => status === 'in').map(({ id, partId }) => [id, partId]))
    for (const partId of partOf.values()) setupsOf.set(partId, new Set())
    for (const setup of rig.setups)
      for (const instance of [
        setup.root,
        ...setup.joints.map(({ guest }) => guest),
        ...flatMap(setup.links, ({ cable, couplers }) => [cable, ...Object.values(couplers ?? {})]),
        ...(setup.off ?? []).map(({ instance }) => instance),
      ]) {
        const partId = partOf.get(instance)
        if (partId !== undefined) setupsOf.get(partId)?.add(setup.name)
      }
    for (const [partId, setups] of setupsOf)
      found.set(partId, [...(found.get(partId) ?? []), { rigId: rig.id, rigName: rig.name, setups: [...setups] }])
  }
  return found
}

/** The mean of what was weighed of each part: it takes the place of the datasheet's figure. */
export const measuredMasses = (
  pieces: readonly { readonly partId: string; readonly measuredG: number | null }[],
): ReadonlyMap<string, number> => {
  const sums = new Map<string, { sum: number; count: number }>()
  for (const { partId, measuredG } of pieces) {
    if (measuredG === null) continue
    const now = sums.get(partId) ?? { sum: 0, count: 0 }
    sums.set(partId, { sum: now.sum + measuredG, count: now.count + 1 })
  }
  return new Map([...sums].map(([id, { sum, count }]) => [id, sum / count]))
}
