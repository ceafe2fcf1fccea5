import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { staysUnused } from './stays-unused.ts'
import { testCheck } from '../tester.ts'

const arm = tinyPart({
  id: 'arm',
  role: 'arm',
  mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
})
const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const joints = [on('arm', 'foot', 'camera', 'hole'), on('cube', 'foot', 'arm', 'top')]
const taught = { value: 3, times: 1, last: '2026-11-17', shoot: 'the slip' }

testCheck(staysUnused, {
  speaks: [
    {
      name: 'three shoots in a row',
      message: 'idle',
      level: 'hint',
      numbers: { shoots: 3, massG: 100, priceMinor: 1000 },
      parts: ['cube'],
      remedies: 1,
      ...tinyRig([arm, cube], joints, { learnt: { unused: new Map([['cube', { ...taught, times: 3 }]]) } }),
    },
  ],
  silent: [
    {
      name: 'another part was unused',
      message: 'used',
      ...tinyRig([arm, cube], joints, { learnt: { unused: new Map([['camera', taught]]) } }),
    },
  ],
})
