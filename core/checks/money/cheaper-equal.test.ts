import { plug, tinyPart } from '../../testing/index.ts'
import { cheaperEqual } from './cheaper-equal.ts'
import { testCheck } from '../tester.ts'
import { cube, bought } from '../../testing/money-rigs.ts'

testCheck(cheaperEqual, {
  speaks: [
    {
      name: 'the same for 25.00 less',
      message: 'cheaper',
      level: 'hint',
      numbers: { savesMinor: 2500, priceMinor: 6000, otherMinor: 3500 },
      parts: ['cube'],
      remedies: 1,
      ...bought(cube('cube', 6000, { provides: ['screen'] }), 0, [
        cube('other', 3500, { provides: ['screen', 'sun-view'] }),
        cube('less', 1000),
      ]),
    },
  ],
  silent: [
    {
      name: 'twenty at least',
      message: 'little',
      numbers: { savesMinor: 2000, leastMinor: 2000 },
      ...bought(cube('cube', 6000), 0, [cube('other', 4000)]),
    },
    {
      name: 'what nobody has priced is not cheaper',
      message: 'dear',
      ...bought(cube('cube', 6000), 0, [
        tinyPart({ id: 'other', mounts: [plug('foot', 'thread-1/4')], price: { low: 0, usual: 0, high: 0 } }),
      ]),
    },
    {
      name: 'what is much heavier is not the same',
      message: 'dear',
      ...bought(cube('cube', 6000), 0, [cube('other', 1000, { massG: 126 })]),
    },
  ],
})
