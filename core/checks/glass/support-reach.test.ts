import { supportReach } from './support-reach.ts'
import { testCheck } from '../tester.ts'
import { cradle, under } from '../../testing/front-rigs.ts'

testCheck(supportReach, {
  speaks: [
    {
      name: 'two millimetres too low; a taller one cures it',
      message: 'low',
      level: 'risk',
      numbers: { neededMm: 30, reachMm: 29 },
      parts: ['cradle'],
      remedies: 2,
      ...under(20, 28, { extra: [cradle(25, 40, 'taller')] }),
    },
    {
      name: 'two millimetres too high',
      message: 'high',
      numbers: { neededMm: 30, reachMm: 31 },
      remedies: 1,
      ...under(32, 40),
    },
    { name: 'the lens ends before it', message: 'past', ...under(20, 40, { z: -90 }) },
    { name: 'upright, it stands beside the lens', message: 'beside', ...under(20, 40, { upright: true }) },
  ],
  silent: [
    { name: 'a millimetre of cork', message: 'holds', numbers: { neededMm: 30, reachMm: 30 }, ...under(20, 29) },
  ],
})
