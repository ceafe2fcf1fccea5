import { type Bounds, lengthOf, perThing, subtract, type Vec3, flatMap } from '../kernel/index.ts'

/** A cable lies this far off what it goes round, beside half its own thickness. mm */
const OFF_MM = 1
/** A line may graze a box by this much. mm */
const GRAZE_MM = 0.05
/** A way round more corners than this is not looked for. */
const MOST_CORNERS = 14
/** Rounds of pulling a way tight; and of finding that something else stands in it. */
const PULLS = 3
const MOST_WAYS = 10

/** The way of a cable: its corners, its length, and whether it keeps clear of all there is. */
export interface Route {
  readonly points: readonly Vec3[]
  readonly lengthMm: number
  readonly clear: boolean
}

const axes = [0, 1, 2] as const

export const distance = (a: Vec3, b: Vec3): number => lengthOf(subtract(a, b))
export const lengthAlong = (points: readonly Vec3[]): number =>
  points.slice(1).reduce((sum, point, i) => sum + distance(points[i] ?? point, point), 0)

const grown = (box: Bounds, by: number): Bounds => ({
  min: [box.min[0] - by, box.min[1] - by, box.min[2] - by],
  max: [box.max[0] + by, box.max[1] + by, box.max[2] + by],
})

const within = (p: Vec3, box: Bounds): boolean => axes.every((k) => p[k] > box.min[k] && p[k] < box.max[k])

/** Where a line enters a box, as a part of its length; undefined when it passes by. */
const entryOf = (from: Vec3, to: Vec3, box: Bounds): number | undefined => {
  let [start, end] = [0, 1]
  for (const k of axes) {
    const way = to[k] - from[k]
    if (Math.abs(way) < 1e-9) {
      if (from[k] <= box.min[k] || from[k] >= box.max[k]) return undefined
      continue
    }
    const [a, b] = [(box.min[k] - from[k]) / way, (box.max[k] - from[k]) / way]
    start = Math.max(start, Math.min(a, b))
    end = Math.min(end, Math.max(a, b))
    if (start >= end) return undefined
  }
  return start
}

interface Corner {
  readonly at: Vec3
  /** The edge it lies on: its direction and its two ends along that. */
  readonly axis: 0 | 1 | 2
  readonly low: number
  readonly high: number
}

/** The point of an edge over which the way from one point to another is shortest: both unfolded into one plane. */
const overEdge = (from: Vec3, to: Vec3, { at, axis, low, high }: Corner): Vec3 => {
  const off = (p: Vec3) => Math.hypot(...axes.filter((k) => k !== axis).map((k) => p[k] - at[k]))
  const [a, b] = [off(from), off(to)]
  const along = a + b < 1e-9 ? from[axis] : (from[axis] * b + to[axis] * a) / (a + b)
  const held = Math.min(high, Math.max(low, along))
  return axes.map((k) => (k === axis ? held : at[k])) as unknown as Vec3
}

const edgesOf = (box: Bounds): Corner[] =>
  flatMap(axes, (axis) => {
    const [j, k] = axes.filter((other) => other !== axis) as [0 | 1 | 2, 0 | 1 | 2]
    return flatMap([box.min, box.max], (one) =>
      [box.min, box.max].map((two): Corner => {
        const at: [number, number, number] = [0, 0, 0]
        at[j] = one[j]
        at[k] = two[k]
        return { at, axis, low: box.min[axis], high: box.max[axis] }
      }),
    )
  })

interface Wall {
  readonly tight: Bounds
  readonly wide: Bounds
}

/** Where the line from one point to another first meets a wall. */
const firstOf = (walls: readonly Wall[], from: Vec3, to: Vec3): Wall | undefined => {
  let found: Wall | undefined
  let first = Infinity
  for (const wall of walls) {
    const entry = entryOf(from, to, wall.tight)
    if (entry !== undefined && entry < first) [found, first] = [wall, entry]
  }
  return found
}

/**
 * The way round some walls, from one point to another: over the edge of whatever stands first in the way, again and
 * again.
 */
const cornersBetween = (walls: readonly Wall[], from: Vec3, to: Vec3): Corner[] => {
  const corners: Corner[] = []
  let here = from
  while (corners.length < MOST_CORNERS) {
    const wall = firstOf(walls, here, to)
    if (!wall) return corners
    const start = here
    const [best] = edgesOf(wall.wide)
      .map((edge) => ({ ...edge, at: overEdge(start, to, edge) }))
      .filter(({ at }) => distance(at, start) > GRAZE_MM && entryOf(start, at, wall.tight) === undefined)
      .filter(({ at }) => !corners.some((corner) => distance(corner.at, at) < GRAZE_MM))
      .map((corner) => ({
        corner,
        mm: distance(start, corner.at) + distance(corner.at, to),
        blocked: firstOf(walls, start, corner.at) !== undefined,
      }))
      .sort((a, b) => Number(a.blocked) - Number(b.blocked) || a.mm - b.mm)
    if (!best || best.blocked) return corners
    corners.push(best.corner)
    here = best.corner.at
  }
  return corners
}

/** Leaves out corners that are not needed, and slides the others along their edges. */
const pulled = (walls: readonly Wall[], from: Vec3, corners: readonly Corner[], to: Vec3): Vec3[] => {
  const free = (a: Vec3, b: Vec3) => firstOf(walls, a, b) === undefined
  let now = [...corners]
  for (let round = 0; round < PULLS; round++) {
    for (let i = 0; i < now.length; i++) {
      const [before, after] = [now[i - 1]?.at ?? from, now[i + 1]?.at ?? to]
      const corner = now[i]
      if (!corner) continue
      if (free(before, after)) {
        now = now.filter((other) => other !== corner)
        i--
        continue
      }
      const at = overEdge(before, after, corner)
      if (free(before, at) && free(at, after)) now[i] = { ...corner, at }
    }
  }
  return now.map(({ at }) => at)
}

const tightWay = (stops: readonly Vec3[], walls: readonly Wall[]): readonly Vec3[] =>
  stops.slice(1).reduce<readonly Vec3[]>(
    (points, to, i) => {
      const from = stops[i] ?? to
      return [...points, ...pulled(walls, from, cornersBetween(walls, from, to), to), to]
    },
    stops.slice(0, 1),
  )

/** Boxes that come and go together: the hard solids of a piece. */
export type Walls = readonly Bounds[]

/** A way that was tried, and what was in it. */
interface Trail {
  readonly ways: readonly (readonly Vec3[])[]
  readonly heeded: readonly Bounds[]
  /** The walls that what is heeded belongs to. */
  readonly round: readonly Walls[]
  /** Walls of which none but what is heeded touches any of the ways. */
  readonly passed: WeakSet<Walls>
  readonly route: Route
}

const touches = (way: readonly Vec3[], box: Bounds): boolean =>
  way.slice(1).some((to, i) => entryOf(way[i] ?? to, to, box) !== undefined)

/** What stands in the way of a cable, if it does not hold an end or a clamp of it. */
const tightOf = (box: Bounds, stops: readonly Vec3[], off: number): Bounds | undefined => {
  const tight = grown(box, off - GRAZE_MM)
  return stops.some((stop) => within(stop, tight)) ? undefined : tight
}

const follow = (stops: readonly Vec3[], all: readonly Walls[], off: number): Trail => {
  const boxes = all.flat()
  const heeded: Bounds[] = []
  const ways: (readonly Vec3[])[] = []
  for (;;) {
    const walls = heeded.map((box): Wall => ({ tight: grown(box, off - GRAZE_MM), wide: grown(box, off) }))
    const points = tightWay(stops, walls)
    ways.push(points)
    const inTheWay = boxes.filter((box) => {
      const tight = heeded.includes(box) ? undefined : tightOf(box, stops, off)
      return tight !== undefined && touches(points, tight)
    })
    if (inTheWay.length > 0 && ways.length < MOST_WAYS) {
      heeded.push(...inTheWay)
      continue
    }
    const clear = inTheWay.length === 0 && !walls.some(({ tight }) => touches(points, tight))
    const round = all.filter((walls) => walls.some((box) => heeded.includes(box)))
    const route = { points, lengthMm: lengthAlong(points), clear }
    return { ways, heeded, round, passed: new WeakSet(all), route }
  }
}

/**
 * The way of a cable past boxes: straight where it can, round the nearest edges where it can't, pulled tight. Only what
 * stood in the way of an earlier try is gone round. It is short, not proved shortest; never shorter than the straight
 * line.
 * @param stops points it goes through, two at least
 * @example past a 20 mm cube halfway between two points 100 mm apart: over its nearest edges, a little over 100 mm
 */
export const routeOf = (stops: readonly Vec3[], boxes: readonly Bounds[], thickMm: number): Route =>
  follow(stops, [boxes], thickMm / 2 + OFF_MM).route

/**
 * So many ways between the same points are kept, those that served last: of many edits that are tried and dropped some
 * push a cable aside, and after them it lies as it did before.
 */
const MOST_TRAILS = 8

/**
 * Ways that were found before. A way stays what it was as long as all it went round is still there and nothing new
 * stands in any of its tries, so that a rig with one more piece need not lay all its cables anew. The answer is that of
 * `routeOf`; a way that lies as one that is kept is the same object.
 */
export class KnownRoutes {
  readonly #trails = new Map<string, readonly Trail[]>()
  /** Which way was taken among some walls. */
  readonly #among = new WeakMap<readonly Walls[], Map<string, Trail>>()

  routeOf(stops: readonly Vec3[], walls: readonly Walls[], thickMm: number): Route {
    const key = keyOf(stops, thickMm)
    const trail = this.#trailOf(stops, walls, thickMm, key)
    const among = this.#among.get(walls)
    if (among) among.set(key, trail)
    else this.#among.set(walls, new Map([[key, trail]]))
    return trail.route
  }

  /**
   * Does the way that was taken among some walls stay the same when others come or go? Only told where it was asked for
   * there; else false.
   */
  stays(stops: readonly Vec3[], walls: readonly Walls[], thickMm: number, other: Walls): boolean {
    const trail = this.#among.get(walls)?.get(keyOf(stops, thickMm))
    if (!trail || trail.round.includes(other)) return false
    return trail.passed.has(other) || clears(trail, other, stops, offOf(thickMm))
  }

  #trailOf(stops: readonly Vec3[], walls: readonly Walls[], thickMm: number, key: string): Trail {
    const off = offOf(thickMm)
    const known = this.#trails.get(key) ?? []
    const standing = known.find(
      (trail) =>
        trail.round.every((boxes) => walls.includes(boxes)) &&
        walls.every((boxes) => trail.passed.has(boxes) || clears(trail, boxes, stops, off)),
    )
    if (standing) {
      if (standing !== known[0]) this.#trails.set(key, [standing, ...known.filter((trail) => trail !== standing)])
      return standing
    }
    const found = follow(stops, walls, off)
    const route = known.find((trail) => sameRoute(trail.route, found.route))?.route ?? found.route
    const trail = { ...found, route }
    this.#trails.set(key, [trail, ...known].slice(0, MOST_TRAILS))
    return trail
  }
}

/** How far the middle of a cable lies off what it goes round, mm. */
const offOf = (thickMm: number): number => thickMm / 2 + OFF_MM

const sameRoute = (a: Route, b: Route): boolean =>
  a.clear === b.clear &&
  a.points.length === b.points.length &&
  a.points.every((corner, i) => axes.every((axis) => Object.is(corner[axis], b.points[i]?.[axis])))

const wordOf = perThing('words of stops', (stops: readonly Vec3[]): string => stops.flat().join())
const keyOf = (stops: readonly Vec3[], thickMm: number): string => `${thickMm} ${wordOf(stops)}`

const clears = ({ ways, heeded, passed }: Trail, boxes: Walls, stops: readonly Vec3[], off: number): boolean => {
  const meets = (box: Bounds): boolean => {
    const tight = heeded.includes(box) ? undefined : tightOf(box, stops, off)
    return tight !== undefined && ways.some((way) => touches(way, tight))
  }
  if (boxes.some(meets)) return false
  passed.add(boxes)
  return true
}
