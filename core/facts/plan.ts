import { holdThat, isPosture } from '../balance/index.ts'
import { needsOf, unmet } from '../brief/index.ts'
import { capabilities } from '../catalogue/index.ts'
import { billOf, chanceOf, costOf, plainRules } from '../money/index.ts'
import { fact, type FactTable } from './define.ts'

type Names = 'cost' | 'bill' | 'chance' | 'needs' | 'unmet'

/** What is asked for, and what it costs. */
export const planFacts: FactTable<Names> = {
  cost: fact([], ({ assembly, context }) => costOf(assembly.rig, context.catalogue, context.owned)),
  /** The bill over what is still to buy, with sending and tax. */
  bill: fact(['cost'], ({ context, cost }) => billOf(cost.usual, context.rules ?? plainRules)),
  /** How likely the bill stays within the brief's money; sending is taken as it is at usual prices. */
  chance: fact(['cost'], ({ assembly, context, cost }) => chanceOf(cost, assembly.rig.brief.budgetMinor, context)),
  /** What the brief asks of this set-up: on a stand nobody wants a handle. */
  needs: fact([], ({ assembly }) =>
    needsOf(assembly.rig.brief).filter(
      ({ capability }) =>
        isPosture(assembly.setup.support) || capabilities[capability].station !== 'grip' || capability === 'tether',
    ),
  ),
  unmet: fact(['needs'], ({ assembly, needs }) => {
    const left = unmet(
      needs,
      assembly.placed.map((piece) => piece.part),
    )
    return left.filter(({ capability }) => holdThat(assembly, capability) === undefined)
  }),
}
