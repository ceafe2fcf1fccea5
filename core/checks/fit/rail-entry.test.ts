import { tinyRig } from '../../testing/index.ts'
import { railEntry } from './rail-entry.ts'
import { testCheck } from '../tester.ts'
import { clamp, cheeks, cheekJoints, onClamp } from '../../testing/fit-rigs.ts'

testCheck(railEntry, {
  speaks: [
    {
      name: 'a block before each end',
      message: 'shut',
      level: 'risk',
      parts: ['clamp', 'front', 'rear'],
      numbers: { railMm: 60, clampMm: 20 },
      ...tinyRig([clamp(20, { slidesOn: true }), ...cheeks], [onClamp, ...cheekJoints]),
    },
  ],
  silent: [
    {
      name: 'one end is open',
      message: 'open',
      ...tinyRig([clamp(20, { slidesOn: true }), ...cheeks], [onClamp, ...cheekJoints.slice(0, 1)]),
    },
  ],
})
