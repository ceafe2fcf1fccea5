import { tinyPart, type TinyRig } from '../../testing/index.ts'
import { likelyOver } from './likely-over.ts'
import { testCheck } from '../tester.ts'
import { cube, bought, view } from '../../testing/money-rigs.ts'

/** Without sending and tax, so that the figures stay round. */
const bare = { taxPercent: 0, taxIncluded: true, shippingMinor: 0, freeFromMinor: 0 }

const ruled = (tiny: TinyRig, rules = bare): TinyRig => ({ ...tiny, context: { ...tiny.context, rules } })

const seenOnce = (tiny: TinyRig): TinyRig => ({
  ...tiny,
  context: { ...tiny.context, prices: new Map([['cube', view({ points: 1 })]]) },
})

const unpriced = bought(cube('cube', 1000), 1100, [], {
  kit: [
    { id: 'cube', partId: 'cube', status: 'in' },
    { id: 'gift', partId: 'gift', status: 'in' },
  ],
  extra: [tinyPart({ id: 'gift', price: { low: 0, usual: 0, high: 0 } })],
})

testCheck(likelyOver, {
  cannotTell: [
    {
      name: 'one price was seen, and no more',
      message: 'thin',
      numbers: { capMinor: 1100 },
      ...seenOnce(ruled(bought(cube('cube', 1000), 1100))),
    },
    { name: 'a piece without a price', message: 'unpriced', ...ruled(unpriced) },
  ],
  speaks: [
    {
      name: 'usual 10.00 of 10.50, and 1.00 of sending on top',
      message: 'likely',
      level: 'hint',
      numbers: { toBuyMinor: 1100, extraMinor: 100, capMinor: 1050 },
      ...ruled(bought(cube('cube', 1000), 1050), { ...bare, shippingMinor: 100 }),
    },
  ],
  silent: [
    {
      name: 'as likely under as over',
      message: 'sure',
      numbers: { chancePercent: 50, surePercent: 50 },
      ...ruled(bought(cube('cube', 1000), 1000)),
    },
    { name: 'over at usual prices is told elsewhere', message: 'over', ...ruled(bought(cube('cube', 1000), 900)) },
  ],
})
