import { perThing } from './memo.ts'
import type { Placed } from './shape.ts'
import { add, cross, dot, lengthOf, scale, subtract, unit, type Vec3 } from './vector.ts'

const REFINE_STEPS = 26
const REFINE_START_RAD = 0.4

/** What is asked of one direction of length 1; true: enough is known. */
type Visit = (x: number, y: number, z: number) => boolean

/** Shorter than this a vector has no direction. */
const NO_LENGTH = 1e-12
const visitAlong = (x: number, y: number, z: number, visit: Visit): boolean => {
  const length = Math.sqrt(x * x + y * y + z * z)
  return length > NO_LENGTH && visit(x / length, y / length, z / length)
}

/** How many directions a shape has of its own, and each of them, of any length. */
const axesCount = (s: Placed): number => (s.kind === 'box' ? 3 : 1)
const axisAt = (s: Placed, i: number): Vec3 => (s.kind === 'box' ? (s.edges[i as 0 | 1 | 2] ?? s.edges[0]) : s.half)

/** From a bar's axis straight towards a place; `x y z` is the place seen from the bar's middle. */
const visitAcross = (half: Vec3, x: number, y: number, z: number, visit: Visit): boolean => {
  const squared = half[0] * half[0] + half[1] * half[1] + half[2] * half[2]
  const k = squared < NO_LENGTH ? 0 : (half[0] * x + half[1] * y + half[2] * z) / squared
  return visitAlong(x - half[0] * k, y - half[1] * k, z - half[2] * k, visit)
}

/** From a bar towards the middle of another shape and towards each of its corners, or the middles of its two ends. */
const someTowards = (bar: Placed, other: Placed, apart: Vec3, sign: 1 | -1, visit: Visit): boolean => {
  if (bar.kind !== 'cylinder') return false
  const { half } = bar
  if (visitAcross(half, apart[0], apart[1], apart[2], visit)) return true
  const x = sign * apart[0]
  const y = sign * apart[1]
  const z = sign * apart[2]
  if (other.kind === 'cylinder') {
    const h = other.half
    return (
      visitAcross(half, x + h[0], y + h[1], z + h[2], visit) || visitAcross(half, x - h[0], y - h[1], z - h[2], visit)
    )
  }
  const [p, q, r] = other.edges
  for (let corner = 0; corner < 8; corner++) {
    const i = corner & 4 ? 1 : -1
    const j = corner & 2 ? 1 : -1
    const k = corner & 1 ? 1 : -1
    const cx = x + p[0] * i + q[0] * j + r[0] * k
    const cy = y + p[1] * i + q[1] * j + r[1] * k
    const cz = z + p[2] * i + q[2] * j + r[2] * k
    if (visitAcross(half, cx, cy, cz, visit)) return true
  }
  return false
}

/**
 * The directions in which two convex shapes can part most easily, one after the other until one of them is enough: face
 * normals, axes, their crosses, and round bars towards corners.
 * @param apart from the middle of one to the middle of the other
 */
const someDirection = (a: Placed, b: Placed, apart: Vec3, visit: Visit): boolean => {
  const [m, n] = [axesCount(a), axesCount(b)]
  for (let i = 0; i < m; i++) {
    const d = axisAt(a, i)
    if (visitAlong(d[0], d[1], d[2], visit)) return true
  }
  for (let i = 0; i < n; i++) {
    const d = axisAt(b, i)
    if (visitAlong(d[0], d[1], d[2], visit)) return true
  }
  for (let i = 0; i < m; i++) {
    const p = axisAt(a, i)
    const pp = p[0] * p[0] + p[1] * p[1] + p[2] * p[2]
    for (let j = 0; j < n; j++) {
      const q = axisAt(b, j)
      const x = p[1] * q[2] - p[2] * q[1]
      const y = p[2] * q[0] - p[0] * q[2]
      const z = p[0] * q[1] - p[1] * q[0]
      // Directions that are alike have no cross of their own but what rounding made up.
      if (x * x + y * y + z * z < ALIKE * pp * (q[0] * q[0] + q[1] * q[1] + q[2] * q[2])) continue
      if (visitAlong(x, y, z, visit)) return true
    }
  }
  return (
    someTowards(a, b, apart, 1, visit) ||
    someTowards(b, a, apart, -1, visit) ||
    visitAlong(apart[0], apart[1], apart[2], visit)
  )
}
/** The squared sine of the angle below which two directions are taken for the same. */
const ALIKE = 1e-18

/** The overlap of the shadows of two shapes along a direction of length 1. */
const overlapAlong = (a: Placed, b: Placed, apart: Vec3, x: number, y: number, z: number): number =>
  reachAlong(a, x, y, z) + reachAlong(b, x, y, z) - Math.abs(apart[0] * x + apart[1] * y + apart[2] * z)

/** So many straight pieces make the wall of a ring. */
const WALL_PIECES = 24

/**
 * The wall of a ring as straight pieces whose inner faces touch the bore: none reaches into it, and what they stand out
 * at their corners is under a hundredth of the radius.
 */
const wallOf = perThing('wall of a ring', (ring: Placed): readonly Placed[] => {
  if (ring.kind !== 'cylinder' || ring.bore === undefined) return [ring]
  const { bore, radius, half, centre } = ring
  const axis = unit(half)
  const side = unit(cross(axis, Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]))
  const up = cross(axis, side)
  const wide = radius * Math.tan(Math.PI / WALL_PIECES)
  return Array.from({ length: WALL_PIECES }, (_, i): Placed => {
    const angle = (2 * Math.PI * i) / WALL_PIECES
    const out = add(scale(side, Math.cos(angle)), scale(up, Math.sin(angle)))
    return {
      kind: 'box',
      centre: add(centre, scale(out, (bore + radius) / 2)),
      edges: [scale(out, (radius - bore) / 2), scale(cross(axis, out), wide), half],
    }
  })
})

const hollow = (shape: Placed): boolean => shape.kind === 'cylinder' && shape.bore !== undefined

/**
 * How deep two shapes press into each other, in mm; zero or less means they are apart. What passes through the bore of
 * a ring without touching its wall does not press into it.
 * @param enough at this depth or less nobody needs the exact figure
 * @param beyond at more than this depth nobody does either: what is given then may be less, but is more than this
 */
export const penetration = (a: Placed, b: Placed, enough = 0, beyond = Infinity): number => {
  const whole = between(a, b, enough, beyond)
  if (whole <= enough || !(hollow(a) || hollow(b))) return whole
  let deepest = 0
  for (const p of wallOf(a))
    for (const q of wallOf(b)) deepest = Math.max(deepest, between(p, q, Math.max(enough, deepest), beyond))
  return Math.min(whole, deepest)
}

/**
 * How deep two convex shapes press into each other, in mm; zero or less means they are apart along some direction.
 *
 * The depth is the least overlap of their shadows over all directions (separating axis theorem). Box against box is
 * exact from the fifteen classic axes; with a cylinder the best few of those are refined by walking the sphere of
 * directions, which finds the least overlap to a few hundredths of a millimetre. Shapes in line at one point give their
 * full overlap. The walk is laid out along the shapes themselves, so that turning both together changes nothing.
 * @example two 10 mm cubes 8 mm apart along x press 2 mm into each other
 */
const between = (a: Placed, b: Placed, enough: number, beyond: number): number => {
  const apart = subtract(b.centre, a.centre)
  if (a.kind === 'box' && b.kind === 'box') return betweenBoxes(a.edges, b.edges, apart, enough)
  let best = Infinity
  let count = 0
  const parts = someDirection(a, b, apart, (x, y, z) => {
    const value = overlapAlong(a, b, apart, x, y, z)
    if (value < best) best = value
    tried[count++] = x
    tried[count++] = y
    tried[count++] = z
    tried[count++] = value
    return best <= enough
  })
  if (parts) return best
  // What lies inside a shape comes no deeper than the shape does.
  if (beyond < best) {
    const inside = betweenBoxes(edgesInside(a), edgesInside(b), apart, beyond)
    if (inside > beyond) return inside
  }
  const first = unit(axisAt(a.kind === 'cylinder' ? a : b, 0))
  const spare = unit(axisAt(a.kind === 'cylinder' ? b : a, 0))
  const starts = startsAmong(count, best)
  for (const start of starts) {
    best = Math.min(best, refine(a, b, apart, start, first, spare, enough))
    if (best <= enough) return best
  }
  return best
}

/** The half edges of a box that lies inside a shape: itself, or of a round bar the square one in it. */
const edgesInside = (shape: Placed): Edges => {
  if (shape.kind === 'box') return shape.edges
  const { half, radius } = shape
  const side = unit(cross(half, Math.abs(half[1]) < 0.9 * lengthOf(half) ? [0, 1, 0] : [1, 0, 0]))
  const other = unit(cross(half, side))
  return [scale(side, radius * Math.SQRT1_2), scale(other, radius * Math.SQRT1_2), half]
}

/** The directions that were tried and the overlap along each, four figures a direction: it is filled and read at once. */
const tried = new Float64Array(4 * 48)

/** The few directions worth walking from, the least overlap first, none of them near another. */
const startsAmong = (count: number, best: number): readonly Vec3[] => {
  const starts: Vec3[] = []
  for (let taken = 0; taken < count; taken += 4) {
    let least = 0
    for (let i = 4; i < count; i += 4) if ((tried[i + 3] ?? 0) < (tried[least + 3] ?? 0)) least = i
    if ((tried[least + 3] ?? Infinity) > best * HOPELESS + 1) break
    const d: Vec3 = [tried[least] ?? 0, tried[least + 1] ?? 0, tried[least + 2] ?? 0]
    tried[least + 3] = Infinity
    if (starts.some((other) => Math.abs(dot(other, d)) > NEAR)) continue
    starts.push(d)
    if (starts.length === STARTS) break
  }
  return starts
}

type Edges = Extract<Placed, { kind: 'box' }>['edges']

/** The shadow of half a box along a direction of any length. */
const shadow = (edges: Edges, x: number, y: number, z: number): number => {
  const p = edges[0]
  const q = edges[1]
  const r = edges[2]
  return (
    Math.abs(p[0] * x + p[1] * y + p[2] * z) +
    Math.abs(q[0] * x + q[1] * y + q[2] * z) +
    Math.abs(r[0] * x + r[1] * y + r[2] * z)
  )
}

/** The overlap of the shadows of two boxes along one direction; endless where the direction is none. */
const boxesAlong = (a: Edges, b: Edges, apart: Vec3, x: number, y: number, z: number): number => {
  const length = Math.sqrt(x * x + y * y + z * z)
  if (length < 1e-12) return Infinity
  const middle = Math.abs(apart[0] * x + apart[1] * y + apart[2] * z)
  return (shadow(a, x, y, z) + shadow(b, x, y, z) - middle) / length
}

/**
 * Two boxes along the fifteen directions that count (Gottschalk, Lin, Manocha: OBBTree, 1996). Written without lists:
 * most of what is ever measured is this. Edges are crossed only where the faces have not parted the boxes already.
 */
const betweenBoxes = (a: Edges, b: Edges, apart: Vec3, enough: number): number => {
  let best = Infinity
  for (const edges of [a, b])
    for (const d of edges) {
      best = Math.min(best, boxesAlong(a, b, apart, d[0], d[1], d[2]))
      if (best <= enough) return best
    }
  for (const p of a) {
    const pp = p[0] * p[0] + p[1] * p[1] + p[2] * p[2]
    for (const q of b) {
      const x = p[1] * q[2] - p[2] * q[1]
      const y = p[2] * q[0] - p[0] * q[2]
      const z = p[0] * q[1] - p[1] * q[0]
      // Edges that run alike have no cross of their own but what rounding made up.
      if (x * x + y * y + z * z < ALIKE * pp * (q[0] * q[0] + q[1] * q[1] + q[2] * q[2])) continue
      best = Math.min(best, boxesAlong(a, b, apart, x, y, z))
      if (best <= enough) return best
    }
  }
  return best
}
/** Starts whose directions are closer than this (cosine) lead to the same place. */
const NEAR = 0.995
const STARTS = 3
/** A start this many times worse than the best so far is not worth walking from. */
const HOPELESS = 2

/** How far a shape reaches from its centre along a unit direction, given as three figures. */
const reachAlong = (shape: Placed, x: number, y: number, z: number): number => {
  if (shape.kind === 'box') return shadow(shape.edges, x, y, z)
  const hx = shape.half[0]
  const hy = shape.half[1]
  const hz = shape.half[2]
  const half = Math.sqrt(hx * hx + hy * hy + hz * hz)
  const onAxis = hx * x + hy * y + hz * z
  const along = half === 0 ? 0 : onAxis / half
  return Math.abs(onAxis) + shape.radius * Math.sqrt(Math.max(0, 1 - along * along))
}

/** Walks from a direction to the least overlap near it. Plain figures, no vectors: this is walked very often. */
const refine = (a: Placed, b: Placed, apart: Vec3, start: Vec3, along: Vec3, spare: Vec3, enough: number): number => {
  let x = start[0]
  let y = start[1]
  let z = start[2]
  let best = overlapAlong(a, b, apart, x, y, z)
  let step = REFINE_START_RAD
  for (let i = 0; i < REFINE_STEPS && best > enough; i++) {
    const ref = Math.abs(x * along[0] + y * along[1] + z * along[2]) < 0.9 ? along : spare
    const cx = y * ref[2] - z * ref[1]
    const cy = z * ref[0] - x * ref[2]
    const cz = x * ref[1] - y * ref[0]
    const long = Math.sqrt(cx * cx + cy * cy + cz * cz)
    const inverse = long < 1e-12 ? 0 : 1 / long
    const sx = cx * inverse
    const sy = cy * inverse
    const sz = cz * inverse
    const ox = y * sz - z * sy
    const oy = z * sx - x * sz
    const oz = x * sy - y * sx
    let moved = false
    for (let k = 0; k < 4; k++) {
      const p = k === 0 ? step : k === 2 ? -step : 0
      const q = k === 1 ? step : k === 3 ? -step : 0
      // Each try starts from the best so far, as the walk does.
      const tx = x + (sx * p + ox * q)
      const ty = y + (sy * p + oy * q)
      const tz = z + (sz * p + oz * q)
      const shrink = 1 / Math.sqrt(tx * tx + ty * ty + tz * tz)
      const dx = tx * shrink
      const dy = ty * shrink
      const dz = tz * shrink
      const middle = Math.abs(apart[0] * dx + apart[1] * dy + apart[2] * dz)
      const value = reachAlong(a, dx, dy, dz) + reachAlong(b, dx, dy, dz) - middle
      if (value < best) {
        best = value
        x = dx
        y = dy
        z = dz
        moved = true
      }
    }
    if (!moved) step /= 2
  }
  return best
}

/**
 * Does a shape that goes a way for ever pass another, coming no deeper into it than `enough`? Told by their shadows
 * across the way, which stay what they are while it goes. False where that does not tell.
 */
export const passes = (a: Placed, b: Placed, way: Vec3, enough: number): boolean => {
  const apart = subtract(b.centre, a.centre)
  return someDirection(a, b, apart, (x, y, z) => {
    const along = x * way[0] + y * way[1] + z * way[2]
    const ax = x - way[0] * along
    const ay = y - way[1] * along
    const az = z - way[2] * along
    const length = Math.sqrt(ax * ax + ay * ay + az * az)
    // What runs along the way itself says nothing.
    if (length < NO_LENGTH) return false
    return overlapAlong(a, b, apart, ax / length, ay / length, az / length) <= enough
  })
}
