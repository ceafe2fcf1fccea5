import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { mountTaken } from './mount-taken.ts'
import { testCheck } from '../tester.ts'

const screw = (id: string) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')] })
const clamp = (id: string) => tinyPart({ id, mounts: [plug('foot', 'nato', { lengthMm: 20 })] })
const railed = (a: number, b: number) =>
  tinyRig(
    [clamp('one'), clamp('two')],
    [on('one', 'foot', 'camera', 'rail', { slideMm: a }), on('two', 'foot', 'camera', 'rail', { slideMm: b })],
  )

testCheck(mountTaken, {
  speaks: [
    {
      name: 'two screws in one hole, a pinned hole is free',
      message: 'taken',
      level: 'stop',
      parts: ['b', 'a'],
      ...tinyRig([screw('a'), screw('b')], [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'camera', 'hole')]),
    },
    { name: 'clamps overlap by 5 mm', message: 'overlapping', numbers: { sharedMm: 5 }, ...railed(-10, 5) },
  ],
  silent: [{ name: 'clamps touch exactly', message: 'apart', numbers: { sharedMm: 0 }, ...railed(-10, 10) }],
})
