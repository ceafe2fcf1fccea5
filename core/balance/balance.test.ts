import fc from 'fast-check'
import { placeSetup, type Rig, type Setup } from '../assembly/index.ts'
import { boundsOf, emptyBounds, unite } from '../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import { centreOfMass, groundOf, hangCure, hangOf, hangsOf, jointLoadsOf, massOf } from './index.ts'

const assembled = ({ rig, context }: ReturnType<typeof tinyRig>, setup = 0) =>
  placeSetup(rig, rig.setups[setup] as Setup, context.catalogue)
const cube = (id: string, more = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])], ...more })

test('1,000 g at the origin and 100 g at 50 mm up: 1,100 g at 4.5454 mm up', () => {
  const mass = massOf(assembled(tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])))
  expect(mass.totalG).toBe(1100)
  expect(mass.centre[1]).toBeCloseTo(50 / 11, 10)
})

test('a tripod head adds to the total but is not in the hand', () => {
  const head = tinyPart({ id: 'head', role: 'head', massG: 900, mounts: [plug('screw', 'thread-1/4')] })
  const mass = massOf(assembled(tinyRig([head], [on('head', 'screw', 'camera', 'hole')])))
  expect([mass.totalG, mass.inHandG]).toEqual([1900, 1000])
})

test('no pieces weigh nothing, at the origin', () => {
  expect(centreOfMass([])).toEqual({ massG: 0, centre: [0, 0, 0] })
})

const handle = (massG: number, palmBackMm: number) =>
  tinyPart({
    id: 'handle',
    massG,
    centre: [0, 0, palmBackMm],
    grips: [{ kind: 'top', at: [0, 60, palmBackMm] }],
    mounts: [plug('foot', 'thread-1/4', { travel: { along: [0, 0, -1], minMm: -40, maxMm: 40, stepMm: 1 } })],
  })

test('centre 100 mm under and 10 mm ahead of the palm: 5.71 degrees nose down', () => {
  const assembly = assembled(tinyRig([handle(1e-9, 10)], [on('handle', 'foot', 'camera', 'hole')]))
  const hang = hangOf(assembly, massOf(assembly))
  expect(hang?.tiltDeg).toBeCloseTo(5.7106, 4)
  expect([hang?.aheadMm, hang?.underMm]).toEqual([expect.closeTo(10, 6), expect.closeTo(100, 6)])
  expect(hang?.rollDeg).toBeCloseTo(0, 6)
})

test('without a top handle there is nothing to hang from', () => {
  const assembly = assembled(tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')]))
  expect(hangOf(assembly, massOf(assembly))).toBeUndefined()
})

test('the slide cure really levels, whatever the handle weighs', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: -25, max: 25 }), (massG, back) => {
      const tiny = tinyRig([handle(massG + 1, back)], [on('handle', 'foot', 'camera', 'hole')])
      const assembly = assembled(tiny)
      const mass = massOf(assembly)
      const hang = hangOf(assembly, mass)
      const cure = hang && hangCure(assembly, mass, hang)
      if (!hang || !cure) return Math.abs(hang?.tiltDeg ?? 0) < 0.6
      const joints = [on('handle', 'foot', 'camera', 'hole', { slideMm: cure.slideMm })]
      const after: Rig = { ...tiny.rig, setups: [{ ...(tiny.rig.setups[0] as Setup), joints }] }
      const moved = assembled({ rig: after, context: tiny.context })
      const left = hangOf(moved, massOf(moved))
      expect(left?.tiltDeg).toBeCloseTo(cure.tiltDeg, 6)
      return Math.abs(left?.tiltDeg ?? 90) < Math.abs(hang.tiltDeg) && Math.abs(left?.tiltDeg ?? 90) < 0.6
    }),
  )
})

test('0.5 kg carried 20 mm off the screw: 0.098 N m', () => {
  const arm = tinyPart({ id: 'arm', massG: 500, centre: [20, 10, 0], mounts: [plug('foot', 'thread-1/4')] })
  const assembly = assembled(tinyRig([arm], [on('arm', 'foot', 'camera', 'hole')]))
  const ground = groundOf(assembly, massOf(assembly), [])
  const loads = jointLoadsOf(assembly, ground, [], [])
  expect(loads.get('arm')?.twistNm).toBeCloseTo(0.0980665, 9)
  expect(loads.has('camera')).toBe(false)
})

test('the centre of mass of any pile lies within the box around it, and masses add', () => {
  const massG = fc.integer({ min: 1, max: 3000 })
  fc.assert(
    fc.property(
      fc.array(fc.tuple(massG, fc.integer({ min: -180, max: 180 })), { minLength: 1, maxLength: 8 }),
      (list) => {
        const parts = list.map(([mass], i) => cube(`c${i}`, { massG: mass }))
        const joints = list.map(([, turnDeg], i) =>
          on(`c${i}`, 'foot', i === 0 ? 'camera' : `c${i - 1}`, i === 0 ? 'hole' : 'top', { turnDeg }),
        )
        const assembly = assembled(tinyRig(parts, joints))
        const { totalG, centre } = massOf(assembly)
        const box = assembly.placed
          .flatMap(({ solids }) => solids)
          .reduce((all, { shape }) => unite(all, boundsOf(shape)), emptyBounds)
        expect(totalG).toBe(1000 + list.reduce((sum, [mass]) => sum + mass, 0))
        return centre.every((value, i) => value >= (box.min[i] ?? 0) - 1e-9 && value <= (box.max[i] ?? 0) + 1e-9)
      },
    ),
  )
})

test('of two top handles both are told, the one by which it hangs best first, whatever their order', () => {
  const bar = (id: string, palmBackMm: number) =>
    tinyPart({
      id,
      massG: 1e-9,
      grips: [{ kind: 'top', at: [0, 60, palmBackMm] }],
      mounts: [plug('foot', 'thread-1/4')],
    })
  const joints = [on('far', 'foot', 'camera', 'hole'), on('near', 'foot', 'camera', 'pinned')]
  const tilts = (order: typeof joints) => {
    const assembly = assembled(tinyRig([bar('far', 20), bar('near', 10)], order))
    return hangsOf(assembly, massOf(assembly)).map(({ handle: { part }, tiltDeg, rollDeg }) => [
      part.id,
      tiltDeg.toFixed(2),
      rollDeg.toFixed(2),
    ])
  }
  // 100 mm under the palms; near lies 25 mm to the right as well: 5.71 and 14.04 degrees together are more than the
  // 11.31 of the other.
  expect(tilts(joints)).toEqual([
    ['far', '11.31', '0.00'],
    ['near', '5.71', '-14.04'],
  ])
  expect(tilts([...joints].reverse())).toEqual(tilts(joints))
})
