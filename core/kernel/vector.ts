/** A point or direction in mm: x = operator's right, y = up, z = towards the operator. */
export type Vec3 = readonly [number, number, number]

export const zero: Vec3 = [0, 0, 0]

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k]
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
/** Plainly the root of the squares: all lengths are of the size of rigs, and `Math.hypot` takes ten times as long. */
export const lengthOf = (a: Vec3): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2])

/** Right-handed cross product: `cross([1,0,0], [0,1,0])` is `[0,0,1]`. */
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]

/** Vectors shorter than this have no direction that rounding has not made up. */
const NO_LENGTH = 1e-12

/** The direction of `a` with length 1; the zero vector, or one that rounding left of it, gives zero. */
export const unit = (a: Vec3): Vec3 => {
  const length = lengthOf(a)
  return length < NO_LENGTH ? zero : scale(a, 1 / length)
}
