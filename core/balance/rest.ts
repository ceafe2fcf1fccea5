import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { add, convexHull, cross, perThing, type Placed, type Point2, scale, unit, type Vec3 } from '../kernel/index.ts'
import { inHand } from './mass.ts'

/** Something of the rig that can touch a table: a solid of a piece, or a plug that stands out of it. */
export interface Touching {
  readonly piece: PlacedPart
  readonly what: 'body' | 'glass' | 'screen' | 'plug'
  readonly shape: Placed
}

/** How a rig lies once it has stopped tipping. */
export interface Rest {
  /** How far it has turned on the way, degrees; 0 when it stands as it was put down. */
  readonly tiltDeg: number
  readonly on: readonly Omit<Touching, 'shape'>[]
}

/** Corners closer to the table than this touch it: rubber gives. mm */
const TOUCH_MM = 0.5
/** It tips onto edge after edge; a rig has come to rest long before this. */
const MOST_TURNS = 24
const ROUND = 12

const cornersOf = perThing('corners', (shape: Placed): readonly Vec3[] => {
  if (shape.kind === 'box') {
    const [a, b, c] = shape.edges
    return [-1, 1].flatMap((i) =>
      [-1, 1].flatMap((j) => [-1, 1].map((k) => add(shape.centre, add(scale(a, i), add(scale(b, j), scale(c, k)))))),
    )
  }
  const along = unit(shape.half)
  const side = unit(cross(along, Math.abs(along[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]))
  const other = cross(along, side)
  return [-1, 1].flatMap((end) =>
    Array.from({ length: ROUND }, (_, i) => {
      const turn = (2 * Math.PI * i) / ROUND
      const rim = add(scale(side, Math.cos(turn) * shape.radius), scale(other, Math.sin(turn) * shape.radius))
      return add(shape.centre, add(scale(shape.half, end), rim))
    }),
  )
})

/** The nearest point of a convex outline to a point outside it; undefined when it is inside. */
const nearestOn = (outline: readonly Point2[], p: Point2): Point2 | undefined => {
  const inside =
    outline.length > 2 &&
    outline.every((a, i) => {
      const b = outline[(i + 1) % outline.length] ?? a
      return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) >= -1e-9
    })
  if (inside) return undefined
  let best: Point2 = outline[0] ?? p
  let least = Infinity
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a
    const [x, y] = [b[0] - a[0], b[1] - a[1]]
    const long = x * x + y * y
    const t = long === 0 ? 0 : Math.max(0, Math.min(1, ((p[0] - a[0]) * x + (p[1] - a[1]) * y) / long))
    const at: Point2 = [a[0] + t * x, a[1] + t * y]
    const off = Math.hypot(p[0] - at[0], p[1] - at[1])
    if (off < least) [best, least] = [at, off]
  })
  return best
}

interface Corner {
  readonly at: Vec3
  readonly of: Touching
}

/**
 * How a rig comes to rest on a table: it stands on its lowest corners; while the centre of mass lies beside what they
 * span, it turns about the nearest edge of that, towards the centre, until the next corner touches (quasi-static rolling
 * of a convex body).
 * @param touching everything hard of the rig that can touch the table
 * @example a post 20 mm wide with an arm to the right at 80 mm and its centre over the arm: it turns about the post's
 *   edge until the end of the arm, 100 mm off, is down: atan (80 / 100) = 38.7 degrees
 */
export const restOf = (touching: readonly Touching[], centre: Vec3): Rest => {
  let corners: readonly Corner[] = touching.flatMap((of) => cornersOf(of.shape).map((at) => ({ at, of })))
  let mass = centre
  let tilted = 0
  for (let turn = 0; ; turn++) {
    const floor = Math.min(...corners.map(({ at }) => at[1]))
    const down = corners.filter(({ at }) => at[1] <= floor + TOUCH_MM)
    const pivot = nearestOn(convexHull(down.map(({ at }): Point2 => [at[0], at[2]])), [mass[0], mass[2]])
    const away = pivot ? Math.hypot(mass[0] - pivot[0], mass[2] - pivot[1]) : 0
    if (!pivot || away < 1e-6 || turn === MOST_TURNS)
      return {
        tiltDeg: (tilted * 180) / Math.PI,
        on: [...new Set(down.map(({ of }) => of))].map(({ piece, what }) => ({ piece, what })),
      }
    const way: Point2 = [(mass[0] - pivot[0]) / away, (mass[2] - pivot[1]) / away]
    /** How far a point lies ahead of the edge it turns about, and over the table. */
    const seen = (at: Vec3): readonly [number, number] => [
      (at[0] - pivot[0]) * way[0] + (at[2] - pivot[1]) * way[1],
      at[1] - floor,
    ]
    const angle = Math.min(
      Math.PI,
      ...corners.flatMap(({ at }) => {
        const [ahead, over] = seen(at)
        return over > TOUCH_MM && ahead > 1e-6 ? [Math.atan2(over, ahead)] : []
      }),
    )
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
    const turned = (at: Vec3): Vec3 => {
      const [ahead, over] = seen(at)
      const forward = ahead * cos + over * sin - ahead
      return [at[0] + forward * way[0], floor + over * cos - ahead * sin, at[2] + forward * way[1]]
    }
    corners = corners.map(({ at, of }) => ({ at: turned(at), of }))
    mass = turned(mass)
    tilted += angle
  }
}

/** Everything hard that is in the hand, with what must not be lain on told apart. */
export const touchingOf = (assembly: Assembly): readonly Touching[] =>
  assembly.placed.filter(inHand).flatMap((piece) =>
    piece.solids
      .filter(({ solid }) => solid.matter === 'body')
      .map(({ solid, shape }): Touching => ({
        piece,
        what:
          solid.look === 'screen' ? 'screen' : solid.look === 'glass' || piece.part.role === 'lens' ? 'glass' : 'body',
        shape,
      })),
  )
