import { on, tinyRig } from '../../testing/index.ts'
import { mixedRods } from './mixed-rods.ts'
import { testCheck } from '../tester.ts'
import { base, pairOf, seat, single } from '../../testing/rod-pair-rigs.ts'

testCheck(mixedRods, {
  speaks: [
    {
      name: 'a pair and a single rod',
      message: 'two',
      level: 'hint',
      parts: ['pair', 'single'],
      ...tinyRig(
        [base, pairOf('pair', 100), single],
        [seat, on('pair', 'end', 'base', 'pair'), on('single', 'end', 'base', 'single')],
      ),
    },
  ],
  silent: [
    {
      name: 'a pair alone',
      message: 'one',
      ...tinyRig([base, pairOf('pair', 100)], [seat, on('pair', 'end', 'base', 'pair')]),
    },
  ],
})
