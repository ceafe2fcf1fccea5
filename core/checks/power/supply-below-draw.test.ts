import { supplyBelowDraw } from './supply-below-draw.ts'
import { testCheck } from '../tester.ts'
import { trickled } from '../../testing/power-rigs.ts'

testCheck(supplyBelowDraw, {
  speaks: [
    {
      name: '4 W by lead against 6 drawn',
      message: 'below',
      level: 'hint',
      numbers: { watts: 6, mostWatts: 4, lastMin: 540 },
      parts: ['camera'],
      ...trickled(4),
    },
  ],
  silent: [{ name: 'as much as is drawn', message: 'enough', numbers: { watts: 6, mostWatts: 6 }, ...trickled(6) }],
})
