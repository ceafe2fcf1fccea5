import fc from 'fast-check'
import { boundsOf, emptyBounds, isEmpty, overlap, unite } from './bounds.ts'
import { compose, facing, type Frame, identity, invert, point, turnAboutZ } from './frame.ts'
import { convexHull } from './hull.ts'
import { flatMap } from './keyed.ts'
import { crosses } from './ray.ts'
import { passes, penetration } from './penetration.ts'
import { distanceToSeat, distanceToSkin, type Placed, placeShape, reach, type Shape, volumeOf } from './shape.ts'
import { add, cross, dot, lengthOf, scale, subtract, unit, type Vec3 } from './vector.ts'

const coordinate = fc.double({ min: -200, max: 200, noNaN: true })
const vec: fc.Arbitrary<Vec3> = fc.tuple(coordinate, coordinate, coordinate)
const direction = vec.filter((v) => lengthOf(v) > 1).map(unit)
const frame: fc.Arbitrary<Frame> = fc
  .tuple(direction, direction, vec)
  .filter(([a, b]) => lengthOf(cross(a, b)) > 0.1)
  .map(([z, near, at]) => facing(at, z, unit(cross(z, cross(near, z)))))
const close = (a: Vec3, b: Vec3) => lengthOf(subtract(a, b)) < 1e-6

describe('a ring', () => {
  const ring: Shape = { kind: 'cylinder', centre: [0, 0, 0], axis: [0, 0, 1], radius: 50, length: 8, bore: 40 }
  const here = (shape: Shape): Placed => placeShape(shape, identity)
  const bar = (radius: number, x = 0): Placed =>
    here({ kind: 'cylinder', centre: [x, 0, 0], axis: [0, 0, 1], radius, length: 30 })

  test('lets through what is narrower than its hole, and holds what is wider by what it is wider', () => {
    expect(penetration(here(ring), bar(39.5))).toBeLessThanOrEqual(0)
    expect(penetration(bar(43), here(ring))).toBeCloseTo(3, 1)
    // A bar beside the middle: it meets the wall after 40 - 20 = 20 mm.
    expect(penetration(here(ring), bar(20, 19.5))).toBeLessThanOrEqual(0)
    expect(penetration(here(ring), bar(20, 22))).toBeCloseTo(2, 1)
    // From outside it is what a solid one is.
    const block = here({ kind: 'box', centre: [54, 0, 0], size: [10, 10, 4] })
    expect(penetration(here(ring), block)).toBeCloseTo(1, 6)
    expect(penetration(here({ ...ring, bore: undefined }), block)).toBeCloseTo(1, 6)
  })
  test('has the volume of its wall, skin on both sides of it, and one sees through it', () => {
    expect(volumeOf(ring)).toBeCloseTo(Math.PI * (2500 - 1600) * 8, 6)
    expect([0, 39, 45, 52].map((x) => distanceToSkin(ring, [x, 0, 0]))).toEqual([40, 1, 4, 2])
    // A filter screws in, a barrel slips through: the middle of the mouth is a place to sit.
    expect([0, 45].map((x) => Math.abs(distanceToSeat(ring, [x, 0, 4])))).toEqual([0, 0])
    expect(distanceToSeat(ring, [0, 0, 9])).toBe(5)
    expect(crosses([0, 0, 20], [0, 0, -20], here(ring))).toBe(false)
    expect(crosses([38, 0, 20], [42, 0, -20], here(ring))).toBe(true)
    expect(crosses([45, 0, 20], [45, 0, -20], here(ring))).toBe(true)
    expect(crosses([39, 0, 20], [39, 0, -20], here(ring))).toBe(false)
  })
  test('however it lies, what clears its outside clears it, and it presses no deeper than a solid one', () => {
    const solid = here({ ...ring, bore: undefined })
    fc.assert(
      fc.property(frame, fc.integer({ min: 5, max: 60 }), (f, size) => {
        const block = placeShape({ kind: 'box', centre: [0, 0, 0], size: [size, size, size] }, f)
        return penetration(here(ring), block) <= Math.max(0, penetration(solid, block)) + 1e-6
      }),
    )
  })
})

test('a frame undone is no frame', () => {
  fc.assert(fc.property(frame, vec, (f, p) => close(point(compose(invert(f), f), p), p)))
})

test('frames keep distances', () => {
  fc.assert(
    fc.property(
      frame,
      vec,
      vec,
      (f, p, q) => Math.abs(lengthOf(subtract(point(f, p), point(f, q))) - lengthOf(subtract(p, q))) < 1e-6,
    ),
  )
})

test('quarter turns are exact and four of them are none', () => {
  expect(turnAboutZ(90).x).toEqual([0, 1, 0])
  expect(turnAboutZ(-90)).toEqual(turnAboutZ(270))
  const quarter = turnAboutZ(90)
  expect(point(compose(compose(quarter, quarter), compose(quarter, quarter)), [3, 5, 7])).toEqual([3, 5, 7])
  expect(turnAboutZ(30).x[0]).toBeCloseTo(Math.sqrt(3) / 2, 12)
})

const cube = (centre: Vec3, edge: number): Shape => ({ kind: 'box', centre, size: [edge, edge, edge] })
const rod = (centre: Vec3, axis: Vec3, radius: number, length: number): Shape => ({
  kind: 'cylinder',
  centre,
  axis,
  radius,
  length,
})
const put = (shape: Shape, f: Frame = identity): Placed => placeShape(shape, f)

test('volumes', () => {
  expect(volumeOf(cube([0, 0, 0], 10))).toBe(1000)
  expect(volumeOf(rod([0, 0, 0], [0, 1, 0], 2, 5))).toBeCloseTo(62.8319, 4)
})

test.each<[string, Shape, Shape, number]>([
  ['cubes sharing 2 mm', cube([0, 0, 0], 10), cube([8, 0, 0], 10), 2],
  ['cubes face to face', cube([0, 0, 0], 10), cube([10, 0, 0], 10), 0],
  ['cubes 3 mm apart', cube([0, 0, 0], 10), cube([13, 0, 0], 10), -3],
  ['a rod 1 mm into a cube', rod([0, 0, 0], [0, 0, 1], 5, 20), cube([0, 9, 0], 10), 1],
  ['a rod end on a cube, 1.5 mm deep', rod([0, 0, 0], [0, 0, 1], 5, 20), cube([0, 0, 13.5], 10), 1.5],
  ['crossed rods 2 mm into each other', rod([0, 0, 0], [1, 0, 0], 5, 60), rod([0, 8, 0], [0, 0, 1], 5, 60), 2],
  ['side by side rods', rod([0, 0, 0], [1, 0, 0], 5, 60), rod([0, 6, 8], [1, 0, 0], 5, 60), 0],
])('%s', (_, a, b, depth) => {
  expect(penetration(put(a), put(b), -Infinity)).toBeCloseTo(depth, 3)
})

test('a rod that passes the corner of a cube is seen to pass it', () => {
  // The corner edge of the cube lies at (5, 5); the rod's axis at (10, 10): 7.07 mm away, radius 7.
  expect(penetration(put(cube([0, 0, 0], 10)), put(rod([10, 10, 0], [0, 0, 1], 7, 30)))).toBeLessThan(0)
  expect(penetration(put(cube([0, 0, 0], 10)), put(rod([10, 10, 0], [0, 0, 1], 7.2, 30)))).toBeGreaterThan(0)
})

const shape: fc.Arbitrary<Shape> = fc.oneof(
  fc
    .tuple(
      vec,
      fc.tuple(
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.double({ min: 1, max: 80, noNaN: true }),
      ),
    )
    .map(([centre, size]): Shape => ({ kind: 'box', centre, size })),
  fc
    .tuple(vec, direction, fc.double({ min: 1, max: 40, noNaN: true }), fc.double({ min: 1, max: 80, noNaN: true }))
    .map(([centre, axis, radius, length]): Shape => rod(centre, axis, radius, length)),
)

test('moving both shapes alike changes no depth of boxes, and the order never matters', () => {
  const box = shape.filter((s) => s.kind === 'box')
  fc.assert(
    fc.property(
      box,
      box,
      frame,
      (a, b, f) =>
        Math.abs(penetration(put(a), put(b), -Infinity) - penetration(put(a, f), put(b, f), -Infinity)) < 1e-6,
    ),
  )
  fc.assert(
    fc.property(
      shape,
      shape,
      (a, b) => Math.abs(penetration(put(a), put(b), -Infinity) - penetration(put(b), put(a), -Infinity)) < 0.5,
    ),
  )
})

test('shapes that share a point always press', () => {
  fc.assert(fc.property(shape, shape, (a, b) => penetration(put(a), put({ ...b, centre: a.centre })) > 0))
})

test('where nobody needs to know how much more than a depth it is, up to it the figure is exact, and beyond it is more', () => {
  const near = shape.map((one): Shape => ({ ...one, centre: scale(one.centre, 0.15) }))
  let beyondIt = 0
  fc.assert(
    fc.property(near, near, frame, fc.double({ min: 0.1, max: 30, noNaN: true }), (a, b, f, beyond) => {
      const [one, other] = [put(a), placeShape(b, { ...f, at: [0, 0, 0] })]
      const [exact, rough] = [penetration(one, other, 0), penetration(one, other, 0, beyond)]
      if (rough <= beyond) return rough === exact
      beyondIt++
      // Edges that run nearly alike have no direction of their own: that is as much as they differ by.
      return exact > beyond - 1e-6 && rough <= exact + 1e-6
    }),
  )
  expect(beyondIt).toBeGreaterThan(0)
  // A bar 20 mm thick, 8 mm deep in a block: 8 and no more; its square inside, 14.1 mm thick, comes 5.07 mm deep.
  const block = put(cube([0, 0, 0], 40))
  const bar = put(rod([22, 0, 0], [0, 0, 1], 10, 200))
  expect(penetration(block, bar)).toBeCloseTo(8, 3)
  expect(penetration(block, bar, 0, 4)).toBeCloseTo(8 - 10 + 10 / Math.SQRT2, 3)
  expect(penetration(block, bar, 0, 6)).toBeCloseTo(8, 3)
})

test('shapes whose bounds are apart never press', () => {
  fc.assert(
    fc.property(
      shape,
      shape,
      (a, b) => overlap(boundsOf(put(a)), boundsOf(put(b))) || penetration(put(a), put(b)) <= 1e-9,
    ),
  )
})

test('reach is the far side of the bounds', () => {
  fc.assert(
    fc.property(shape, frame, (s, f) => {
      const placed = put(s, f)
      return Math.abs(boundsOf(placed).max[1] - placed.centre[1] - reach(placed, [0, 1, 0])) < 1e-9
    }),
  )
})

test('bounds: the empty one adds nothing', () => {
  const b = boundsOf(put(cube([1, 2, 3], 2)))
  expect(unite(emptyBounds, b)).toEqual(b)
  expect([isEmpty(emptyBounds), isEmpty(b)]).toEqual([true, false])
  expect(b.min).toEqual([0, 1, 2])
})

test('distance to the skin: inside, on it, outside', () => {
  expect(distanceToSkin(cube([0, 0, 0], 10), [0, 3, 0])).toBe(2)
  expect(distanceToSkin(cube([0, 0, 0], 10), [5, 0, 0])).toBeCloseTo(0, 12)
  expect(distanceToSkin(cube([0, 0, 0], 10), [8, 9, 0])).toBe(5)
  expect(distanceToSkin(rod([0, 0, 0], [0, 1, 0], 5, 10), [8, 0, 0])).toBe(3)
  expect(distanceToSkin(rod([0, 0, 0], [0, 1, 0], 5, 10), [0, 4, 0])).toBe(1)
})

test('the hull of a square with a point inside is the square', () => {
  expect(
    convexHull([
      [0, 0],
      [2, 0],
      [2, 2],
      [0, 2],
      [1, 1],
      [1, 0],
    ]),
  ).toEqual([
    [0, 0],
    [2, 0],
    [2, 2],
    [0, 2],
  ])
  expect(convexHull([[1, 1]])).toEqual([[1, 1]])
})

test('every point lies inside its hull', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 })), {
        minLength: 3,
        maxLength: 40,
      }),
      (points) => {
        const hull = convexHull(points)
        return (
          hull.length < 3 ||
          points.every((p) =>
            hull.every((a, i) => {
              const b = hull[(i + 1) % hull.length] as readonly [number, number]
              return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) >= -1e-6
            }),
          )
        )
      },
    ),
  )
})

test('dot and cross are square to each other', () => {
  fc.assert(fc.property(vec, vec, (a, b) => Math.abs(dot(cross(a, b), a)) < 1e-3))
})

test('two boxes in any attitude: what parts them is found, and no direction parts them sooner', () => {
  const box = fc
    .tuple(frame, fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 5, max: 120, noNaN: true }))))
    .map(([f, size]) => placeShape({ kind: 'box', centre: [0, 0, 0], size: size as unknown as Vec3 }, f))
  const overlapOn = (a: Placed, b: Placed, d: Vec3) =>
    reach(a, d) + reach(b, d) - Math.abs(dot(subtract(b.centre, a.centre), d))
  fc.assert(
    fc.property(box, box, fc.array(direction, { minLength: 40, maxLength: 40 }), (a, b, ways) => {
      const depth = penetration(a, b, -Infinity)
      // Never more than the shadows overlap on any of forty directions; and pushed out by it they touch or are apart.
      const least = Math.min(...ways.map((d) => overlapOn(a, b, d)))
      if (depth <= 0) return true
      return depth <= least + 1e-9
    }),
  )
  // A cube on its corner over a cube: its edges cross those below, and no face parts them.
  const lying = placeShape({ kind: 'box', centre: [0, 0, 0], size: [100, 20, 20] }, identity)
  const crossing = placeShape({ kind: 'box', centre: [0, 0, 0], size: [20, 20, 100] }, identity)
  const apart = (mm: number) => ({ ...crossing, centre: [0, mm, 0] as const })
  expect([19, 20, 23].map((mm) => penetration(lying, apart(mm), -Infinity))).toEqual([1, 0, -3])
})

test('what is said to pass never comes deeper than that, however far it goes', () => {
  const shape = fc.oneof(
    fc.double({ min: 4, max: 60, noNaN: true }).map((edge): Shape => cube([0, 0, 0], edge)),
    fc.tuple(direction, fc.double({ min: 2, max: 40, noNaN: true })).map(([axis, r]) => rod([0, 0, 0], axis, r, 50)),
  )
  fc.assert(
    fc.property(shape, shape, frame, direction, vec, (one, two, f, way, at) => {
      const a = placeShape(one, f)
      const b = placeShape({ ...two, centre: at }, identity)
      if (!passes(a, b, way, 1)) return true
      return Array.from({ length: 60 }, (_, i) => add(a.centre, scale(way, 10 * i))).every(
        (centre) => penetration({ ...a, centre }, b, 1) <= 1 + 1e-9,
      )
    }),
    { numRuns: 60 },
  )
  // A rod of 10 mm going along x passes one that lies 20 mm over it, and not one that lies 15 mm over it.
  const under = put(rod([-100, 0, 0], [1, 0, 0], 10, 20))
  const over = (mm: number) => put(rod([0, mm, 0], [0, 0, 1], 10, 20))
  expect([20, 15].map((mm) => passes(under, over(mm), [1, 0, 0], 1))).toEqual([true, false])
})

test('a list made flat by our own loop is what the language makes of it', () => {
  const made = fc.oneof(fc.integer(), fc.array(fc.oneof(fc.integer(), fc.constant(undefined)), { maxLength: 3 }))
  fc.assert(
    fc.property(fc.array(made, { maxLength: 8 }), (list) => {
      expect(flatMap(list, (one) => one)).toEqual(list.flatMap((one) => one))
      expect(flatMap(list, (_, i) => (i % 2 ? [[i]] : []))).toEqual(list.flatMap((_, i) => (i % 2 ? [[i]] : [])))
    }),
  )
})
