import type { Assembly, Support } from '../assembly/index.ts'
import { holdThat, isPosture } from '../balance/index.ts'
import { needsOf, unmet } from '../brief/index.ts'
import { capabilities, type Capability } from '../catalogue/index.ts'
import { billOf, chanceOf, costOf, plainRules } from '../money/index.ts'
import { fact, type FactTable } from './define.ts'
import { lotOfParts } from './lots.ts'
import { supportsOfSetups } from './setups.ts'

type Names = 'cost' | 'bill' | 'chance' | 'asked' | 'needs' | 'unmet'

/** Ways of holding in which nobody lifts the rig by its top between two takes. */
const heldElsewhere: ReadonlySet<Support> = new Set(['shoulder', 'chest', 'lap'])

/** On a stand nobody wants a handle, held to the body none on top; and a quick plate is for a rig that stands somewhere. */
const hasUse = (capability: Capability, { setup }: Assembly, supports: readonly Support[]): boolean => {
  if (capability === 'quick-plate') return supports.some((support) => !isPosture(support))
  if (capability === 'tether' || capabilities[capability].station !== 'grip') return true
  if (!isPosture(setup.support)) return false
  return capability !== 'top-handle' || setup.orientation === 'upright' || !heldElsewhere.has(setup.support)
}

/** The pieces on the rig that give something. */
export const givers = lotOfParts(({ provides }) => provides.length > 0)

/** What is asked for, and what it costs. */
export const planFacts: FactTable<Names> = {
  cost: fact([], ({ assembly, context }) => costOf(assembly.rig, context.catalogue, context.owned)),
  /** The bill over what is still to buy, with sending and tax. */
  bill: fact(['cost'], ({ context, cost }) => billOf(cost.usual, context.rules ?? plainRules)),
  /** How likely the bill stays within the brief's money; sending is taken as it is at usual prices. */
  chance: fact(['cost'], ({ assembly, context, cost }) => chanceOf(cost, assembly.rig.brief.budgetMinor, context)),
  asked: fact([], ({ assembly }) => new Set<string>(needsOf(assembly.rig.brief).map(({ capability }) => capability))),
  /** What the brief asks of this set-up, as far as its way of being held has a use for it. */
  needs: fact([], (facts) => {
    const { assembly } = facts
    const supports = supportsOfSetups(facts)
    return needsOf(assembly.rig.brief).filter(
      ({ capability, because }) => because.from === 'operator' || hasUse(capability, assembly, supports),
    )
  }),
  unmet: fact(['needs'], (facts) => {
    const { assembly, needs } = facts
    const off = facts.assembly.off.map(({ piece }) => piece)
    const left = unmet(
      needs,
      [...givers(facts), ...off].map(({ part }) => part),
    )
    return left.filter(({ capability }) => holdThat(assembly, capability) === undefined)
  }),
}
