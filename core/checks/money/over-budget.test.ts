import { tinyRig, type TinyRig } from '../../testing/index.ts'
import type { Context } from '../../context/index.ts'
import { overBudget } from './over-budget.ts'
import { testCheck } from '../tester.ts'
import { cube, onHole } from '../../testing/caps-rigs.ts'

const dear = { price: { low: 4000, usual: 5000, high: 6000 } }

const cheap = cube('cheap', { price: { low: 1000, usual: 2000, high: 3000 } })

const inPounds = (rates: Context['rates']): TinyRig => {
  const tiny = tinyRig([cube('cube')], [onHole], { brief: { budgetMinor: 900, currency: 'GBP' } })
  return { ...tiny, context: { ...tiny.context, home: 'EUR', ...(rates ? { rates } : {}) } }
}

testCheck(overBudget, {
  speaks: [
    {
      name: 'a cent over; a cheaper one does the same',
      message: 'over',
      level: 'stop',
      numbers: { toBuyMinor: 5000, capMinor: 4999, overMinor: 1 },
      remedies: 2,
      ...tinyRig([cube('cube', dear)], [onHole], { brief: { budgetMinor: 4999 }, extra: [cheap] }),
    },
    {
      name: 'no cheaper one: only leaving it out',
      message: 'over',
      remedies: 1,
      ...tinyRig([cube('cube', dear)], [onHole], { brief: { budgetMinor: 4999 } }),
    },
  ],
  silent: [
    {
      name: 'exactly the budget',
      message: 'within',
      numbers: { toBuyMinor: 5000, capMinor: 5000 },
      ...tinyRig([cube('cube', dear)], [onHole], { brief: { budgetMinor: 5000 } }),
    },
    {
      // 10.00 EUR at 1 GBP = 1.25 EUR are 8.00 GBP.
      name: 'in pounds, at the ledger’s rate',
      message: 'within',
      numbers: { toBuyMinor: 800, capMinor: 900 },
      ...inPounds([{ currency: 'GBP', seenOn: '2026-11-01', rate: 1.25 }]),
    },
    {
      name: 'owned costs nothing',
      message: 'within',
      numbers: { toBuyMinor: 0 },
      ...tinyRig([cube('cube', dear)], [onHole], { brief: { budgetMinor: 1 }, owned: { cube: 1 } }),
    },
  ],
  cannotTell: [
    { name: 'in pounds, whose worth nobody has entered', message: 'currency', ...inPounds(undefined) },
    {
      name: 'a part without a price',
      message: 'unpriced',
      level: 'hint',
      ...tinyRig([cube('cube', { price: { low: 0, usual: 0, high: 0 } })], [onHole], { brief: { budgetMinor: 5000 } }),
    },
  ],
})
