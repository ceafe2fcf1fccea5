import type { Assembly, PlacedPart } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import {
  convexHull,
  cornersAround,
  dot,
  identity,
  perThing,
  type Placed,
  type Point2,
  unit,
  type Vec3,
  placeShape,
  point,
} from '../kernel/index.ts'
import { inHand } from './mass.ts'

/** Something of the rig that can touch a table: a solid of a piece, or a plug that stands out of it. */
export interface Touching {
  readonly piece: PlacedPart
  readonly what: 'body' | 'glass' | 'screen' | 'plug'
  /** Its corners, those that lie inside the rest of the piece left out. */
  readonly corners: readonly Vec3[]
}

/** How a rig lies once it has stopped tipping. */
export interface Rest {
  /** How far it has turned on the way, degrees; 0 when it stands as it was put down. */
  readonly tiltDeg: number
  readonly on: readonly Omit<Touching, 'corners'>[]
}

/** Corners closer to the table than this touch it: rubber gives. mm */
const TOUCH_MM = 0.5
/** It tips onto edge after edge; a rig has come to rest long before this. */
const MOST_TURNS = 24
const ROUND = 12

/** The corners of a solid; a round bar by those of a twelve-sided one. */
export const cornersOf = perThing('corners', (shape: Placed): readonly Vec3[] => cornersAround(shape, ROUND))

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

/**
 * How a rig comes to rest on a table: it stands on its lowest corners; while the centre of mass lies beside what they
 * span, it turns about the nearest edge of that, towards the centre, until the next corner touches (quasi-static rolling
 * of a convex body).
 * @param touching everything hard of the rig that can touch the table
 * @example a post 20 mm wide with an arm to the right at 80 mm and its centre over the arm: it turns about the post's
 *   edge until the end of the arm, 100 mm off, is down: atan (80 / 100) = 38.7 degrees
 */
export const restOf = (touching: readonly Touching[], centre: Vec3): Rest => {
  // Flat numbers: each turn moves every corner.
  const count = touching.reduce((sum, { corners }) => sum + corners.length, 0)
  const owners: Touching[] = []
  const [x, y, z] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)]
  for (const of of touching)
    for (const at of of.corners) {
      const i = owners.push(of) - 1
      x[i] = at[0]
      y[i] = at[1]
      z[i] = at[2]
    }
  let mass = centre
  let tilted = 0
  for (let turn = 0; ; turn++) {
    let floor = Infinity
    for (const height of y) if (height < floor) floor = height
    const down: number[] = []
    for (let i = 0; i < y.length; i++) if ((y[i] ?? 0) <= floor + TOUCH_MM) down.push(i)
    const pivot = nearestOn(convexHull(down.map((i): Point2 => [x[i] ?? 0, z[i] ?? 0])), [mass[0], mass[2]])
    const away = pivot ? Math.hypot(mass[0] - pivot[0], mass[2] - pivot[1]) : 0
    if (!pivot || away < 1e-6 || turn === MOST_TURNS) {
      const on = [...new Set(down.flatMap((i) => owners[i] ?? []))]
      return { tiltDeg: (tilted * 180) / Math.PI, on: on.map(({ piece, what }) => ({ piece, what })) }
    }
    const [wayX, wayZ] = [(mass[0] - pivot[0]) / away, (mass[2] - pivot[1]) / away]
    // How far each corner lies ahead of the edge it turns about, and over the table.
    let steepest = Infinity
    for (let i = 0; i < y.length; i++) {
      const over = (y[i] ?? 0) - floor
      const ahead = ((x[i] ?? 0) - pivot[0]) * wayX + ((z[i] ?? 0) - pivot[1]) * wayZ
      if (over > TOUCH_MM && ahead > 1e-6) steepest = Math.min(steepest, over / ahead)
    }
    const angle = Math.atan(steepest)
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
    for (let i = 0; i < y.length; i++) {
      const over = (y[i] ?? 0) - floor
      const ahead = ((x[i] ?? 0) - pivot[0]) * wayX + ((z[i] ?? 0) - pivot[1]) * wayZ
      const forward = ahead * cos + over * sin - ahead
      x[i] = (x[i] ?? 0) + forward * wayX
      y[i] = floor + over * cos - ahead * sin
      z[i] = (z[i] ?? 0) + forward * wayZ
    }
    const over = mass[1] - floor
    const forward = away * cos + over * sin - away
    mass = [mass[0] + forward * wayX, floor + over * cos - away * sin, mass[2] + forward * wayZ]
    tilted += angle
  }
}

/** Directions all round, about evenly: the points of a cube's skin. */
const AROUND: readonly Vec3[] = [-2, -1, 0, 1, 2].flatMap((i) =>
  [-2, -1, 0, 1, 2].flatMap((j) =>
    [-2, -1, 0, 1, 2].flatMap((k): Vec3[] =>
      Math.max(Math.abs(i), Math.abs(j), Math.abs(k)) === 2 ? [unit([i, j, k])] : [],
    ),
  ),
)
/** A corner that some direction sees as its farthest, but for this, can touch the table. mm */
const OUTERMOST_MM = 0.3

/** What of a part can touch a table, in its own frame: of the corners of its hard solids those that lie outermost. */
const outerOf = perThing('outermost corners of a part', ({ solids, role }: Part) => {
  const hard = solids.filter(({ matter }) => matter === 'body')
  const all = hard.map((solid) => cornersOf(placeShape(solid, identity)))
  const reach = AROUND.map((way) =>
    all.reduce((far, corners) => corners.reduce((most, at) => Math.max(most, dot(at, way)), far), -Infinity),
  )
  return hard.flatMap(({ look }, i) => {
    const corners = (all[i] ?? []).filter((at) =>
      AROUND.some((way, n) => dot(at, way) >= (reach[n] ?? Infinity) - OUTERMOST_MM),
    )
    const what: Touching['what'] = look === 'screen' ? 'screen' : look === 'glass' || role === 'lens' ? 'glass' : 'body'
    return corners.length > 0 ? [{ what, corners }] : []
  })
})

const outside = perThing('what of a piece can touch', (piece: PlacedPart): readonly Touching[] =>
  outerOf(piece.part).map(({ what, corners }) => ({
    piece,
    what,
    corners: corners.map((at) => point(piece.frame, at)),
  })),
)

/** Everything hard that is in the hand and can touch a table, with what must not be lain on told apart. */
export const touchingOf = (assembly: Assembly): readonly Touching[] => assembly.placed.filter(inHand).flatMap(outside)
