import { lengthOf, subtract, type Vec3 } from '../kernel/index.ts'
import { hungPoints, sagOf } from './leads.ts'

const longAs = (points: readonly Vec3[]): number =>
  points.slice(1).reduce((sum, to, i) => sum + lengthOf(subtract(to, points[i] ?? to)), 0)

test('100 mm of way and 6 mm too much hang 15 mm deep; no more than a third, and nothing when it is taut', () => {
  expect(sagOf(100, 6)).toBe(15)
  expect(sagOf(100, 500)).toBe(30)
  expect(sagOf(100, 0)).toBe(0)
  expect(sagOf(100, -20)).toBe(0)
})

test('a lead that hangs is as long as it is: 200 mm between its ends, 12 mm to spare', () => {
  const hung = hungPoints({
    points: [
      [0, 0, 0],
      [0, 0, -200],
    ],
    spareMm: 12,
  })
  expect(longAs(hung) / 212).toBeCloseTo(1, 2)
  expect(Math.min(...hung.map(([, y]) => y))).toBeCloseTo(-30, 6)
  expect([hung[0], hung.at(-1)]).toEqual([
    [0, 0, 0],
    [0, 0, -200],
  ])
})

test('corners and clamps stay where they are, short pieces stay straight, a taut lead as it was', () => {
  const points: readonly Vec3[] = [
    [0, 0, 0],
    [0, 0, -20],
    [0, 80, -20],
    [100, 80, -20],
  ]
  const hung = hungPoints({ points, spareMm: 30 })
  for (const corner of points) expect(hung).toContainEqual(corner)
  expect(hung.filter(([, , z]) => z > -20 && z < 0)).toEqual([])
  expect(hungPoints({ points, spareMm: -4 })).toBe(points)
})
