import fc from 'fast-check'
import { type Assembly, placeSetup, type PlacedPart, type Setup } from '../assembly/index.ts'
import { GRAVITY, subtract, type Vec3 } from '../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../testing/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { groundOf, type JointLoad, jointLoadsOf, type LeadWeight, massOf, secondShare, wristNm } from './index.ts'

const assembled = ({ rig, context }: ReturnType<typeof tinyRig>) =>
  placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
const at = (assembly: Assembly, id: string) => assembly.byInstance.get(id) as PlacedPart
const loadOf = (assembly: Assembly, id: string, leads: readonly LeadWeight[] = []): JointLoad =>
  jointLoadsOf(assembly, groundOf(assembly, massOf(assembly, leads), leads), leads, assembly.braces).get(
    id,
  ) as JointLoad

/** A handle of next to no mass whose palm lies where it is said, from the camera's middle. */
const grip = (id: string, kind: 'top' | 'side' | 'shoulder', palm: Vec3, massG = 1e-9) =>
  tinyPart({
    id,
    role: 'side-handle',
    massG,
    grips: [{ kind, at: subtract(palm, [0, 40, 0]) }],
    mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
  })
const inTwoHands = (left: Vec3, right: Vec3, centre: Vec3 = [0, 0, 0]) =>
  assembled(
    tinyRig(
      [grip('left', 'side', left), grip('right', 'side', right)],
      [on('left', 'foot', 'camera', 'hole'), on('right', 'foot', 'camera', 'second')],
      {
        setup: { support: 'two-hand' },
        extra: [{ ...tinyCamera, centre, mounts: [...tinyCamera.mounts, socket('second', 'thread-1/4', [0, 40, 0])] }],
      },
    ),
  )

test('two hands share by level levers: a slanted line between them makes no difference', () => {
  // 100 mm apart on the level and 100 mm in height, the centre 90 mm from the left one: 10 : 90, as when both are
  // level.
  expect(secondShare([-90, 0, 0], [10, 0, 0], [0, 0, 0])).toBeCloseTo(0.9, 12)
  expect(secondShare([-90, -50, 0], [10, 50, 0], [0, 400, 0])).toBeCloseTo(0.9, 12)
  const { bearings } = groundOf(
    inTwoHands([-90, -50, 0], [10, 50, 0]),
    massOf(inTwoHands([-90, -50, 0], [10, 50, 0])),
    [],
  )
  expect(bearings.map(({ share }) => share)).toEqual([expect.closeTo(0.1, 6), expect.closeTo(0.9, 6)])
})

test('the centre off the line between the palms is a moment for the wrists, in proportion to what they carry', () => {
  // 1 kg 40 mm ahead of the line: 0.39 N m, 30 % of it left, 70 % right.
  const assembly = inTwoHands([-70, 0, 0], [30, 0, 0], [0, 0, -40])
  const ground = groundOf(assembly, massOf(assembly), [])
  expect(ground.bearings.map((bearing) => wristNm(ground, bearing))).toEqual([
    expect.closeTo(0.3 * GRAVITY * 0.04, 6),
    expect.closeTo(0.7 * GRAVITY * 0.04, 6),
  ])
})

test('palms one over the other share alike and hold the rest with the wrists', () => {
  const assembly = inTwoHands([-50, -60, 0], [-50, 60, 0])
  const ground = groundOf(assembly, massOf(assembly), [])
  expect(ground.bearings.map(({ share }) => share)).toEqual([0.5, 0.5])
  expect(wristNm(ground, ground.bearings[0] as never)).toBeCloseTo(0.5 * GRAVITY * 0.05, 6)
})

test('a handle that is held carries the rig by its joint; a cube on the camera carries itself', () => {
  const assembly = assembled(
    tinyRig(
      [
        grip('handle', 'top', [0, 100, 0], 150),
        tinyPart({ id: 'cube', massG: 400, mounts: [plug('foot', 'thread-1/4')] }),
      ],
      [on('handle', 'foot', 'camera', 'hole'), on('cube', 'foot', 'camera', 'pinned')],
    ),
  )
  expect(loadOf(assembly, 'handle')).toMatchObject({ far: 'host', massG: expect.closeTo(1400, 9) })
  expect(loadOf(assembly, 'cube')).toMatchObject({ far: 'guest', massG: 400 })
  // The camera hangs 40 mm under its hole; the cube's centre lies 25 mm beside it: 400 x 25 g mm bend the handle's
  // joint.
  expect(loadOf(assembly, 'handle').momentNm).toBeCloseTo((GRAVITY * 400 * 25) / 1e6, 9)
})

test('a second screw 40 mm away takes half of what hangs between, all of what hangs under it', () => {
  const plate = (centreX: number) =>
    assembled(
      tinyRig(
        [
          tinyPart({
            id: 'plate',
            massG: 600,
            centre: [centreX, 10, 0],
            mounts: [plug('a', 'thread-1/4'), plug('b', 'thread-1/4', { at: [25, 0, 0] })],
          }),
        ],
        [on('plate', 'a', 'camera', 'hole')],
        { setup: { braces: [on('plate', 'b', 'camera', 'pinned')] } },
      ),
    )
  expect(loadOf(plate(12.5), 'plate')).toMatchObject({ massG: expect.closeTo(300, 6), holds: 2 })
  expect(loadOf(plate(25), 'plate').massG).toBeCloseTo(0, 6)
})

test('a lead hangs half on either of the pieces it joins', () => {
  const assembly = assembled(
    tinyRig(
      [tinyPart({ id: 'cube', massG: 100, mounts: [plug('foot', 'thread-1/4')] })],
      [on('cube', 'foot', 'camera', 'hole')],
    ),
  )
  const lead: LeadWeight = { massG: 60, at: [30, 50, 0], ends: [at(assembly, 'camera'), at(assembly, 'cube')] }
  const load = loadOf(assembly, 'cube', [lead])
  expect(load.massG).toBeCloseTo(130, 9)
  expect(load.momentNm).toBeCloseTo((GRAVITY * 30 * 30) / 1e6, 9)
})

test('a pad and the hand ahead of it: 2 kg 60 mm ahead of the pad, the hand 200 mm ahead, 600 g in it', () => {
  const assembly = assembled(
    tinyRig(
      [grip('pad', 'shoulder', [0, -60, 60], 500), grip('grip', 'side', [0, 0, -140], 500)],
      [on('pad', 'foot', 'camera', 'hole'), on('grip', 'foot', 'camera', 'pinned')],
      { setup: { support: 'shoulder' } },
    ),
  )
  const mass = massOf(assembly)
  const ground = groundOf(assembly, mass, [])
  expect(ground.bearings.map(({ by }) => by)).toEqual(['pad', 'hand'])
  const [, hand] = ground.bearings
  const pad = ground.bearings[0]
  // Moments about the pad, level plane, the line between the two bearings runs 25 mm to the side.
  const line = [(hand?.at[0] ?? 0) - (pad?.at[0] ?? 0), (hand?.at[2] ?? 0) - (pad?.at[2] ?? 0)] as const
  const off = [mass.centre[0] - (pad?.at[0] ?? 0), mass.centre[2] - (pad?.at[2] ?? 0)] as const
  expect(hand?.share).toBeCloseTo((line[0] * off[0] + line[1] * off[1]) / (line[0] ** 2 + line[1] ** 2), 9)
})

// Random rigs of the tiny camera: a tree of cubes, each on one before it, turned and weighed at random.

interface Wild {
  readonly massG: number
  readonly on: number
  readonly turnDeg: number
  readonly centre: Vec3
}
const wilds = fc.array(
  fc.record({
    massG: fc.integer({ min: 1, max: 2000 }),
    on: fc.nat(7),
    turnDeg: fc.integer({ min: -180, max: 180 }),
    centre: fc.tuple(
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: -40, max: 40 }),
    ),
  }),
  { minLength: 2, maxLength: 8 },
)
const SIDES: readonly Vec3[] = [
  [0, 20, 0],
  [10, 10, 0],
  [0, 10, 10],
]
const wildRig = (list: readonly Wild[], palmOn: number, times = 1, raiseMm = 0) => {
  const parts = list.map(({ massG, centre }, i) =>
    tinyPart({
      id: `c${i}`,
      massG: massG * times,
      centre,
      grips: i === palmOn ? [{ kind: 'side', at: [0, 30, 0] }] : [],
      mounts: [
        plug('foot', 'thread-1/4'),
        ...SIDES.map((side, n) =>
          socket(`s${n}`, 'thread-1/4', side, n === 0 ? [0, 1, 0] : n === 1 ? [1, 0, 0] : [0, 0, 1]),
        ),
      ],
    }),
  )
  const joints = list.map(({ on: host, turnDeg }, i) =>
    i === 0
      ? on('c0', 'foot', 'camera', 'hole', { turnDeg })
      : on(`c${i}`, 'foot', `c${host % i}`, `s${(i * 7 + host) % 3}`, { turnDeg }),
  )
  return assembled(
    tinyRig(parts, joints, { extra: [{ ...tinyCamera, massG: tinyCamera.massG * times, centre: [0, raiseMm, 0] }] }),
  )
}
const random = (numRuns: number) => ({ numRuns: trialRuns(numRuns), seed: trialSeed })

/**
 * The same loads found another way: hang the tree of joints up by the piece that is held, and add up from the leaves
 * what each joint has below it.
 */
const oracle = (
  assembly: Assembly,
  heldId: string,
): Map<string, { readonly massG: number; readonly x: number; readonly z: number }> => {
  const near = new Map<string, { readonly other: string; readonly guest: string }[]>()
  for (const { host, instance } of assembly.placed)
    if (host)
      for (const [a, b] of [
        [host.instance.id, instance.id],
        [instance.id, host.instance.id],
      ] as const)
        near.set(a, [...(near.get(a) ?? []), { other: b, guest: instance.id }])
  const found = new Map<string, { massG: number; x: number; z: number }>()
  const below = (id: string, from: string): { massG: number; x: number; z: number } => {
    const { part, centre } = at(assembly, id)
    let sum = { massG: part.massG, x: part.massG * centre[0], z: part.massG * centre[2] }
    for (const { other, guest } of near.get(id) ?? []) {
      if (other === from) continue
      const more = below(other, id)
      found.set(guest, more)
      sum = { massG: sum.massG + more.massG, x: sum.x + more.x, z: sum.z + more.z }
    }
    return sum
  }
  below(heldId, '')
  return found
}

test('every joint of random rigs held by any one piece: mass and moment as found by hanging the tree up there', () => {
  fc.assert(
    fc.property(wilds, fc.nat(7), (list, palm) => {
      const palmOn = palm % list.length
      const assembly = wildRig(list, palmOn)
      for (const [guest, { massG, x, z }] of oracle(assembly, `c${palmOn}`)) {
        const load = loadOf(assembly, guest)
        const piece = at(assembly, guest)
        const face = piece.frame.at
        expect(load.massG).toBeCloseTo(massG, 6)
        expect(load.momentNm).toBeCloseTo((GRAVITY * Math.hypot(x - massG * face[0], z - massG * face[2])) / 1e6, 9)
      }
    }),
    random(60),
  )
})

test('twice the mass doubles every load and moment; a weightless piece changes none; raising the centre changes no share', () => {
  fc.assert(
    fc.property(wilds, fc.nat(7), fc.integer({ min: -60, max: 60 }), (list, palm, raiseMm) => {
      const palmOn = palm % list.length
      const [once, twice] = [wildRig(list, palmOn), wildRig(list, palmOn, 2)]
      const more = wildRig([...list, { massG: 1e-12, on: 3, turnDeg: 0, centre: [0, 10, 0] }], palmOn)
      list.forEach((_, i) => {
        const [a, b, c] = [loadOf(once, `c${i}`), loadOf(twice, `c${i}`), loadOf(more, `c${i}`)]
        expect(b.massG).toBeCloseTo(2 * a.massG, 5)
        expect(b.momentNm).toBeCloseTo(2 * a.momentNm, 9)
        expect(b.twistNm).toBeCloseTo(2 * a.twistNm, 9)
        expect(c.massG).toBeCloseTo(a.massG, 6)
        expect(c.twistNm).toBeCloseTo(a.twistNm, 9)
      })
      const shares = (rig: Assembly) => groundOf(rig, massOf(rig), []).bearings.map(({ share }) => share)
      expect(shares(wildRig(list, palmOn, 1, raiseMm))).toEqual(shares(once))
    }),
    random(40),
  )
})

test('what two hands carry makes the whole, and forces and moments cancel, wherever the palms are', () => {
  const place = fc.tuple(
    fc.integer({ min: -200, max: 200 }),
    fc.integer({ min: -200, max: 200 }),
    fc.integer({ min: -200, max: 200 }),
  )
  fc.assert(
    fc.property(place, place, (left, right) => {
      const assembly = inTwoHands(left, right)
      const mass = massOf(assembly)
      const ground = groundOf(assembly, mass, [])
      const held = ground.bearings.reduce((sum, { share }) => sum + share, 0)
      expect(held).toBeCloseTo(1, 9)
      const moment = (axis: 0 | 2) =>
        ground.bearings.reduce(
          (sum, { at: palm, share }) => sum - share * ground.massG * palm[axis],
          mass.centre[axis] * ground.massG,
        ) - ground.left[axis]
      expect([moment(0), moment(2)]).toEqual([expect.closeTo(0, 3), expect.closeTo(0, 3)])
    }),
    random(100),
  )
})
