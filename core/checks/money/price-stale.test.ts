import { priceStale } from './price-stale.ts'
import { testCheck } from '../tester.ts'
import { cube, bought, view, priced } from '../../testing/money-rigs.ts'

testCheck(priceStale, {
  speaks: [
    {
      name: 'last looked at 121 days ago',
      message: 'stale',
      level: 'hint',
      numbers: { ageDays: 121, freshDays: 120, usualMinor: 1000 },
      parts: ['cube'],
      ...priced(bought(cube('cube', 1000), 0), view({ ageDays: 121 })),
    },
  ],
  silent: [
    {
      name: '120 days',
      message: 'fresh',
      numbers: { ageDays: 120 },
      ...priced(bought(cube('cube', 1000), 0), view({ ageDays: 120 })),
    },
  ],
})
