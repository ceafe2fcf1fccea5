import { rodsOverlong } from './rods-overlong.ts'
import { testCheck } from '../tester.ts'
import { pairOf, boxed } from '../../testing/rod-pair-rigs.ts'

// The clamp sits at the middle of 200 mm, half of its 16 mm beyond: 108 mm are used.
testCheck(rodsOverlong, {
  speaks: [
    {
      name: '92 mm stand over; 150 mm rods would do',
      message: 'long',
      level: 'hint',
      numbers: { overMm: 92, usedMm: 108, longMm: 200 },
      parts: ['pair'],
      remedies: 1,
      ...boxed(20, 200, 0, [pairOf('short-pair', 150), pairOf('too-short', 100)]),
    },
    { name: 'no shorter pair is known', message: 'long', remedies: 0, ...boxed(20, 200) },
  ],
  silent: [
    { name: 'exactly 60 mm beyond the clamp', message: 'right', numbers: { overMm: 60 }, ...boxed(20, 200, 32) },
  ],
})
