import type { PlacedPart } from '../assembly/index.ts'
import type { Weight } from './mass.ts'
import { dot, lengthOf, type Placed, subtract, unit, type Vec3, volumeOf } from '../kernel/index.ts'

/** Moments of inertia about the three axes through a point, g mm^2: pitch about x, yaw about y, roll about z. */
export interface Inertia {
  readonly pitch: number
  readonly yaw: number
  readonly roll: number
}

const axes: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]

/**
 * Moment of a solid of unit mass about an axis through its own middle, mm^2 (solid box, solid and hollow cylinder, any textbook
 * of mechanics).
 */
const ownMoment = (shape: Placed, axis: Vec3): number => {
  if (shape.kind === 'box') {
    // A box is three thin rods' worth of spread: about an axis a, the sum over edges e of |e|^2 - (e.a)^2, thirds of
    // the half edges squared.
    return shape.edges.reduce((sum, edge) => sum + (dot(edge, edge) - dot(edge, axis) ** 2) / 3, 0)
  }
  const half = lengthOf(shape.half)
  const along = half === 0 ? 0 : dot(unit(shape.half), axis) ** 2
  const square = shape.radius ** 2 + (shape.bore ?? 0) ** 2
  const about = square / 2
  const across = square / 4 + half ** 2 / 3
  return about * along + across * (1 - along)
}

/**
 * Inertia of pieces about a point. Each part's mass is spread over its solids by volume, then carried to the point by
 * the parallel-axis theorem; the part's own centre of mass stands in for the middle of its solids. Leads count as
 * points half way along.
 * @example 100 g in a 20 mm cube about its middle: 6,667 g mm^2 about every axis
 */
export const inertiaOf = (pieces: readonly PlacedPart[], about: Vec3, leads: readonly Weight[] = []): Inertia => {
  const sums = [0, 0, 0]
  const put = (massG: number, at: Vec3, own: (axis: Vec3) => number) =>
    axes.forEach((axis, i) => {
      sums[i] = (sums[i] ?? 0) + massG * (own(axis) + dot(at, at) - dot(at, axis) ** 2)
    })
  for (const { massG, at } of leads) put(massG, subtract(at, about), () => 0)
  for (const { part, solids, centre } of pieces) {
    const total = part.solids.reduce((sum, solid) => sum + volumeOf(solid), 0)
    const middle = solids.reduce<Vec3>(
      (sum, { solid, shape }) => {
        const share = volumeOf(solid) / total
        return [sum[0] + shape.centre[0] * share, sum[1] + shape.centre[1] * share, sum[2] + shape.centre[2] * share]
      },
      [0, 0, 0],
    )
    for (const { solid, shape } of solids) {
      const massG = (part.massG * volumeOf(solid)) / total
      const at = subtract(subtract(shape.centre, middle), subtract(about, centre))
      put(massG, at, (axis) => ownMoment(shape, axis))
    }
  }
  return { pitch: sums[0] ?? 0, yaw: sums[1] ?? 0, roll: sums[2] ?? 0 }
}

/** How much the rig shakes for the same hand, against the bare camera: below 1 is calmer. */
export interface Steadiness {
  readonly pitch: number
  readonly yaw: number
  readonly roll: number
  /** The same for shifts instead of turns: mass against mass. */
  readonly shift: number
}

/**
 * Angular shake of the rig against its bare camera, both held at the same palm: `I_bare / I_rig` for each axis, and
 * `m_bare / m_rig` for shifts. The same disturbance turns a body by less the more inertia it has (Newton, Euler). Held
 * alike, only what was added counts: a part of no mass changes nothing, wherever it is held by.
 */
export const steadinessOf = (
  rig: readonly PlacedPart[],
  palm: Vec3,
  camera: PlacedPart,
  leads: readonly Weight[] = [],
): Steadiness => {
  const bare = inertiaOf([camera], palm)
  const all = inertiaOf(rig, palm, leads)
  const ratio = (a: number, b: number): number => (b > 0 ? a / b : 1)
  return {
    pitch: ratio(bare.pitch, all.pitch),
    yaw: ratio(bare.yaw, all.yaw),
    roll: ratio(bare.roll, all.roll),
    shift: ratio(
      camera.part.massG,
      [...rig.map(({ part }) => part), ...leads].reduce((sum, { massG }) => sum + massG, 0),
    ),
  }
}
