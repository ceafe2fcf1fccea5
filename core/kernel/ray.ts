import { axesOf, type Axis, type Placed } from './shape.ts'
import { add, dot, lengthOf, scale, subtract, type Vec3 } from './vector.ts'

/** The part of 0..1 in which `low <= p + t q <= high`, cut from what is left; undefined when nothing is. */
const cut = (
  range: readonly [number, number],
  p: number,
  q: number,
  low: number,
  high: number,
): [number, number] | undefined => {
  if (Math.abs(q) < 1e-12) return p >= low && p <= high ? [range[0], range[1]] : undefined
  const [a, b] = [(low - p) / q, (high - p) / q]
  const next: [number, number] = [Math.max(range[0], Math.min(a, b)), Math.min(range[1], Math.max(a, b))]
  return next[0] <= next[1] ? next : undefined
}

/**
 * Does the straight line from one point to another pass through a shape?
 * @example from 10 mm in front of a 10 mm cube's middle to 10 mm behind it: yes; the same 6 mm higher: no
 */
export const crosses = (from: Vec3, to: Vec3, shape: Placed): boolean => {
  const start = subtract(from, shape.centre)
  const way = subtract(to, from)
  let range: readonly [number, number] | undefined = [0, 1]
  if (shape.kind === 'box') {
    for (const { axis, half } of axesOf(shape)) {
      range = cut(range, dot(start, axis), dot(way, axis), -half, half)
      if (!range) return false
    }
    return true
  }
  const { axis, half } = axesOf(shape)[0] as Axis
  range = cut(range, dot(start, axis), dot(way, axis), -half, half)
  if (!range) return false
  const across = (p: Vec3): Vec3 => subtract(p, scale(axis, dot(p, axis)))
  const [p, q] = [across(start), across(way)]
  const t = dot(q, q) < 1e-12 ? range[0] : Math.min(range[1], Math.max(range[0], -dot(p, q) / dot(q, q)))
  if (lengthOf(add(p, scale(q, t))) > shape.radius) return false
  // Through a ring's bore one sees: a straight line that is in the bore at both ends of the wall never meets it.
  const [enter, leave] = range.map((end) => lengthOf(add(p, scale(q, end))))
  return !(shape.bore !== undefined && (enter ?? 0) < shape.bore && (leave ?? 0) < shape.bore)
}
