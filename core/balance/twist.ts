import { type Assembly, carriedBy, type PlacedPart } from '../assembly/index.ts'
import { cross, direction, GRAVITY, lengthOf, point, subtract } from '../kernel/index.ts'
import { centreOfMass } from './mass.ts'

/**
 * The moment that tries to turn a piece about the screw it sits by, N m: `m g d`, with d the distance of the carried centre of
 * mass from the screw's axis. It is what gravity does when the rig is swung on its side, the worst attitude in the hand.
 * @example 0.5 kg carried 20 mm off the axis: 0.098 N m
 */
export const twistNm = (assembly: Assembly, piece: PlacedPart): number => {
  const { host, joint } = piece
  if (!host || !joint) return 0
  const mount = host.part.mounts.find(({ id }) => id === joint.hostMount)
  if (!mount) return 0
  const { massG, centre } = centreOfMass(carriedBy(assembly, piece))
  const arm = subtract(centre, point(host.frame, mount.at))
  // A clamp turns about the rod it runs along; anything else about its screw.
  const axis = piece.mate?.ok && piece.mate.value.along && mount.travel ? mount.travel.along : mount.out
  const offMm = lengthOf(cross(arm, direction(host.frame, axis)))
  return (massG / 1000) * GRAVITY * (offMm / 1000)
}
