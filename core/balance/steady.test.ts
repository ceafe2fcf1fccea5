import fc from 'fast-check'
import { placeSetup, type Setup } from '../assembly/index.ts'
import { GRAVITY } from '../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import {
  holdMinutes,
  inertiaOf,
  massOf,
  rohmertMinutes,
  shoulderNm,
  steadinessOf,
  strengthFrom,
  secondShare,
  twoHandsOf,
} from './index.ts'

const assembled = ({ rig, context }: ReturnType<typeof tinyRig>) =>
  placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
const cube = (id: string, more = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])], ...more })

test('a 100 g cube of 20 mm about its middle: m a^2 / 6 = 6,667 g mm^2', () => {
  const piece = assembled(tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])).byInstance.get('one')
  const inertia = inertiaOf([piece as never], [0, 50, 0])
  for (const value of Object.values(inertia)) expect(value).toBeCloseTo(6666.667, 2)
})

test('30 mm beside the middle the parallel-axis theorem adds m d^2 = 90,000', () => {
  const piece = assembled(tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])).byInstance.get('one')
  const { pitch, yaw, roll } = inertiaOf([piece as never], [30, 50, 0])
  expect([pitch, yaw, roll]).toEqual([
    expect.closeTo(6666.667, 2),
    expect.closeTo(96666.667, 2),
    expect.closeTo(96666.667, 2),
  ])
})

test('a cylinder of 60 g, radius 10, length 30 along z: roll m r^2/2, pitch m(r^2/4 + l^2/12)', () => {
  const rod = tinyPart({
    id: 'rod',
    massG: 60,
    centre: [0, 10, 0],
    solids: [{ kind: 'cylinder', centre: [0, 10, 0], axis: [0, 0, 1], radius: 10, length: 30, matter: 'body' }],
    mounts: [plug('foot', 'thread-1/4')],
  })
  const piece = assembled(tinyRig([rod], [on('rod', 'foot', 'camera', 'hole')])).byInstance.get('rod')
  const { pitch, roll } = inertiaOf([piece as never], [0, 50, 0])
  expect([roll, pitch]).toEqual([expect.closeTo(3000, 6), expect.closeTo(60 * (25 + 75), 6)])
})

test('the bare camera is as steady as itself; adding mass never makes it shakier about the same grip', () => {
  const bare = assembled(tinyRig([], []))
  const camera = bare.placed[0] as never
  expect(steadinessOf(bare.placed, [0, 0, 0], camera)).toEqual({ pitch: 1, yaw: 1, roll: 1, shift: 1 })
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 2000 }), (massG) => {
      const { placed } = assembled(tinyRig([cube('one', { massG })], [on('one', 'foot', 'camera', 'hole')]))
      const steady = steadinessOf(placed, [0, 0, 0], placed[0] as never)
      return steady.pitch < 1 && steady.yaw <= 1 && steady.roll < 1 && steady.shift < 1
    }),
  )
})

test('a handle of no mass changes nothing, wherever the palm comes to lie; a lead counts where it hangs', () => {
  const [camera] = assembled(tinyRig([], [])).placed as never as [never]
  const rig = assembled(tinyRig([cube('one', { massG: 1e-12 })], [on('one', 'foot', 'camera', 'hole')])).placed
  for (const palm of [
    [0, 0, 0],
    [0, 120, 30],
    [-80, -40, 10],
  ] as const)
    for (const ratio of Object.values(steadinessOf(rig, palm, camera))) expect(ratio).toBeCloseTo(1, 9)
  // 1 kg of 100 x 80 x 60 mm about its middle, pitch: 1000 (80^2 + 60^2) / 12 g mm^2; a lead of 50 g 100 mm ahead adds
  // 50 x 100^2.
  const bare = (1000 * (80 ** 2 + 60 ** 2)) / 12
  expect(steadinessOf(rig, [0, 0, 0], camera, [{ massG: 50, at: [0, 0, -100] }]).pitch).toBeCloseTo(
    bare / (bare + 500_000),
    9,
  )
})

test('Rohmert: half strength 1.1 min, 7.9 % an hour, full strength not at all, never longer for more, and no step at 15 %', () => {
  expect(rohmertMinutes(0.5)).toBeCloseTo(-1.5 + 4.2 - 2.4 + 0.8, 9)
  expect([rohmertMinutes(0), rohmertMinutes(1), rohmertMinutes(1.4)]).toEqual([Infinity, 0, 0])
  expect(rohmertMinutes(0.079)).toBeCloseTo(60, 9)
  expect(rohmertMinutes(0.15 - 1e-9)).toBeCloseTo(rohmertMinutes(0.15), 6)
  fc.assert(
    fc.property(fc.double({ min: 0.02, max: 0.98, noNaN: true }), (f) => rohmertMinutes(f + 0.01) <= rohmertMinutes(f)),
  )
})

test('2 kg in two hands at 320 mm: 1 kg each plus half an arm of 3.5 kg', () => {
  expect(shoulderNm(2000, 'two-hand')).toBeCloseTo(GRAVITY * (1 * 0.32 + 3.5 * 0.16), 9)
})

test('a timed hold gives back the strength it was made with; nonsense gives none', () => {
  const operator = { strengthNm: 42, armMassG: 3500 }
  const minutes = holdMinutes(4000, 'two-hand', operator)
  expect(strengthFrom(4000, 'two-hand', minutes)).toBeCloseTo(42, 4)
  expect([
    strengthFrom(4000, 'two-hand', 0),
    strengthFrom(4000, 'two-hand', Number.NaN),
    strengthFrom(4000, 'two-hand', 500),
  ]).toEqual([undefined, undefined, undefined])
})

test('two hands share by the lever rule: grips 100 and 50 mm from the centre carry 1/3 and 2/3', () => {
  const grip = (id: string, x: number) =>
    tinyPart({ id, massG: 1e-9, grips: [{ kind: 'side', at: [x, -40, 0] }], mounts: [plug('foot', 'thread-1/4')] })
  const assembly = assembled(
    tinyRig([grip('l', -100), grip('r', 25)], [on('l', 'foot', 'camera', 'hole'), on('r', 'foot', 'camera', 'pinned')]),
  )
  const hands = twoHandsOf(assembly)
  if (!hands) throw new Error('two grips')
  expect(hands.spreadMm).toBeCloseTo(150, 6)
  expect(secondShare(hands.left.at, hands.right.at, massOf(assembly).centre)).toBeCloseTo(2 / 3, 6)
  expect(twoHandsOf(assembled(tinyRig([], [])))).toBeUndefined()
})
