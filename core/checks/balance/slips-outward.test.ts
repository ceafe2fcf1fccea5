import type { Vec3 } from '../../kernel/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { slipsOutward } from './slips-outward.ts'
import { testCheck } from '../tester.ts'
import { rad } from '../../testing/stand-rigs.ts'

/** A grip 60 mm to the left whose top leans in by so many degrees, so that its lower end points out. */
const leaning = (deg: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'grip',
        role: 'side-handle',
        grips: [{ kind: 'side', at: [-60, 0, 0], axis: [Math.sin(rad(deg)), Math.cos(rad(deg)), 0] }],
        mounts: [plug('foot', 'thread-1/4')],
      }),
    ],
    [on('grip', 'foot', 'camera', 'hole')],
  )

const barAlong = (axis: Vec3) =>
  tinyRig(
    [
      tinyPart({
        id: 'grip',
        role: 'side-handle',
        grips: [{ kind: 'side', at: [60, 0, 0], axis }],
        mounts: [plug('foot', 'thread-1/4')],
      }),
    ],
    [on('grip', 'foot', 'camera', 'hole')],
  )

testCheck(slipsOutward, {
  speaks: [
    {
      name: '40 degrees out',
      message: 'slips',
      level: 'hint',
      numbers: { outDeg: 40, mostDeg: 30 },
      parts: ['grip'],
      remedies: 1,
      ...leaning(40),
    },
  ],
  silent: [
    { name: 'exactly 30 degrees', message: 'holds', numbers: { outDeg: 30 }, ...leaning(30) },
    { name: 'the lower end points in', message: 'holds', numbers: { outDeg: -40 }, ...leaning(-40) },
    {
      name: 'level along the lens: no end is the lower',
      message: 'holds',
      numbers: { outDeg: 0 },
      ...barAlong([0, 0, 1]),
    },
    { name: 'the same with a zero below zero', message: 'holds', numbers: { outDeg: 0 }, ...barAlong([0, -0, -1]) },
  ],
})
