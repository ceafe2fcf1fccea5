import type { Assembly, PlacedPart } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import {
  add,
  convexHull,
  cornersAround,
  cross,
  dot,
  type Frame,
  identity,
  perThing,
  type Placed,
  type Point2,
  unit,
  type Vec3,
  placeShape,
  scale,
  flatMap,
} from '../kernel/index.ts'
import { inHand } from './mass.ts'

/** Something of the rig that can touch a table: solids of a piece, or a plug that stands out of it. */
export interface Touching {
  readonly piece: PlacedPart
  readonly what: 'body' | 'glass' | 'screen' | 'plug'
  /** Its corners, those that lie inside the rest of the piece left out. */
  readonly corners: Corners
}

/** Corners as a row of figures x y z x y z, and the box round them, mm. */
export interface Corners {
  readonly row: Float64Array
  readonly mid: Vec3
  readonly half: Vec3
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
/** What is no farther before an edge lies on it: rounding. mm */
const AHEAD_MM = 1e-6

/** The box round a row of corners, with them. */
const boxed = (row: Float64Array): Corners => {
  let [left, low, front] = [Infinity, Infinity, Infinity]
  let [right, high, rear] = [-Infinity, -Infinity, -Infinity]
  for (let i = 0; i < row.length; i += 3) {
    const x = row[i] as number
    const y = row[i + 1] as number
    const z = row[i + 2] as number
    if (x < left) left = x
    if (x > right) right = x
    if (y < low) low = y
    if (y > high) high = y
    if (z < front) front = z
    if (z > rear) rear = z
  }
  return {
    row,
    mid: [(left + right) / 2, (low + high) / 2, (front + rear) / 2],
    half: [(right - left) / 2, (high - low) / 2, (rear - front) / 2],
  }
}

/** Corners in a row. @param corners mm */
export const cornersIn = (corners: readonly Vec3[]): Corners => boxed(Float64Array.from(corners.flat()))

/** The corners of a solid; a round bar by those of a twelve-sided one. */
export const cornersOf = perThing('corners', (shape: Placed): Corners => cornersIn(cornersAround(shape, ROUND)))

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

/** How far a box reaches along a way, to both sides of its middle. */
const reachOf = ({ half }: Corners, way: Vec3): number =>
  half[0] * Math.abs(way[0]) + half[1] * Math.abs(way[1]) + half[2] * Math.abs(way[2])

/** A way as it is after a turn about an edge that lies across both ways: as far as this along each. */
const turned = (one: Vec3, cos: number, other: Vec3, sin: number): Vec3 => add(scale(one, cos), scale(other, sin))

/**
 * How a rig comes to rest on a table: it stands on its lowest corners; while the centre of mass lies beside what they
 * span, it turns about the nearest edge of that, towards the centre, until the next corner touches (quasi-static rolling
 * of a convex body).
 * @param touching everything hard of the rig that can touch the table
 * @example a post 20 mm wide with an arm to the right at 80 mm and its centre over the arm: it turns about the post's
 *   edge until the end of the arm, 100 mm off, is down: atan (80 / 100) = 38.7 degrees
 */
export const restOf = (touching: readonly Touching[], centre: Vec3): Rest => {
  // The rig stays where it is: it is the table that turns. Boxes tell of most corners that they are not next.
  const groups = touching.map(({ corners }) => corners)
  let up: Vec3 = [0, 1, 0]
  let right: Vec3 = [1, 0, 0]
  let back: Vec3 = [0, 0, 1]
  let tilted = 0
  for (let turn = 0; ; turn++) {
    const lows = groups.map((group) => dot(group.mid, up) - reachOf(group, up))
    const floor = floorOf(groups, lows, up)
    const down = downOn(groups, lows, up, floor)
    const flat = (at: Vec3): Point2 => [dot(at, right), dot(at, back)]
    const mass = flat(centre)
    const pivot = nearestOn(convexHull(down.map(({ at }) => flat(at))), mass)
    const away = pivot ? Math.hypot(mass[0] - pivot[0], mass[1] - pivot[1]) : 0
    if (!pivot || away < AHEAD_MM || turn === MOST_TURNS) {
      const on = [...new Set(flatMap(down, ({ group }) => touching[group] ?? []))]
      return { tiltDeg: (tilted * 180) / Math.PI, on: on.map(({ piece, what }) => ({ piece, what })) }
    }
    const way = turned(right, (mass[0] - pivot[0]) / away, back, (mass[1] - pivot[1]) / away)
    const angle = turnUntilDown(groups, lows, { up, floor, way, edge: dot(centre, way) - away })
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
    back = cross(way, up)
    right = turned(way, cos, up, sin)
    up = turned(up, cos, way, -sin)
    tilted += angle
  }
}

const along = (row: Float64Array, i: number, way: Vec3): number =>
  (row[i] as number) * way[0] + (row[i + 1] as number) * way[1] + (row[i + 2] as number) * way[2]

/** The height of the lowest corner. @param lows below which no corner of a group lies */
const floorOf = (groups: readonly Corners[], lows: readonly number[], up: Vec3): number => {
  let floor = Infinity
  for (let k = 0; k < groups.length; k++) {
    if ((lows[k] as number) >= floor) continue
    const { row } = groups[k] as Corners
    for (let i = 0; i < row.length; i += 3) floor = Math.min(floor, along(row, i, up))
  }
  return floor
}

/** The corners that touch the table, and of which group each is. */
const downOn = (
  groups: readonly Corners[],
  lows: readonly number[],
  up: Vec3,
  floor: number,
): readonly { readonly at: Vec3; readonly group: number }[] => {
  const down: { at: Vec3; group: number }[] = []
  for (let k = 0; k < groups.length; k++) {
    if ((lows[k] as number) > floor + TOUCH_MM) continue
    const { row } = groups[k] as Corners
    for (let i = 0; i < row.length; i += 3)
      if (along(row, i, up) <= floor + TOUCH_MM)
        down.push({ at: [row[i] as number, row[i + 1] as number, row[i + 2] as number], group: k })
  }
  return down
}

/**
 * How far a rig turns about an edge until the next corner is down, radians: of the corners that lie ahead of the edge,
 * the one seen from it at the smallest angle over the table.
 * @param table which way is up from it, how high it lies, which way the rig tips, and where along that the edge lies
 */
const turnUntilDown = (
  groups: readonly Corners[],
  lows: readonly number[],
  { up, floor, way, edge }: { readonly up: Vec3; readonly floor: number; readonly way: Vec3; readonly edge: number },
): number => {
  let nextOver = Infinity
  let nextAhead = 1
  for (let k = 0; k < groups.length; k++) {
    const group = groups[k] as Corners
    const most = dot(group.mid, way) + reachOf(group, way) - edge
    // None of its corners is farther ahead nor lower than this.
    if (most <= AHEAD_MM || Math.max(0, (lows[k] as number) - floor) * nextAhead >= nextOver * most) continue
    const { row } = group
    for (let i = 0; i < row.length; i += 3) {
      const over = along(row, i, up) - floor
      const ahead = along(row, i, way) - edge
      if (over > TOUCH_MM && ahead > AHEAD_MM && over * nextAhead < nextOver * ahead) {
        nextOver = over
        nextAhead = ahead
      }
    }
  }
  return Math.atan(nextOver / nextAhead)
}

/** Directions all round, about evenly: the points of a cube's skin. */
const AROUND: readonly Vec3[] = flatMap([-2, -1, 0, 1, 2], (i) =>
  flatMap([-2, -1, 0, 1, 2], (j) =>
    flatMap([-2, -1, 0, 1, 2], (k): Vec3[] =>
      Math.max(Math.abs(i), Math.abs(j), Math.abs(k)) === 2 ? [unit([i, j, k])] : [],
    ),
  ),
)
/** A corner that some direction sees as its farthest, but for this, can touch the table. mm */
const OUTERMOST_MM = 0.3

/** What of a part can touch a table, in its own frame: of the corners of its hard solids those that lie outermost. */
const outerOf = perThing('outermost corners of a part', ({ solids, role }: Part) => {
  const hard = solids.filter(({ matter }) => matter === 'body')
  const all = hard.map((solid) => cornersAround(placeShape(solid, identity), ROUND))
  const reach = AROUND.map((way) =>
    all.reduce((far, corners) => corners.reduce((most, at) => Math.max(most, dot(at, way)), far), -Infinity),
  )
  const outermost = new Map<Touching['what'], Vec3[]>()
  for (const [i, { look }] of hard.entries()) {
    const corners = (all[i] ?? []).filter((at) =>
      AROUND.some((way, n) => dot(at, way) >= (reach[n] ?? Infinity) - OUTERMOST_MM),
    )
    const what: Touching['what'] = look === 'screen' ? 'screen' : look === 'glass' || role === 'lens' ? 'glass' : 'body'
    if (corners.length > 0) outermost.set(what, [...(outermost.get(what) ?? []), ...corners])
  }
  return [...outermost].map(([what, corners]) => ({ what, corners: cornersIn(corners).row }))
})

/** A row of corners carried to another frame. */
const carried = (row: Float64Array, { at, x, y, z }: Frame): Float64Array => {
  const there = new Float64Array(row.length)
  for (let i = 0; i < row.length; i += 3) {
    const a = row[i] as number
    const b = row[i + 1] as number
    const c = row[i + 2] as number
    there[i] = x[0] * a + y[0] * b + z[0] * c + at[0]
    there[i + 1] = x[1] * a + y[1] * b + z[1] * c + at[1]
    there[i + 2] = x[2] * a + y[2] * b + z[2] * c + at[2]
  }
  return there
}

const outside = perThing('what of a piece can touch', (piece: PlacedPart): readonly Touching[] =>
  outerOf(piece.part).map(({ what, corners }) => ({
    piece,
    what,
    corners: boxed(carried(corners, piece.frame)),
  })),
)

/** Everything hard that is in the hand and can touch a table, with what must not be lain on told apart. */
export const touchingOf = (assembly: Assembly): readonly Touching[] => {
  const all: Touching[] = []
  for (const piece of assembly.placed) if (inHand(piece)) for (const one of outside(piece)) all.push(one)
  return all
}
