import { z } from 'zod'
import type { CostLine } from '../../money/index.ts'
import { defineCheck, type Judgement, type Remedy } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { cheaperHere } from '../equal.ts'
import { dispensable, eachOf, firstOf, swapRemedy } from '../places.ts'

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
  remedies: (_, facts, { message }) => {
    if (message === 'currency') return []
    const dear = [...facts.cost.lines].filter((line) => !line.owned).sort((a, b) => b.usual - a.usual)
    const swapFor = (line: CostLine): Remedy | undefined => {
      const piece = facts.assembly.byInstance.get(line.instance)
      return (
        piece &&
        firstOf(
          1,
          eachOf(cheaperHere(facts, piece), (part) => swapRemedy(facts, piece, part)),
        )[0]
      )
    }
    const leaveOut = [...dispensable(facts)]
      .filter((piece) => dear.some((line) => line.instance === piece.instance.id))
      .sort((a, b) => b.part.price.usual - a.part.price.usual)
      .map((piece): Remedy => ({
        text: 'leave out {part}',
        numbers: {},
        names: { part: piece.part.name },
        commands: [
          { do: 'take-off', setup: facts.assembly.setup.id, instance: piece.instance.id },
          { do: 'status', instance: piece.instance.id, status: 'considered' },
        ],
      }))
    return [...firstOf(2, eachOf(dear, swapFor)), ...firstOf(2, leaveOut)]
  },
})
