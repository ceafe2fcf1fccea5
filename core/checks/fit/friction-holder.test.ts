import { on } from '../../testing/index.ts'
import { frictionHolder } from './friction-holder.ts'
import { testCheck } from '../tester.ts'
import { padded } from '../../testing/fit-rigs.ts'

testCheck(frictionHolder, {
  speaks: [
    {
      name: '151 g on a pad, running',
      message: 'loose',
      level: 'hint',
      numbers: { carriedG: 151, safeG: 150 },
      ...padded(151),
    },
  ],
  silent: [
    { name: 'exactly 150 g', message: 'light', ...padded(150) },
    { name: '200 g with a second hold', message: 'braced', ...padded(200, [on('box', 'stay', 'camera', 'pinned')]) },
  ],
})
