import type { PlacedPart } from '../assembly/index.ts'
import { type Mount, mountOf, type Part, standardOf, type Tool } from '../catalogue/index.ts'
import { cross, distanceToSkin, dot, perPair, perThing, type Shape, type Vec3 } from '../kernel/index.ts'

/** How hard a screw is tightened without straining, N m. */
export const TORQUE_NM: Readonly<Record<Tool, number>> = { fingers: 0.3, coin: 0.8, 'hex key': 2, lever: 0.3 }
/** Friction of screw and nut: `F = T / (0.2 d)`, the usual figure for dry steel. */
const NUT = 0.2
/** Friction between painted metal faces. */
const FACE = 0.2
/** Pressure spreads no farther than this from a camera screw, whatever plate lies there. mm */
const SPREAD_MM = 10
/** A mount lies on a solid when it is no farther from its skin. mm */
const ON_SKIN_MM = 1

const QUARTER_MM = 6.35

/** Diameter of a thread, mm; undefined for what is no screw. */
const threadMm = (standard: string): number | undefined =>
  // A cage is drawn against the body by a 1/4" screw through its base.
  standard.startsWith('thread-1/4') || standard === 'body'
    ? QUARTER_MM
    : standard.startsWith('thread-3/8')
      ? 9.525
      : undefined

/** Half of the narrower side of the face round a mount, mm: as far as the foot really touches. */
const faceMm = perPair('face round a mount', (part: Part, { at, out }: Mount): number => {
  const touching = part.solids.filter((solid) => distanceToSkin(solid, at) <= ON_SKIN_MM)
  return Math.max(0, ...touching.map((solid) => narrowest(solid, out)))
})

const narrowest = (solid: Shape, out: Vec3): number => {
  if (solid.kind === 'cylinder')
    return Math.abs(dot(solid.axis, out)) > 0.7 ? solid.radius : Math.min(solid.radius, solid.length / 2)
  const [x, y] = solid.axes ?? [
    [1, 0, 0],
    [0, 1, 0],
  ]
  const sides = [x, y, cross(x, y)].map((axis, i) => ({
    faces: Math.abs(dot(axis, out)),
    half: (solid.size[i] ?? 0) / 2,
  }))
  return Math.min(...sides.filter(({ faces }) => faces < 0.7).map(({ half }) => half))
}

/** What a screw of a diameter, tightened with a torque on a foot half so wide, holds by friction, N m. */
const frictionNm = (torqueNm: number, diameterMm: number, footMm: number): number =>
  (FACE * (torqueNm / (NUT * diameterMm)) * 2 * footMm) / 3

/** What fingers hold with a 1/4 inch screw under a foot 20 mm across, N m: 0.315. */
export const FINGERS_HOLD_NM = frictionNm(TORQUE_NM.fingers, QUARTER_MM, SPREAD_MM)

/** What friction holds a screwed joint with. */
export interface Grasp {
  readonly tool: Tool
  /** Half of the foot that touches, mm. */
  readonly footMm: number
  /** The twist at which it begins to slip, N m. */
  readonly holdsNm: number
}

/**
 * What friction alone holds against a twist: `F = T / (0.2 d)` from the tool's torque, times the friction of the faces,
 * times two thirds of the radius of the foot that touches (a disc under even pressure).
 * @returns undefined for a joint that is not one screw
 * @example a coin, 1/4 inch, a foot 20 mm across: 0.8 N m / (0.2 x 6.35 mm) = 630 N; 0.2 x 630 N x 6.67 mm = 0.84 N m
 */
export const graspOf = perThing('friction of a joint', (piece: PlacedPart): Grasp | undefined => {
  const { host, joint, mate } = piece
  if (!host || !joint || !mate?.ok) return undefined
  const { plug, tool } = mate.value
  const d = threadMm(standardOf(plug.mount.standard).id)
  const [onHost, own] = [mountOf(host.part, joint.hostMount), mountOf(piece.part, joint.guestMount)]
  if (d === undefined || !onHost || !own) return undefined
  const touching = Math.min(faceMm(host.part, onHost), faceMm(piece.part, own))
  const footMm = Math.min(SPREAD_MM, touching > 0 ? touching : SPREAD_MM)
  return { tool, footMm, holdsNm: frictionNm(TORQUE_NM[tool], d, footMm) }
})
