import { flatMap } from '../../kernel/index.ts'
import { z } from 'zod'
import { defineCheck, type Judgement } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { cheaperHere } from '../equal.ts'
import type { Aim } from '../aim.ts'
import { dispensable } from '../places.ts'

/** More still to buy than the brief has money for. */
export const overBudget = defineCheck<Sees<'cost'>, object, 'cost'>({
  id: 'over-budget',
  family: 'money',
  title: 'Costs more than there is',
  why: 'Half the rig arrives; the half that is missing is what the other half needed.',
  level: 'stop',
  source: 'The cap in the brief, against usual prices.',
  options: z.object({}),
  defaults: {},
  needs: ['cost'],
  limit: { measured: 'toBuyMinor', allowed: 'capMinor' },
  messages: {
    speaks: {
      over: 'Over budget by {overMinor:minor}. {toBuyMinor:minor} is still to buy; the brief has {capMinor:minor}.',
    },
    silent: { within: '{toBuyMinor:minor} still to buy of {capMinor:minor}.' },
    cannotTell: {
      currency: 'No rate from {home} to {currency} is known. Enter one with the prices, and the bill can be told.',
      unpriced:
        'The bill is not whole. {part} has no price yet; the rest comes to {toBuyMinor:minor} of {capMinor:minor}.',
    },
  },
  subjects: (facts) => (facts.assembly.rig.brief.budgetMinor > 0 ? [facts] : []),
  judge: ({ cost, assembly, context }): Judgement => {
    const { currency } = assembly.rig.brief
    const capMinor = assembly.rig.brief.budgetMinor
    const numbers = { toBuyMinor: cost.usual, capMinor, overMinor: cost.usual - capMinor }
    if (context.pricedIn?.noRate)
      return { group: 'cannotTell', message: 'currency', numbers, names: { home: context.home ?? '', currency } }
    if (cost.usual > capMinor) return { group: 'speaks', message: 'over', numbers }
    const [unpriced] = cost.unpriced
    return unpriced
      ? {
          group: 'cannotTell',
          message: 'unpriced',
          numbers,
          names: { part: unpriced.part.name },
          parts: [unpriced.instance],
        }
      : { group: 'silent', message: 'within', numbers }
  },
  aims: (_, facts, { message }) => {
    if (message === 'currency') return []
    const dear = [...facts.cost.lines].filter((line) => !line.owned).sort((a, b) => b.usual - a.usual)
    const swaps = flatMap(dear, ({ instance }): Aim[] => {
      const piece = facts.assembly.byInstance.get(instance)
      return piece ? [{ do: 'swap', piece, for: cheaperHere(facts, piece) }] : []
    })
    const spare = [...dispensable(facts)]
      .filter((piece) => dear.some((line) => line.instance === piece.instance.id))
      .sort((a, b) => b.part.price.usual - a.part.price.usual)
    return [{ do: 'any', most: 2, of: swaps }, ...spare.slice(0, 2).map((piece): Aim => ({ do: 'set-aside', piece }))]
  },
})
