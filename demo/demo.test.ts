import { emptySetup, placeSetup, soundnessIssues } from '@zucchini/core/assembly'
import { evaluate } from '@zucchini/core/assess'
import { bagRoles, catalogueOf, isStandard, mate, standardOf, type Part, partSchema } from '@zucchini/core/catalogue'
import { clashDepth } from '@zucchini/core/clearance'
import { distanceToSeat, SURFACE_MM, volumeOf } from '@zucchini/core/kernel'
import { on } from '../core/testing/index.ts'
import { demoParts } from './catalogue/index.ts'
import { demoLocker, demoRigs, firstMark, secondMark } from './scenario/index.ts'

const catalogue = catalogueOf(demoParts)
const shelf = { catalogue, owned: new Map(Object.entries(demoLocker)) }
const LIGHTEST = 0.05
const BRASS = 8.6
/** A rod pair's mount lies midway between the rods, off both skins. */
const BETWEEN_RODS_MM = 30

const ends = demoParts.flatMap((part) => part.mounts.map((mount) => ({ part, mount })))

describe.each(demoParts.map((part) => [part.id, part] as const))('%s', (_, part) => {
  test('is complete', () => expect(partSchema.parse(part)).toEqual(part))
  test('is about as dense as real things are', () => {
    const density = part.massG / (part.solids.reduce((sum, solid) => sum + volumeOf(solid), 0) / 1000)
    expect(density).toBeGreaterThan(LIGHTEST)
    expect(density).toBeLessThan(BRASS)
  })
  test('has its mounts on its skin, of standards that exist', () => {
    for (const mount of part.mounts) {
      expect(isStandard(mount.standard)).toBe(true)
      expect(Math.min(...part.solids.map((solid) => distanceToSeat(solid, mount.at)))).toBeLessThanOrEqual(
        standardOf(mount.standard).kind === 'rods' ? BETWEEN_RODS_MM : SURFACE_MM,
      )
      expect(
        Math.abs(mount.out[0] * mount.up[0] + mount.out[1] * mount.up[1] + mount.out[2] * mount.up[2]),
      ).toBeLessThan(1e-6)
    }
  })
  test('has a partner for every mount, and something to sit on', () => {
    for (const mount of part.mounts)
      expect([mount.id, ends.some((other) => other.part !== part && mate({ part, mount }, other).ok)]).toEqual([
        mount.id,
        true,
      ])
    if (part.role !== 'camera' && !bagRoles.has(part.role)) expect(part.mounts.length).toBeGreaterThan(0)
  })
  test('has a centre of mass inside its bounds', () => {
    const spans = [0, 1, 2].map((i) =>
      part.solids.map((solid) =>
        solid.kind === 'box'
          ? [solid.centre[i as 0] - solid.size[i as 0] / 2, solid.centre[i as 0] + solid.size[i as 0] / 2]
          : [solid.centre[i as 0] - solid.radius - solid.length, solid.centre[i as 0] + solid.radius + solid.length],
      ),
    )
    part.centre.forEach((value, i) => {
      expect(value).toBeGreaterThanOrEqual(Math.min(...(spans[i] ?? []).map(([low]) => low ?? 0)))
      expect(value).toBeLessThanOrEqual(Math.max(...(spans[i] ?? []).map(([, high]) => high ?? 0)))
    })
  })
})

test('there are enough parts to choose from, and no id twice', () => {
  expect(demoParts.length).toBeGreaterThanOrEqual(240)
  expect(catalogue.parts.size).toBe(demoParts.length)
  const count = (role: Part['role']) => catalogue.byRole.get(role)?.length ?? 0
  const atLeast: Partial<Record<Part['role'], number>> = {
    camera: 8,
    lens: 14,
    'lens-adapter': 5,
    cage: 14,
    rods: 10,
    'top-handle': 8,
    'side-handle': 6,
    monitor: 8,
    receiver: 4,
    'matte-box': 4,
    battery: 10,
    charger: 3,
    dummy: 2,
    card: 4,
    light: 3,
    transmitter: 2,
    converter: 2,
    adapter: 12,
    gimbal: 2,
    slider: 2,
    'shoulder-pad': 2,
    case: 6,
    tool: 8,
    tether: 2,
  }
  for (const [role, wanted] of Object.entries(atLeast))
    expect([role, count(role as Part['role']) >= wanted]).toEqual([role, true])
})

test('every cage seats on the bodies it is made for without touching them, every lens on its mount', () => {
  const pairs = ends
    .filter(
      ({ part, mount }) => part.role === 'camera' && (mount.standard === 'body' || mount.standard === 'lens-mount'),
    )
    .flatMap((host) =>
      ends
        .filter(
          (guest) =>
            guest.part !== host.part &&
            ['cage', 'lens', 'lens-adapter'].includes(guest.part.role) &&
            mate(host, guest).ok,
        )
        .map((guest) => ({ host, guest })),
    )
  expect(pairs.length).toBeGreaterThan(12)
  for (const { host, guest } of pairs) {
    const rig = {
      ...firstMark,
      kit: [
        { id: 'camera', partId: host.part.id, status: 'in' as const },
        { id: 'guest', partId: guest.part.id, status: 'in' as const },
      ],
    }
    const setup = {
      ...emptySetup,
      joints: [on('guest', guest.mount.id, 'camera', host.mount.id)],
    }
    const [camera, piece] = placeSetup({ ...rig, setups: [setup] }, setup, catalogue).placed
    expect([guest.part.id, clashDepth(camera as never, piece as never)]).toEqual([guest.part.id, 0])
  }
})

test('the locker and the rigs name parts that exist', () => {
  for (const id of Object.keys(demoLocker)) expect([id, catalogue.parts.has(id)]).toEqual([id, true])
  for (const rig of demoRigs) expect(soundnessIssues(rig, catalogue)).toEqual([])
})

test('the first mark has its honest problems', () => {
  const found = evaluate(firstMark, 'crossing', shelf).findings
  const said = new Set(found.map(({ check }) => check))
  for (const check of [
    'mount-mismatch',
    'mount-taken',
    'single-screw',
    'shoe-overload',
    'over-budget',
    'joint-overload',
    'hang-roll',
    'over-mass',
    'too-tall',
    'monitor-too-high',
    'untethered-overhead',
    'hang-tilt',
    'need-unmet',
    'loose-part',
    'cable-short',
    'wrong-ends',
    'runtime-short',
    'record-time-short',
  ])
    expect([check, said.has(check)]).toEqual([check, true])
  expect(found.filter(({ level }) => level === 'stop').length).toBeGreaterThanOrEqual(4)
})

/** Hints that the operator of the second mark lives with. */
const lived = new Set([
  'hang-roll leans',
  'lead-over-grip over',
  'need-unmet elsewhere',
  'stands-crooked falls',
  'stands-crooked leans',
])

test('the second mark solves them: no stop and no risk is left, and every cap is kept', () => {
  for (const setup of secondMark.setups) {
    const { findings, mass, cost, size } = evaluate(secondMark, setup.id, shelf)
    expect(findings.filter(({ level }) => level !== 'hint').map(({ check }) => check)).toEqual([])
    expect(findings.map(({ check, message }) => `${check} ${message}`).filter((said) => !lived.has(said))).toEqual([])
    expect(mass.inHandG).toBeLessThanOrEqual(setup.capG || 2600)
    expect(cost.usual).toBeLessThanOrEqual(90_000)
    expect(size.tallMm).toBeLessThanOrEqual(340)
  }
})
