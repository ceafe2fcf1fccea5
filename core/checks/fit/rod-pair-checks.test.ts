import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { mixedRods } from './mixed-rods.ts'
import { rodsOverlong } from './rods-overlong.ts'
import { rodsShort } from './rods-short.ts'
import { testCheck } from '../tester.ts'

// The base's clamp stands 20 mm ahead of the sensor; from there the rods run ahead.
const base = tinyPart({
  id: 'base',
  role: 'base-plate',
  fits: ['tiny'],
  mounts: [
    plug('seat', 'body', { out: [0, 1, 0] }),
    socket('pair', 'rod-15-pair', [0, -10, -20], [0, 0, -1]),
    socket('single', 'rod-15', [30, -10, -20], [0, 0, -1]),
  ],
})
const pairOf = (id: string, lengthMm: number) =>
  tinyPart({
    id,
    role: 'rods',
    price: { low: lengthMm, usual: lengthMm, high: lengthMm },
    solids: [-30, 30].map((x) => ({
      kind: 'box' as const,
      centre: [x, 0, -lengthMm / 2] as const,
      size: [15, 15, lengthMm] as const,
      matter: 'body' as const,
    })),
    centre: [0, 0, -lengthMm / 2],
    mounts: [
      plug('end', 'rod-15-pair', { out: [0, 0, 1], up: [0, 1, 0] }),
      plug('above', 'rod-15-pair', {
        at: [0, 7.5, -lengthMm / 2],
        out: [0, 1, 0],
        carries: true,
        lengthMm,
        travel: { along: [0, 0, -1], minMm: 12 - lengthMm / 2, maxMm: lengthMm / 2 - 12, stepMm: 1 },
      }),
    ],
  })
const box = tinyPart({
  id: 'box',
  role: 'matte-box',
  solids: [{ kind: 'box', centre: [0, 40, -10], size: [100, 80, 20], matter: 'body' }],
  centre: [0, 40, -10],
  mounts: [socket('clamp', 'rod-15-pair', [0, 0, 0], [0, -1, 0], { lengthMm: 16 })],
})
/** A lens whose front stands 30 mm and its own length ahead of the sensor. */
const lens = (longMm: number) =>
  tinyPart({
    id: 'lens',
    role: 'lens',
    solids: [{ kind: 'box', centre: [0, 0, -longMm / 2], size: [40, 40, longMm], matter: 'body' }],
    mounts: [plug('bayonet', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' })],
  })
const seat = on('base', 'seat', 'camera', 'seat')
const boxed = (lensMm: number, rodsMm = 100, slideMm = 0, extra: ReturnType<typeof tinyPart>[] = []) =>
  tinyRig(
    [base, pairOf('pair', rodsMm), box, lens(lensMm)],
    [
      seat,
      on('pair', 'end', 'base', 'pair'),
      on('box', 'clamp', 'pair', 'above', { slideMm }),
      on('lens', 'bayonet', 'camera', 'lens'),
    ],
    { extra },
  )

// The box's back stands 20 + 50 mm ahead of the sensor, and the glass may reach 16 mm into it: 86 mm.
testCheck(rodsShort, {
  speaks: [
    {
      name: 'glass 90 mm ahead',
      message: 'short',
      level: 'stop',
      numbers: { shortMm: 4, glassMm: 90 },
      parts: ['box'],
      remedies: 2,
      ...boxed(60),
    },
    {
      name: 'glass 150 mm ahead: the rods end before, longer ones do',
      message: 'short',
      numbers: { shortMm: 64 },
      remedies: 2,
      ...boxed(120, 100, 0, [pairOf('long-pair', 200)]),
    },
  ],
  silent: [{ name: 'exactly as far as the glass may reach', message: 'ahead', numbers: { shortMm: 0 }, ...boxed(56) }],
})

// The clamp sits at the middle of 200 mm, half of its 16 mm beyond: 108 mm are used.
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
    { name: 'no shorter pair is known', message: 'long', remedies: 0, ...boxed(20, 200) },
  ],
  silent: [
    { name: 'exactly 60 mm beyond the clamp', message: 'right', numbers: { overMm: 60 }, ...boxed(20, 200, 32) },
  ],
})

const single = tinyPart({
  id: 'single',
  role: 'rods',
  mounts: [plug('end', 'rod-15', { out: [0, 0, 1], up: [0, 1, 0] })],
})

testCheck(mixedRods, {
  speaks: [
    {
      name: 'a pair and a single rod',
      message: 'two',
      level: 'hint',
      parts: ['pair', 'single'],
      ...tinyRig(
        [base, pairOf('pair', 100), single],
        [seat, on('pair', 'end', 'base', 'pair'), on('single', 'end', 'base', 'single')],
      ),
    },
  ],
  silent: [
    {
      name: 'a pair alone',
      message: 'one',
      ...tinyRig([base, pairOf('pair', 100)], [seat, on('pair', 'end', 'base', 'pair')]),
    },
  ],
})
