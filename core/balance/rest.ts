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
  // Flat numbers, x y z x y z: each turn moves every corner.
  const chunks = touching.map(flatOf)
  const corners = new Float64Array(chunks.reduce((sum, { length }) => sum + length, 0))
  let filled = 0
  for (const chunk of chunks) {
    corners.set(chunk, filled)
    filled += chunk.length
  }
  let floor = Infinity
  for (let i = 1; i < filled; i += 3) floor = Math.min(floor, corners[i] ?? Infinity)
  let mass = centre
  let tilted = 0
  for (let turn = 0; ; turn++) {
    const down: number[] = []
    for (let i = 1; i < filled; i += 3) if ((corners[i] ?? 0) <= floor + TOUCH_MM) down.push(i - 1)
    const base = convexHull(down.map((i): Point2 => [corners[i] ?? 0, corners[i + 2] ?? 0]))
    const pivot = nearestOn(base, [mass[0], mass[2]])
    const away = pivot ? Math.hypot(mass[0] - pivot[0], mass[2] - pivot[1]) : 0
    if (!pivot || away < 1e-6 || turn === MOST_TURNS) {
      const on = touchingAt(down, touching, chunks)
      return { tiltDeg: (tilted * 180) / Math.PI, on: on.map(({ piece, what }) => ({ piece, what })) }
    }
    const [pivotX, pivotZ] = pivot
    const wayX = (mass[0] - pivotX) / away
    const wayZ = (mass[2] - pivotZ) / away
    // How far each corner lies ahead of the edge it turns about, and over the table: the least steep is down next.
    let nextOver = Infinity
    let nextAhead = 1
    for (let i = 0; i < filled; i += 3) {
      const over = (corners[i + 1] ?? 0) - floor
      const ahead = ((corners[i] ?? 0) - pivotX) * wayX + ((corners[i + 2] ?? 0) - pivotZ) * wayZ
      if (over > TOUCH_MM && ahead > 1e-6 && over * nextAhead < nextOver * ahead) {
        nextOver = over
        nextAhead = ahead
      }
    }
    const angle = Math.atan(nextOver / nextAhead)
    const cos = Math.cos(angle)
    const sin = Math.sin(angle)
    let lowest = Infinity
    for (let i = 0; i < filled; i += 3) {
      const over = (corners[i + 1] ?? 0) - floor
      const ahead = ((corners[i] ?? 0) - pivotX) * wayX + ((corners[i + 2] ?? 0) - pivotZ) * wayZ
      const forward = ahead * cos + over * sin - ahead
      const height = floor + over * cos - ahead * sin
      corners[i] = (corners[i] ?? 0) + forward * wayX
      corners[i + 1] = height
      corners[i + 2] = (corners[i + 2] ?? 0) + forward * wayZ
      if (height < lowest) lowest = height
    }
    const over = mass[1] - floor
    const forward = away * cos + over * sin - away
    mass = [mass[0] + forward * wayX, floor + over * cos - away * sin, mass[2] + forward * wayZ]
    floor = lowest
    tilted += angle
  }
}

/** The corners of one thing that can touch, as figures. */
const flatOf = perThing('corners in a row', ({ corners }: Touching) => Float64Array.from(corners.flat()))

/** Whose corners these are, by where they begin among all that can touch; each once. */
const touchingAt = (
  begins: readonly number[],
  touching: readonly Touching[],
  chunks: readonly Float64Array[],
): readonly Touching[] => {
  const found = new Set<Touching>()
  let before = 0
  touching.forEach((one, k) => {
    const end = before + (chunks[k]?.length ?? 0)
    if (begins.some((begin) => begin >= before && begin < end)) found.add(one)
    before = end
  })
  return [...found]
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
