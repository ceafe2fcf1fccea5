import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { rodsOverlong } from './rods-overlong.ts'
import { testCheck } from '../tester.ts'
import { pairOf, boxed } from '../../testing/rod-pair-rigs.ts'

// The clamp sits at the middle of 200 mm, half of its 16 mm beyond: 108 mm are used.
/** A clamp that rods run through, above the camera. */
const under = tinyPart({
  id: 'under',
  role: 'rod-clamp',
  mounts: [plug('foot', 'thread-1/4'), socket('clamp', 'rod-15-pair', [0, 20, 0], [0, 1, 0], { lengthMm: 30 })],
})

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
    {
      // A clamp of 30 mm holds 200 mm in their middle: it is used itself, and 85 mm stand out on either side.
      name: 'held in the middle, and nothing rides on them',
      message: 'long',
      numbers: { overMm: 170, usedMm: 30, longMm: 200 },
      ...tinyRig(
        [under, pairOf('pair', 200)],
        [on('under', 'foot', 'camera', 'hole'), on('pair', 'above', 'under', 'clamp')],
      ),
    },
    { name: 'no shorter pair is known', message: 'long', remedies: 0, ...boxed(20, 200) },
  ],
  silent: [
    { name: 'exactly 60 mm beyond the clamp', message: 'right', numbers: { overMm: 60 }, ...boxed(20, 200, 32) },
  ],
})
