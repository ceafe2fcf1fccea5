import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { wasInTheWay } from './was-in-the-way.ts'
import { testCheck } from '../tester.ts'

const arm = tinyPart({
  id: 'arm',
  role: 'arm',
  mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
})
const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const joints = [on('arm', 'foot', 'camera', 'hole'), on('cube', 'foot', 'arm', 'top')]
const taught = { value: 1, times: 1, last: '2026-11-17', shoot: 'the slip' }

testCheck(wasInTheWay, {
  speaks: [
    {
      name: 'where it was',
      message: 'there',
      level: 'hint',
      parts: ['arm'],
      ...tinyRig([arm, cube], joints, { learnt: { inTheWay: new Map([['arm/foot tiny-camera/hole', taught]]) } }),
    },
  ],
  silent: [
    {
      name: 'it sat elsewhere then',
      message: 'elsewhere',
      ...tinyRig([arm, cube], joints, { learnt: { inTheWay: new Map([['arm/foot tiny-camera/shoe', taught]]) } }),
    },
  ],
})
