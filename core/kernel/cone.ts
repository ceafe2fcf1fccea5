import { perThing } from './memo.ts'
import { axesOf, type Placed, reach } from './shape.ts'
import { add, cross, dot, lengthOf, scale, subtract, unit, type Vec3 } from './vector.ts'

/** A pyramid without end: its point, and its four edges in order round it. */
export interface Pyramid {
  readonly apex: Vec3
  readonly edges: readonly [Vec3, Vec3, Vec3, Vec3]
}

const sidesOf = perThing('sides of a pyramid', ({ edges }: Pyramid): readonly Vec3[] =>
  edges.map((edge, i) => {
    const next = edges[(i + 1) % 4] ?? edge
    const normal = unit(cross(edge, next))
    const inside = edges.some((other) => dot(other, normal) > 1e-9)
    return inside ? normal : scale(normal, -1)
  }),
)

/** The least a shape reaches over any one side, or over the first by which that is no more than enough, mm. */
const leastBySides = (pyramid: Pyramid, shape: Placed, enough: number): number => {
  const { apex } = pyramid
  const from = subtract(shape.centre, apex)
  let least = Infinity
  for (const d of sidesOf(pyramid)) {
    const value = dot(from, d) + reach(shape, d)
    if (value < least) least = value
    if (value <= enough) break
  }
  return least
}

/** What stands off by less than this still touches, mm. */
const TOUCHES = 1e-6
/** Is a shape off a pyramid by one of its sides alone? Then no line from its point that lies within it meets the shape. */
export const isBeside = (pyramid: Pyramid, shape: Placed): boolean => leastBySides(pyramid, shape, -TOUCHES) <= -TOUCHES

/**
 * How far a convex shape reaches into a pyramid, mm: the least over all tried directions of what would have to move to
 * be clear of it; zero or less: outside. Exact for boxes (separating axes of two convex bodies: sides, faces, crosses
 * of edges); for cylinders the radial directions towards each side and edge are tried as well.
 * @param enough an answer at or below this need not be the least: outside is outside
 */
export const reachInto = (pyramid: Pyramid, shape: Placed, enough = -Infinity): number => {
  const { apex, edges } = pyramid
  const sides = sidesOf(pyramid)
  // Most shapes are outside by one of the sides alone.
  const bySides = leastBySides(pyramid, shape, enough)
  if (bySides <= enough) return bySides
  const own = axesOf(shape).map(({ axis }) => axis)
  const tried: Vec3[] = [...sides]
  for (const axis of own) tried.push(axis, scale(axis, -1))
  for (const edge of edges) for (const axis of own) tried.push(unit(cross(edge, axis)), unit(cross(axis, edge)))
  const axis = own[0]
  if (shape.kind === 'cylinder' && axis)
    for (const toward of [...sides, ...edges.map((edge) => nearestOn(apex, edge, shape.centre))]) {
      const radial = unit(subtract(toward, scale(axis, dot(axis, toward))))
      tried.push(radial, scale(radial, -1))
    }
  let least = Infinity
  for (const d of tried) {
    // The pyramid lies wholly ahead of its point along d only if every edge does.
    if (lengthOf(d) < 0.5 || edges.some((edge) => dot(edge, d) < -1e-9)) continue
    least = Math.min(least, dot(subtract(shape.centre, apex), d) + reach(shape, d))
  }
  return least
}

/** From a point towards the nearest point of a ray. */
const nearestOn = (apex: Vec3, edge: Vec3, p: Vec3): Vec3 => {
  const along = unit(edge)
  const t = Math.max(0, dot(subtract(p, apex), along))
  return subtract(add(apex, scale(along, t)), p)
}
