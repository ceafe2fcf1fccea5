import { type PlacedPart, ridesOn } from '../assembly/index.ts'
import { mountOf, type Mount, type Way } from '../catalogue/index.ts'
import {
  add,
  type Bounds,
  cross,
  direction,
  dot,
  overlap,
  passes,
  penetration,
  perPair,
  perThing,
  type Placed,
  scale,
  unit,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'

/**
 * One way in which a piece leaves its seat, and so, the other way round, comes to it: straight along a direction until it
 * is clear, or out of its joint first and then aside.
 */
export interface Path {
  /** What the joint lets it do first: unit direction in the rig's frame in which it leaves. */
  readonly off: Vec3
  /** How far it has to go that way before it is free of its joint, mm. */
  readonly freeMm: number
  /** Where it goes then; the same direction where nothing stands before it. */
  readonly away: Vec3
  /** The upright boxes round all the piece passes through, one for each leg: what is in none of them is not in its way. */
  readonly swept: readonly Bounds[]
}

/** A piece may press so much into another on its way, beyond what both do where they sit: paint and rubber. mm */
export const SCRAPE_MM = 1
/** The strides in which a path is looked at, mm; no part of the catalogue is thinner where it is hard. */
const STRIDE_MM = 2
/** As far as the longest rig; farther out nothing is in the way. mm */
const FAR_MM = 700
/** Screws, bayonets and clamps are free once they are so far out, where nothing else is known. mm */
const USUAL_FREE_MM = 12

const axes: readonly Vec3[] = [
  [0, 1, 0],
  [0, 0, 1],
  [0, 0, -1],
  [-1, 0, 0],
  [1, 0, 0],
  [0, -1, 0],
]

type Exit = Pick<Path, 'off' | 'freeMm'>

/** The directions in which a joint lets its guest go, with how far it has to go to be free of it. */
const exitsOf = (piece: PlacedPart): readonly Exit[] => {
  const { host, joint, mate } = piece
  const hostMount = host && joint && mountOf(host.part, joint.hostMount)
  const guestMount = joint && mountOf(piece.part, joint.guestMount)
  if (!host || !hostMount || !guestMount || !mate?.ok) return []
  const { standard } = mate.value
  const out = direction(host.frame, hostMount.out)
  const up = direction(host.frame, hostMount.up)
  const both = (way: Vec3, freeMm: number): readonly Exit[] => [
    { off: way, freeMm },
    { off: scale(way, -1), freeMm },
  ]
  const along = (): readonly Exit[] => {
    const railMm = Math.max(hostMount.lengthMm ?? 0, guestMount.lengthMm ?? 0)
    const takesMm = standard.along?.takesMm({ part: piece.part, mount: guestMount }) ?? 0
    const slidOffMm = railMm > 0 ? (railMm + takesMm) / 2 + Math.abs(joint.slideMm) : 2 * USUAL_FREE_MM
    return both(travelOf(host, hostMount) ?? travelOf(piece, guestMount) ?? up, slidOffMm)
  }
  const exits = (way: Way): readonly Exit[] => {
    switch (way) {
      case 'out':
        return [{ off: out, freeMm: hostMount.screwMm ?? guestMount.screwMm ?? USUAL_FREE_MM }]
      case 'up':
        return [{ off: up, freeMm: 2 * USUAL_FREE_MM }]
      case 'down':
        return [{ off: scale(up, -1), freeMm: 2 * USUAL_FREE_MM }]
      case 'side':
        return both(unit(cross(up, out)), 2 * USUAL_FREE_MM)
      case 'along':
        return along()
    }
  }
  const slides = hostMount.slidesOn === true || guestMount.slidesOn === true
  return flatMap(slides ? slidesAlong : (standard.goesOn ?? screwsOut), exits)
}
const slidesAlong: readonly Way[] = ['along']
const screwsOut: readonly Way[] = ['out']

/** The way along which a mount lets a piece slide, in the rig's frame. */
const travelOf = ({ frame }: PlacedPart, { travel }: Mount): Vec3 | undefined =>
  travel && direction(frame, travel.along)

const shifted = ({ min, max }: Bounds, by: Vec3): Bounds => ({ min: add(min, by), max: add(max, by) })
/** The box round a box on its whole way, so far along a direction. */
const sweptAlong = ({ min, max }: Bounds, way: Vec3, farMm: number): Bounds => {
  const x = way[0] * farMm
  const y = way[1] * farMm
  const z = way[2] * farMm
  return {
    min: [min[0] + Math.min(0, x), min[1] + Math.min(0, y), min[2] + Math.min(0, z)],
    max: [max[0] + Math.max(0, x), max[1] + Math.max(0, y), max[2] + Math.max(0, z)],
  }
}

const exitsKept = perThing('exits of a piece', exitsOf)

/** The ways in which a piece goes straight out of its seat. */
const straightsOf = perThing('straight paths of a piece', (piece: PlacedPart): readonly Path[] =>
  exitsKept(piece).map(({ off, freeMm }): Path => ({
    off,
    freeMm,
    away: off,
    swept: [sweptAlong(piece.bounds, off, FAR_MM)],
  })),
)

/** All ways in which a piece leaves its seat, the straightest first. */
export const pathsOf = perThing('paths of a piece', (piece: PlacedPart): readonly Path[] => {
  const paths = [...straightsOf(piece)]
  for (const { off, freeMm } of exitsKept(piece)) {
    const outside = shifted(piece.bounds, scale(off, freeMm))
    const leaving = sweptAlong(piece.bounds, off, freeMm)
    for (const away of axes)
      if (Math.abs(dot(away, off)) <= 0.7)
        paths.push({ off, freeMm, away, swept: [leaving, sweptAlong(outside, away, FAR_MM)] })
  }
  return paths
})

/** Is there a way for a piece that a judge lets pass? Most go straight, so the others are only worked out where needed. */
export const hasPath = (piece: PlacedPart, lets: (path: Path) => boolean): boolean => {
  const straight = straightsOf(piece)
  return straight.some(lets) || pathsOf(piece).slice(straight.length).some(lets)
}

const moved = (shape: Placed, by: Vec3): Placed => ({ ...shape, centre: add(shape.centre, by) })

/** From where to where along a direction two boxes meet while one of them goes that way, mm; empty when never. */
const meeting = (a: Bounds, b: Bounds, way: Vec3, toMm: number, slackMm: number): Meeting => {
  let from = 0
  let to = toMm
  for (let axis = 0; axis < 3; axis++) {
    const speed = way[axis] ?? 0
    const enter = (b.min[axis] ?? 0) - (a.max[axis] ?? 0) + slackMm
    const leave = (b.max[axis] ?? 0) - (a.min[axis] ?? 0) - slackMm
    if (Math.abs(speed) < 1e-9) {
      if (enter > 0 || leave < 0) return NEVER
    } else {
      from = Math.max(from, (speed > 0 ? enter : leave) / speed)
      to = Math.min(to, (speed > 0 ? leave : enter) / speed)
    }
    if (from > to) return NEVER
  }
  return { from, to }
}
interface Meeting {
  readonly from: number
  readonly to: number
}
const NEVER: Meeting = { from: 1, to: 0 }

/**
 * One straight leg of a path: from where, which way, how far; depths up to `slackMm` are none, beyond `enoughMm` all
 * one. Beyond `roughMm` it is only told that they are.
 */
interface Leg {
  readonly start: Vec3
  readonly way: Vec3
  readonly longMm: number
  readonly slackMm: number
  readonly enoughMm: number
  readonly roughMm: number
}

/** How deep the hard solids of one piece come into those of another on one straight leg of a path, mm. */
const depthOnLeg = (piece: PlacedPart, other: PlacedPart, leg: Leg): number => {
  const { start, way, longMm, slackMm, enoughMm, roughMm } = leg
  let deepest = 0
  const whole = meeting(shifted(piece.bounds, start), other.bounds, way, longMm, slackMm)
  if (whole.from > whole.to) return 0
  for (const { solid, shape, bounds } of piece.solids) {
    if (solid.matter === 'soft') continue
    const outset = shifted(bounds, start)
    const near = meeting(outset, other.bounds, way, longMm, slackMm)
    if (near.from > near.to) continue
    const set = moved(shape, start)
    for (const theirs of other.solids) {
      if (theirs.solid.matter === 'soft') continue
      const { from, to } = meeting(outset, theirs.bounds, way, longMm, slackMm)
      if (from > to || (from < to && passes(set, theirs.shape, way, slackMm))) continue
      // In strides, the middle first: what stands in a way is mostly deepest there.
      const count = Math.floor((to - from) / STRIDE_MM) + 1
      const middle = count >> 1
      for (let i = 0; i < count; i++) {
        const stride = i === 0 ? middle : i <= middle ? i - 1 : i
        const at = moved(set, scale(way, from + stride * STRIDE_MM))
        const depth = penetration(at, theirs.shape, Math.max(slackMm, deepest), roughMm)
        if (depth > deepest) deepest = depth
        if (deepest > enoughMm) return deepest
      }
    }
  }
  return deepest
}
/** Deeper is no matter of how it is done: it does not go that way. mm */
const LOCKED_MM = 5

/** How deep a piece comes into another where it sits, mm. */
const seatedDepth = (piece: PlacedPart, other: PlacedPart, slackMm: number): number =>
  depthOnLeg(piece, other, {
    start: NOWHERE,
    way: AHEAD,
    longMm: 0,
    slackMm,
    enoughMm: LOCKED_MM,
    roughMm: Infinity,
  })
const NOWHERE: Vec3 = [0, 0, 0]
const AHEAD: Vec3 = [0, 0, -1]

/** How deep a piece comes into another on either leg of a path, mm. */
const depthOnWay = (
  piece: PlacedPart,
  other: PlacedPart,
  { off, freeMm, away }: Omit<Path, 'swept'>,
  limits: Pick<Leg, 'slackMm' | 'enoughMm' | 'roughMm'>,
): number => {
  const { enoughMm } = limits
  const leg = (start: Vec3, way: Vec3, longMm: number) => depthOnLeg(piece, other, { start, way, longMm, ...limits })
  if (dot(off, away) > 0.99) return leg(NOWHERE, off, FAR_MM)
  const out = leg(NOWHERE, off, freeMm)
  return out > enoughMm ? out : Math.max(out, leg(scale(off, freeMm), away, FAR_MM))
}

/**
 * How deep a piece would come into another on a path, beyond what both press into each other where they sit, mm.
 * @param slackMm less than this is not told from 0
 */
export const scrapes = (
  piece: PlacedPart,
  other: PlacedPart,
  path: Omit<Path, 'swept'>,
  slackMm = SCRAPE_MM,
): number => {
  const seated = seatedDepth(piece, other, slackMm)
  const onWay = depthOnWay(piece, other, path, { slackMm, enoughMm: LOCKED_MM, roughMm: Infinity })
  return Math.max(0, onWay - seated)
}

/** Where it is only asked whether a piece scrapes on its way: so deep it does, and nobody needs to know how much more. */
const scraping = (seatedMm: number): Pick<Leg, 'enoughMm' | 'roughMm'> => {
  const enoughMm = Math.min(LOCKED_MM, seatedMm + SCRAPE_MM)
  // Of what sits deeper than that in another already, the exact depths are set against each other.
  return { enoughMm, roughMm: enoughMm < LOCKED_MM ? enoughMm : Infinity }
}

/** What pieces meet on a path: each is looked at when it is asked for, and known as long as both are the same. */
const met = perPair('paths between pieces', (piece: PlacedPart, other: PlacedPart) => ({
  seatedMm: seatedDepth(piece, other, SCRAPE_MM),
  onPaths: new Map<Path, boolean>(),
}))
const meets = (piece: PlacedPart, other: PlacedPart, path: Path): boolean => {
  const { seatedMm, onPaths } = met(piece, other)
  const before = onPaths.get(path)
  if (before !== undefined) return before
  const now = depthOnWay(piece, other, path, { slackMm: SCRAPE_MM, ...scraping(seatedMm) }) - seatedMm > SCRAPE_MM
  onPaths.set(path, now)
  return now
}

/** Is a joint closed round what it holds, so that the two never stand in each other's way? */
const closesRound = ({ mate }: PlacedPart): boolean => mate?.ok === true && mate.value.standard.closesRound === true

const mayCross = ({ swept }: Path, { bounds }: PlacedPart): boolean => {
  for (const box of swept) if (overlap(box, bounds, SCRAPE_MM)) return true
  return false
}

/**
 * Does another piece stand in a path of this one? What rides on it comes along with it or after it, or may be what is
 * asked about: then it goes the same way.
 */
export const stands = (piece: PlacedPart, other: PlacedPart, path: Path, rider: PlacedPart = piece): boolean =>
  // The boxes are those of the piece itself: a rider passes elsewhere.
  (rider !== piece || mayCross(path, other)) &&
  !ridesOn(other, piece) &&
  !(other === piece.host && closesRound(piece)) &&
  meets(rider, other, path)

/** Does another piece stand in the way of one and of what goes with it? */
export const standsBefore = (
  piece: PlacedPart,
  other: PlacedPart,
  path: Path,
  riders: readonly PlacedPart[],
): boolean => stands(piece, other, path) || riders.some((rider) => stands(piece, other, path, rider))

/** So deep a piece may come into the camera on its way before it leaves a mark, beyond where it sits, mm. */
export const RUB_MM = 0.3

/**
 * What the gentlest way of a piece to its seat takes off the body it is built on, mm; 0 where it goes clear of it. More than
 * `SCRAPE_MM` only says that no way is gentler than that.
 */
export const rubs = perPair('rubs on the body', (piece: PlacedPart, body: PlacedPart): number => {
  if (piece.host === body && closesRound(piece)) return 0
  const seated = seatedDepth(piece, body, RUB_MM)
  const limits = { slackMm: RUB_MM, ...scraping(seated) }
  let least = Infinity
  hasPath(piece, (path) => {
    // A way that leads past it touches nothing of it.
    const crosses = path.swept.some((box) => overlap(box, body.bounds, RUB_MM))
    const onWay = crosses ? depthOnWay(piece, body, path, limits) : 0
    least = Math.min(least, Math.max(0, onWay - seated))
    return least <= RUB_MM
  })
  return Number.isFinite(least) && least > RUB_MM ? least : 0
})
