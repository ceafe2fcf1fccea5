import { z } from 'zod'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

/** The usual prices fit, but hardly. */
export const likelyOver = defineCheck<
  Sees<'cost' | 'bill' | 'chance'>,
  { surePercent: number },
  'cost' | 'bill' | 'chance'
>({
  id: 'likely-over',
  family: 'money',
  title: 'Likely to cost more than there is',
  why: 'Three things turn out a little dearer, sending comes on top, and the last lead is not bought.',
  level: 'hint',
  source:
    'Prices that were seen by their tenths, others as a triangle; a quarter of what moves them moves all; sending by the rules of the ledger.',
  options: z.object({ surePercent: z.number().min(0).max(100) }),
  defaults: { surePercent: 50 },
  units: { surePercent: '%' },
  needs: ['cost', 'bill', 'chance'],
  limit: { measured: 'chancePercent', allowed: 'surePercent' },
  messages: {
    speaks: {
      likely:
        'More likely over than under. {toBuyMinor:minor} with {extraMinor:minor} of sending and tax stays within {capMinor:minor} in {chancePercent:%} of cases.',
    },
    silent: {
      sure: '{toBuyMinor:minor} stays within {capMinor:minor} in {chancePercent:%} of cases.',
      over: 'It is over already.',
    },
    cannotTell: {
      thin: 'Too few prices. Whether {toBuyMinor:minor} stays within {capMinor:minor} can not be told: of {part} only one or two were seen.',
      unpriced: 'A price is missing. Whether the rest stays within {capMinor:minor} can not be told: {part} has none.',
    },
  },
  subjects: (facts) => (facts.assembly.rig.brief.budgetMinor > 0 && facts.cost.usual > 0 ? [facts] : []),
  judge: ({ cost, bill, chance: { within, thin }, assembly }, _, { surePercent }) => {
    const capMinor = assembly.rig.brief.budgetMinor
    const numbers = {
      toBuyMinor: bill.totalMinor,
      extraMinor: bill.totalMinor - cost.usual,
      capMinor,
      chancePercent: Math.round((within ?? 0) * 1000) / 10,
      surePercent,
    }
    if (cost.usual > capMinor) return { group: 'silent', message: 'over', numbers }
    const [unpriced] = cost.unpriced
    if (within === undefined)
      return {
        group: 'cannotTell',
        message: unpriced ? 'unpriced' : 'thin',
        numbers,
        names: { part: unpriced?.part.name ?? thin[0] ?? '' },
      }
    return numbers.chancePercent < surePercent
      ? { group: 'speaks', message: 'likely', numbers }
      : { group: 'silent', message: 'sure', numbers }
  },
})
