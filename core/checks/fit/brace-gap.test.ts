import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { braceGap } from './brace-gap.ts'
import { testCheck } from '../tester.ts'
import { foot } from '../../testing/fit-rigs.ts'

const stayed = (gapMm: number, standard = 'thread-1/4') =>
  tinyRig(
    [tinyPart({ id: 'arm', mounts: [foot, plug('stay', standard, { at: [25, gapMm, 0] })] })],
    [on('arm', 'foot', 'camera', 'hole')],
    {
      setup: { braces: [on('arm', 'stay', 'camera', 'pinned')] },
    },
  )

testCheck(braceGap, {
  speaks: [
    {
      name: '5 mm over its hole',
      message: 'gap',
      level: 'stop',
      numbers: { gapMm: 5, meetsMm: 3 },
      parts: ['arm', 'camera'],
      remedies: 1,
      ...stayed(5),
    },
    { name: 'a shoe foot on a hole', message: 'unlike', remedies: 1, ...stayed(0, 'shoe-cold') },
  ],
  silent: [{ name: 'exactly a washer away', message: 'meets', numbers: { gapMm: 3 }, ...stayed(3) }],
})
