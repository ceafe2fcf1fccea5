import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { gapSeen } from './gap-seen.ts'
import { testCheck } from '../tester.ts'

const arm = tinyPart({
  id: 'arm',
  role: 'arm',
  mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
})
const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const joints = [on('arm', 'foot', 'camera', 'hole'), on('cube', 'foot', 'arm', 'top')]
const taught = { value: 1.5, times: 1, last: '2026-11-17', shoot: 'the slip' }

testCheck(gapSeen, {
  speaks: [
    {
      name: 'one and a half millimetres stayed open',
      message: 'open',
      level: 'risk',
      numbers: { gapMm: 1.5 },
      parts: ['cube'],
      ...tinyRig([arm, cube], joints, { learnt: { gaps: new Map([['cube/foot arm/top', taught]]) } }),
    },
  ],
  silent: [
    {
      name: 'another joint had the gap',
      message: 'closed',
      ...tinyRig([arm, cube], joints, { learnt: { gaps: new Map([['cube/foot arm/foot', taught]]) } }),
    },
  ],
})
