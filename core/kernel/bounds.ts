import { type Placed, reach } from './shape.ts'
import type { Vec3 } from './vector.ts'

/** An upright box from `min` to `max` in mm; the empty one has min +infinity and max -infinity. */
export interface Bounds {
  readonly min: Vec3
  readonly max: Vec3
}

export const emptyBounds: Bounds = { min: [Infinity, Infinity, Infinity], max: [-Infinity, -Infinity, -Infinity] }

export const isEmpty = (b: Bounds): boolean => b.min[0] > b.max[0]

export const unite = (a: Bounds, b: Bounds): Bounds => ({
  min: [Math.min(a.min[0], b.min[0]), Math.min(a.min[1], b.min[1]), Math.min(a.min[2], b.min[2])],
  max: [Math.max(a.max[0], b.max[0]), Math.max(a.max[1], b.max[1]), Math.max(a.max[2], b.max[2])],
})

export const boundsOf = (shape: Placed): Bounds => {
  const [right, up, back] = [reach(shape, RIGHT), reach(shape, UP), reach(shape, BACK)]
  const [x, y, z] = shape.centre
  return { min: [x - right, y - up, z - back], max: [x + right, y + up, z + back] }
}
const RIGHT: Vec3 = [1, 0, 0]
const UP: Vec3 = [0, 1, 0]
const BACK: Vec3 = [0, 0, 1]

/** Do the two boxes share more than `slack` mm along every axis? */
export const overlap = (a: Bounds, b: Bounds, slack = 0): boolean =>
  a.min[0] + slack < b.max[0] &&
  b.min[0] + slack < a.max[0] &&
  a.min[1] + slack < b.max[1] &&
  b.min[1] + slack < a.max[1] &&
  a.min[2] + slack < b.max[2] &&
  b.min[2] + slack < a.max[2]
