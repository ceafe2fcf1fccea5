import fc from 'fast-check'
import {
  crosses,
  identity,
  isBeside,
  type Placed,
  placeShape,
  point,
  type Pyramid,
  reachInto,
  turnAbout,
  type Vec3,
} from './index.ts'

const cube = (centre: Vec3, size = 10): Placed =>
  placeShape({ kind: 'box', centre, size: [size, size, size] }, identity)
const bar = (centre: Vec3, axis: Vec3, length: number, radius: number): Placed =>
  placeShape({ kind: 'cylinder', centre, axis, length, radius }, identity)
/** From the origin ahead, 45 degrees to every side. */
const view: Pyramid = {
  apex: [0, 0, 0],
  edges: [
    [-1, -1, -1],
    [1, -1, -1],
    [1, 1, -1],
    [-1, 1, -1],
  ],
}

test('how far a cube stands into a view', () => {
  // The upper side leans 45 degrees: a cube 60 up and 50 ahead is (60 - 50 - 10) / sqrt 2 from it, on neither side.
  expect(reachInto(view, cube([0, 60, -50]))).toBeCloseTo(0, 9)
  expect(reachInto(view, cube([0, 50, -50]))).toBeCloseTo(10 / Math.SQRT2, 9)
  expect(reachInto(view, cube([0, 0, 20]))).toBeLessThan(0)
  expect(reachInto(view, cube([0, 0, -50]))).toBeGreaterThan(30)
})

test('a round bar beside the view, and one across it', () => {
  expect(reachInto(view, bar([0, 60, -50], [1, 0, 0], 40, 10 / Math.SQRT2))).toBeCloseTo(0, 6)
  expect(reachInto(view, bar([0, 100, -50], [0, 0, 1], 40, 5))).toBeLessThan(0)
  expect(reachInto(view, bar([0, 20, -50], [1, 0, 0], 200, 5))).toBeGreaterThan(5)
})

test('a point inside the view and inside a shape is never outside by the separating axes', () => {
  const some = fc.integer({ min: -60, max: 60 })
  fc.assert(
    fc.property(
      fc.tuple(some, some, fc.integer({ min: -120, max: -5 })),
      fc.integer({ min: 0, max: 180 }),
      fc.integer({ min: 4, max: 40 }),
      (at, deg, size) => {
        const frame = turnAbout([0.6, 0, 0.8], deg, at)
        const box = placeShape({ kind: 'box', centre: at, size: [size, size / 2, size] }, frame)
        const corners = [-0.49, 0.49].flatMap((x) =>
          [-0.49, 0.49].flatMap((y) =>
            [-0.49, 0.49].map((z) => point(frame, [at[0] + x * size, at[1] + (y * size) / 2, at[2] + z * size])),
          ),
        )
        const inside = corners.some(([x, y, z]) => z < 0 && Math.abs(x) < -z && Math.abs(y) < -z)
        if (inside) expect(reachInto(view, box)).toBeGreaterThan(0)
      },
    ),
  )
})

test('a line of sight meets a cube and a bar, or passes', () => {
  const before: Vec3 = [0, 0, -20]
  expect(crosses(before, [0, 0, 20], cube([0, 0, 0]))).toBe(true)
  expect(crosses([0, 6, -20], [0, 6, 20], cube([0, 0, 0]))).toBe(false)
  expect(crosses(before, [0, 0, -10], cube([0, 0, 0]))).toBe(false)
  expect(crosses([4.9, 0, -20], [4.9, 0, 20], bar([0, 0, 0], [0, 1, 0], 10, 5))).toBe(true)
  expect(crosses([5.1, 0, -20], [5.1, 0, 20], bar([0, 0, 0], [0, 1, 0], 10, 5))).toBe(false)
  expect(crosses([0, 20, 0], [0, -20, 0], bar([0, 0, 0], [0, 1, 0], 10, 5))).toBe(true)
  expect(crosses([0, 20, 0], [0, 5.1, 0], bar([0, 0, 0], [0, 1, 0], 10, 5))).toBe(false)
})

test('what is beside a view by one of its sides cuts no line of sight in it; what stands in it is not beside it', () => {
  // 60 up and 50 ahead it touches the upper side, 61 up it is off it by 0.7.
  expect([isBeside(view, cube([0, 60, -50])), isBeside(view, cube([0, 61, -50]))]).toEqual([false, true])
  const some = fc.integer({ min: -120, max: 120 })
  const share = fc.double({ min: -1, max: 1, noNaN: true })
  let beside = 0
  fc.assert(
    fc.property(
      fc.tuple(some, some, some),
      fc.integer({ min: 4, max: 60 }),
      fc.boolean(),
      fc.array(fc.tuple(share, share), { minLength: 20, maxLength: 20 }),
      (at, size, isRound, lines) => {
        const shape = isRound ? bar(at, [0, 0, 1], size, size / 3) : cube(at, size)
        if (!isBeside(view, shape)) return
        beside++
        for (const [x, y] of lines) expect(crosses([0, 0, 0], [x * 200, y * 200, -200], shape)).toBe(false)
      },
    ),
  )
  expect(beside).toBeGreaterThan(20)
})
