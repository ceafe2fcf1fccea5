import { GRAVITY } from '../../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { jointOverload } from './joint-overload.ts'
import { testCheck } from '../tester.ts'
import { head } from '../../testing/balance-rigs.ts'

const load = (massG: number) =>
  tinyRig(
    [tinyPart({ id: 'load', massG, mounts: [plug('foot', 'thread-1/4', { limitG: 400 })] })],
    [on('load', 'foot', 'camera', 'hole')],
  )

/** 100 g whose centre lies so far beside a joint that holds 0.05 N m. */
const reaching = (outMm: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'reach',
        centre: [outMm, 10, 0],
        mounts: [plug('foot', 'thread-1/4', { momentNm: 0.05, limitG: 500 })],
      }),
    ],
    [on('reach', 'foot', 'camera', 'hole')],
  )

const cubeOf = (massG: number, screws = 1) =>
  tinyPart({ id: 'cube', massG, mounts: [plug('foot', 'thread-1/4', { screws })] })

/** The camera with something heavy on top, on a 44 g plate by one screw, on a head. */
const standingOnPlate = (onTopG: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'plate',
        massG: 44,
        centre: [0, -5, 0],
        mounts: [
          plug('screw', 'thread-1/4', { out: [0, 1, 0] }),
          socket('dovetail', 'dovetail-38', [0, -10, 0], [0, -1, 0], { lengthMm: 50 }),
        ],
      }),
      head('head', 8000),
      tinyPart({ id: 'load', massG: onTopG, mounts: [plug('foot', 'shoe-cold', { limitG: 9000 })] }),
    ],
    [
      on('plate', 'screw', 'camera', 'tripod'),
      on('head', 'clamp', 'plate', 'dovetail'),
      on('load', 'foot', 'camera', 'shoe'),
    ],
    {
      setup: { support: 'tripod' },
      extra: [
        { ...tinyCamera, mounts: [...tinyCamera.mounts, socket('tripod', 'thread-1/4', [0, -40, 0], [0, -1, 0])] },
      ],
    },
  )

testCheck(jointOverload, {
  speaks: [
    {
      name: 'a gram over the screw’s rating',
      message: 'over',
      level: 'stop',
      numbers: { carriedG: 401, limitG: 400 },
      parts: ['load'],
      ...load(401),
    },
    {
      name: 'a gram over what is usual for one 1/4" screw',
      message: 'usual',
      level: 'risk',
      numbers: { carriedG: 3001, limitG: 3000 },
      ...tinyRig([cubeOf(3001)], [on('cube', 'foot', 'camera', 'hole')]),
    },
    {
      name: 'a plate screw on a tripod: the camera stands on it, 44 g of plate hang nowhere',
      message: 'usual',
      level: 'risk',
      numbers: { carriedG: 4000, limitG: 3000 },
      parts: ['plate'],
      ...standingOnPlate(3000),
    },
    {
      name: '100 g 100 mm out on a joint for 0.05 N m',
      message: 'droops',
      level: 'stop',
      numbers: { momentNm: GRAVITY * 0.01, ratedNm: 0.05 },
      ...reaching(100),
    },
  ],
  silent: [
    {
      name: 'exactly what is usual, and twice that on two screws',
      message: 'within',
      numbers: { carriedG: 6000, limitG: 6000 },
      ...tinyRig([cubeOf(6000, 2)], [on('cube', 'foot', 'camera', 'hole')]),
    },
    {
      name: 'a plate under 3,000 g on a tripod',
      message: 'within',
      numbers: { carriedG: 3000, limitG: 3000 },
      ...standingOnPlate(2000),
    },
    { name: 'exactly its rating', message: 'within', numbers: { carriedG: 400, limitG: 400 }, ...load(400) },
    {
      name: 'exactly the moment it holds',
      message: 'steady',
      numbers: { momentNm: 0.05 },
      ...reaching(50 / (0.1 * GRAVITY)),
    },
  ],
})
