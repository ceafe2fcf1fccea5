import { flatMap } from '../kernel/index.ts'
import type { Assembly } from '../assembly/index.ts'
import type { Capability } from '../catalogue/index.ts'
import type { Cost, CostLine } from './cost.ts'

export const tiers = ['must', 'should', 'may'] as const
export type Tier = (typeof tiers)[number]

export interface TierLine {
  readonly line: CostLine
  readonly tier: Tier
  /** Why it stands there: the need it meets, what it carries, or that it is only considered. */
  readonly because: 'need' | 'carries' | 'powers' | 'set-up' | 'considered' | 'chosen'
  /** Everything up to and with this line, usual prices, minor units. */
  readonly runningMinor: number
}

/**
 * What is still to buy, by how much the job hangs on it: **must** is what alone meets a need of the brief, feeds or
 * joins, and what carries such a piece; **should** is what sits on a set-up besides; **may** is what is only considered
 * or lies loose. Within a tier the cheapest first, so that the running sum shows how far money reaches. The operator's
 * own word on a piece comes before all.
 */
export const tierLines = (
  cost: Cost,
  assemblies: readonly Assembly[],
  needs: ReadonlySet<Capability>,
  considered: readonly CostLine[] = [],
): readonly TierLine[] => {
  const rig = assemblies[0]?.rig
  const words = new Map(flatMap(rig?.kit ?? [], ({ id, tier }) => (tier ? [[id, tier] as const] : [])))
  const given = new Map<string, number>()
  const parts = new Map(cost.lines.map((line) => [line.instance, line.part]))
  for (const part of parts.values()) for (const gift of part.provides) given.set(gift, (given.get(gift) ?? 0) + 1)
  const alone = (instance: string) =>
    (parts.get(instance)?.provides ?? []).some((gift) => needs.has(gift) && given.get(gift) === 1)
  const powers = (instance: string) => {
    const part = parts.get(instance)
    return Boolean(part?.power?.store ?? part?.cable ?? part?.media?.stores)
  }
  const carriers = new Set<string>()
  for (const { placed } of assemblies)
    for (const piece of placed)
      if (alone(piece.instance.id)) for (let host = piece.host; host; host = host.host) carriers.add(host.instance.id)
  const linked = new Set(flatMap(assemblies, ({ setup }) => setup.links.map(({ cable }) => cable)))
  const onRig = new Set(flatMap(assemblies, ({ placed }) => placed.map(({ instance }) => instance.id)))
  const judge = (instance: string): Pick<TierLine, 'tier' | 'because'> => {
    const word = words.get(instance)
    if (word) return { tier: word, because: 'chosen' }
    if (alone(instance)) return { tier: 'must', because: 'need' }
    if (carriers.has(instance)) return { tier: 'must', because: 'carries' }
    if (powers(instance) && (linked.has(instance) || onRig.has(instance))) return { tier: 'must', because: 'powers' }
    return onRig.has(instance) || powers(instance)
      ? { tier: 'should', because: 'set-up' }
      : { tier: 'may', because: 'considered' }
  }
  const lines = [
    ...cost.lines.filter(({ owned }) => !owned).map((line) => ({ line, ...judge(line.instance) })),
    ...considered.map((line) => ({ line, tier: 'may' as const, because: 'considered' as const })),
  ].sort(
    (a, b) =>
      tiers.indexOf(a.tier) - tiers.indexOf(b.tier) ||
      a.line.usual - b.line.usual ||
      (a.line.instance < b.line.instance ? -1 : 1),
  )
  let runningMinor = 0
  return lines.map((line) => ({ ...line, runningMinor: (runningMinor += line.line.usual) }))
}
