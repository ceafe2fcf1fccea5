import { type Assembly, type PlacedPart, slideWay, travelOf } from '../assembly/index.ts'
import type { Mount } from '../catalogue/index.ts'
import { dot, GRAVITY, point, subtract, type Vec3 } from '../kernel/index.ts'
import { inHand, type Mass } from './mass.ts'

/** How the rig sits on the head, gimbal or slider under it. */
export interface OnPlate {
  readonly stand: PlacedPart
  readonly at: Vec3
  /** The stand's own mount: it carries the ratings. */
  readonly mount: Mount
  /** How far the centre lies ahead of, right of and above the middle of the clamp, mm. */
  readonly aheadMm: number
  readonly rightMm: number
  readonly aboveMm: number
  /** How far it lies off the middle, whichever way, mm. */
  readonly offMm: number
  /**
   * The greatest moment on the head while it tilts, N m: `m g sqrt(h^2 + d^2)`, d the way its centre lies ahead of or
   * behind the axis.
   */
  readonly momentNm: number
  /** The slide of the plate that brings the centre nearest over the clamp; undefined when it can't slide. */
  readonly slide: { readonly slideMm: number; readonly byMm: number; readonly leavesMm: number } | undefined
}

/** The piece that stands under the rig: the first one that is not held in the hand but sits on one that is. */
const standUnder = (assembly: Assembly): PlacedPart | undefined =>
  assembly.placed.find((piece) => piece.mate?.ok && !inHand(piece) && piece.host !== undefined && inHand(piece.host))

/**
 * Where the centre of mass lies over the plate of a stand. Sliding the stand under the rig by s moves the clamp, not
 * the centre.
 * @returns undefined when the rig stands on nothing.
 * @example 2 kg whose centre stands 80 mm over and 60 mm ahead of the clamp: 2 x 9.80665 x 0.1 = 1.96 N m
 */
export const onPlateOf = (assembly: Assembly, mass: Mass): OnPlate | undefined => {
  const stand = standUnder(assembly)
  const mount = stand?.part.mounts.find(({ id }) => id === stand.joint?.guestMount)
  if (!stand || !mount) return undefined
  const at = point(stand.frame, mount.at)
  const off = subtract(mass.centre, at)
  const aboveMm = off[1]
  return {
    stand,
    at,
    mount,
    aheadMm: -off[2],
    rightMm: off[0],
    aboveMm,
    offMm: Math.hypot(off[0], off[2]),
    momentNm: ((mass.inHandG / 1000) * GRAVITY * Math.hypot(aboveMm, off[2])) / 1000,
    slide: slideTo(stand, off),
  }
}

const slideTo = (stand: PlacedPart, off: Vec3): OnPlate['slide'] => {
  const travel = travelOf(stand)
  const way = slideWay(stand)
  if (!travel || !way || !stand.joint) return undefined
  const wanted = stand.joint.slideMm + dot(off, way)
  const stepped = travel.minMm + Math.round((wanted - travel.minMm) / travel.stepMm) * travel.stepMm
  const slideMm = Math.min(travel.maxMm, Math.max(travel.minMm, stepped))
  return { slideMm, byMm: slideMm - stand.joint.slideMm, leavesMm: wanted - slideMm }
}

/** How far a centre lies beyond what each arm of a gimbal can take up, mm; all zero when it can be balanced. */
export const beyondGimbal = (
  assembly: Assembly,
  mass: Mass,
): { readonly piece: PlacedPart; readonly beyondMm: Vec3 } | undefined => {
  const piece = assembly.placed.find(({ part }) => part.under?.kind === 'gimbal')
  const under = piece?.part.under
  if (!piece || under?.kind !== 'gimbal') return undefined
  const off = subtract(mass.centre, point(piece.frame, under.at))
  const own = [dot(off, piece.frame.x), dot(off, piece.frame.y), dot(off, piece.frame.z)]
  const beyond = own.map((value, i) => Math.max(0, Math.abs(value) - (under.reachMm[i] ?? 0)))
  return { piece, beyondMm: [beyond[0] ?? 0, beyond[1] ?? 0, beyond[2] ?? 0] }
}
