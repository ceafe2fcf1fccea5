import { on, plug, tinyPart, tinyRig, type TinyRig } from '../../testing/index.ts'
import type { Context } from '../../context/index.ts'
import { massUnknown } from './mass-unknown.ts'
import { overBudget } from '../money/over-budget.ts'
import { overMass } from './over-mass.ts'
import { testCheck } from '../tester.ts'
import { tooTall } from '../clearance/too-tall.ts'

const cube = (id: string, more = {}) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')], ...more })
const onHole = on('cube', 'foot', 'camera', 'hole')

testCheck(massUnknown, {
  speaks: [
    {
      name: 'a cube that nobody weighed on a camera of 1 kg',
      message: 'unweighed',
      numbers: { knownG: 1000 },
      parts: ['cube'],
      ...tinyRig([cube('cube', { massG: 0, unknown: ['massG'] })], [onHole]),
    },
  ],
  silent: [
    { name: 'weighed', message: 'known', ...tinyRig([cube('cube')], [onHole]) },
    {
      name: 'unweighed, and in the bag',
      message: 'known',
      ...tinyRig([cube('cube', { massG: 0, unknown: ['massG'] })], []),
    },
  ],
})

testCheck(overMass, {
  cannotTell: [
    {
      name: 'within the cap, but a piece was never weighed',
      message: 'unweighed',
      numbers: { inHandG: 1000, capG: 1099 },
      parts: ['cube'],
      ...tinyRig([cube('cube', { massG: 0, unknown: ['massG'] })], [onHole], { brief: { inHandG: 1099 } }),
    },
  ],
  speaks: [
    {
      name: 'one gram over',
      message: 'over',
      level: 'risk',
      numbers: { inHandG: 1100, capG: 1099, overG: 1 },
      remedies: 1,
      ...tinyRig([cube('cube')], [onHole], { brief: { inHandG: 1099 } }),
    },
  ],
  silent: [
    {
      name: 'exactly at the cap',
      message: 'within',
      numbers: { inHandG: 1100, capG: 1100 },
      ...tinyRig([cube('cube')], [onHole], { brief: { inHandG: 1100 } }),
    },
  ],
})

testCheck(tooTall, {
  speaks: [
    {
      name: 'one millimetre over',
      message: 'over',
      level: 'risk',
      numbers: { tallMm: 100, capMm: 99, overMm: 1 },
      parts: ['cube'],
      remedies: 1,
      ...tinyRig([cube('cube')], [onHole], { brief: { tallMm: 99 } }),
    },
  ],
  silent: [
    {
      name: 'exactly at the cap',
      message: 'within',
      numbers: { tallMm: 100, capMm: 100 },
      ...tinyRig([cube('cube')], [onHole], { brief: { tallMm: 100 } }),
    },
  ],
})

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
