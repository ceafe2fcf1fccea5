import fc from 'fast-check'
import { placeShape, type Shape, type Vec3 } from '../kernel/index.ts'
import { placed } from '../testing/view-rigs.ts'
import { tinyRig } from '../testing/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { type Corners, cornersIn, cornersOf, restOf, type Touching } from './index.ts'

const [camera] = placed(tinyRig([], [])).placed
const here = { at: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } as const
const thing = (shape: Shape, what: Touching['what'] = 'body'): Touching => {
  if (!camera) throw new Error('a camera')
  return { piece: camera, what, corners: cornersOf(placeShape(shape, here)) }
}
const pointsIn = ({ row }: Corners): readonly Vec3[] =>
  Array.from({ length: row.length / 3 }, (_, i): Vec3 => [row[3 * i] ?? 0, row[3 * i + 1] ?? 0, row[3 * i + 2] ?? 0])
/** A post of 20 x 20 x 100 mm, and an arm to its right whose underside is 80 mm up and whose end is 100 mm off. */
const post = thing({ kind: 'box', centre: [0, 50, 0], size: [20, 100, 20] })
const arm = thing({ kind: 'box', centre: [60, 90, 0], size: [100, 20, 20] }, 'screen')

test('what stands, stands as it was put down', () => {
  expect(restOf([post, arm], [5, 60, 0])).toMatchObject({ tiltDeg: 0, on: [{ what: 'body' }] })
})

test('a post with its mass out on an arm turns about its edge until the end of the arm is down', () => {
  const { tiltDeg, on } = restOf([post, arm], [40, 80, 0])
  expect(tiltDeg).toBeCloseTo((Math.atan(80 / 100) * 180) / Math.PI, 9)
  expect(on.map(({ what }) => what).sort()).toEqual(['body', 'screen'])
})

test('it rolls on over edge after edge until its mass lies inside', () => {
  // A plank of 10 x 100 mm over a foot whose right edge lies 1 mm right of the plank's middle; its mass lies 3 right and
  // 60 up. It turns by atan (10 / 4) onto the plank's own edge, and from there flat: a right angle in all.
  const plank = thing({ kind: 'box', centre: [0, 60, 0], size: [10, 100, 60] })
  const foot = thing({ kind: 'box', centre: [-2, 5, 0], size: [6, 10, 60] })
  const { tiltDeg, on } = restOf([plank, foot], [3, 60, 0])
  expect(tiltDeg).toBeCloseTo(90, 9)
  expect(on).toHaveLength(1)
})

test('wherever the mass is inside, it lies still within half a turn', () => {
  for (let i = 0; i < 60; i++) {
    // Anywhere inside the post, or inside the arm.
    const at =
      i % 2
        ? ([9 * Math.sin(i), 50 + 49 * Math.cos(2 * i), 9 * Math.sin(3 * i)] as const)
        : ([60 + 49 * Math.sin(i), 90 + 9 * Math.cos(2 * i), 9 * Math.sin(3 * i)] as const)
    const { tiltDeg, on } = restOf([post, arm], at)
    expect(tiltDeg).toBeLessThanOrEqual(180)
    expect(on.length).toBeGreaterThan(0)
  }
})

test('what boxes tell of corners changes nothing: it rolls as if all corners were looked at', () => {
  const of = (min: number, max: number) => fc.integer({ min, max })
  const box = fc.record({
    centre: fc.tuple(of(-200, 200), of(0, 300), of(-200, 200)),
    size: fc.tuple(of(4, 90), of(4, 90), of(4, 90)),
  })
  fc.assert(
    fc.property(fc.array(box, { minLength: 1, maxLength: 12 }), (boxes) => {
      const all = boxes.map((one) => thing({ kind: 'box', ...one }))
      const [first] = all
      if (!first) throw new Error('one box at least')
      const asOne: Touching = { ...first, corners: cornersIn(all.flatMap(({ corners }) => pointsIn(corners))) }
      const mean = (k: 0 | 1 | 2) => boxes.reduce((sum, { centre }) => sum + centre[k], 0) / boxes.length
      const mass = [mean(0), mean(1), mean(2)] as const
      expect(restOf(all, mass).tiltDeg).toBeCloseTo(restOf([asOne], mass).tiltDeg, 6)
    }),
    { numRuns: trialRuns(200), seed: trialSeed },
  )
})
