import { motorReach } from './motor-reach.ts'
import { testCheck } from '../tester.ts'
import { front, drive, held, geared } from '../../testing/front-rigs.ts'

testCheck(motorReach, {
  speaks: [
    {
      name: '20 mm off',
      message: 'far',
      level: 'risk',
      numbers: { offMm: 20, reachMm: 14 },
      parts: ['drive'],
      ...front([geared, drive(30)], [held]),
    },
    { name: '20 mm into the ring', message: 'into', numbers: { offMm: 20 }, ...front([geared, drive(-10)], [held]) },
    {
      name: 'beside the teeth, with no rod to slide on',
      message: 'along',
      numbers: { offMm: 10, reachMm: 0 },
      ...front([geared, drive(20, -60)], [held]),
    },
  ],
  silent: [
    {
      name: 'at the end of its arm',
      message: 'meets',
      numbers: { offMm: 14, reachMm: 14 },
      ...front([geared, drive(24)], [held]),
    },
  ],
})
