import type { Part } from '../../catalogue/index.ts'
import { tinyPart, tinyRig } from '../../testing/index.ts'
import { bundleWaste } from './bundle-waste.ts'
import { testCheck } from '../tester.ts'
import { cube, held } from '../../testing/money-rigs.ts'

const inBox = cube('box', 5000, { includes: ['hex', 'strap'] })

const alone = cube('alone', 3000)

const [hex, strap] = ['hex', 'strap'].map((id) =>
  tinyPart({ id, role: 'tool', price: { low: 800, usual: 1000, high: 1200 } }),
) as [Part, Part]

testCheck(bundleWaste, {
  speaks: [
    {
      name: 'one of two is used: 30.00 alone and 10.00 for what is used are 10.00 less',
      message: 'waste',
      level: 'hint',
      numbers: { count: 1, savesMinor: 1000 },
      parts: ['box'],
      remedies: 1,
      ...tinyRig([inBox, hex], [held('box')], { extra: [alone, strap] }),
    },
  ],
  silent: [
    {
      name: 'both are used',
      message: 'all',
      numbers: { count: 0 },
      ...tinyRig([inBox, hex, strap], [held('box')], { extra: [alone] }),
    },
    {
      name: 'five at most are not worth a word',
      message: 'worth',
      numbers: { savesMinor: 500, leastMinor: 500 },
      ...tinyRig([{ ...inBox, price: { low: 4000, usual: 4500, high: 5000 } }, hex], [held('box')], {
        extra: [alone, strap],
      }),
    },
  ],
})
