import { type Assembly, near, type PlacedPart, ridesOn } from '../assembly/index.ts'
import { mountOf } from '../catalogue/index.ts'
import {
  add,
  type Bounds,
  boundsOf,
  CLASH_MM,
  compose,
  cross,
  distanceToSkin,
  dot,
  facing,
  overlap,
  perThing,
  type Placed,
  placeShape,
  scale,
  type Shape,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { depthIn } from './pressing.ts'

/** A clamp that has to be slid on, and what shuts the ends of its rail. */
export interface Entry {
  readonly piece: PlacedPart
  readonly railMm: number
  readonly clampMm: number
  /** What stands before each end; undefined: that end is open. */
  readonly ends: readonly [PlacedPart | undefined, PlacedPart | undefined]
}

/** What the clamp's jaws take up across the rail, over its face and under it, where the rail is so thick, mm. */
const JAWS_MM = 26
const OVER_MM = 12
const UNDER_MM = 8

const railOf = (piece: PlacedPart) => {
  const { host, joint, mate } = piece
  if (!host || !joint || !mate?.ok || !mate.value.along) return undefined
  const [onHost, onGuest] = [mountOf(host.part, joint.hostMount), mountOf(piece.part, joint.guestMount)]
  const railIsHost = onHost?.side === mate.value.along.rail
  const rail = railIsHost ? onHost : onGuest
  const clamp = railIsHost ? onGuest : onHost
  if (!rail?.travel || !clamp?.slidesOn) return undefined
  return {
    rail,
    clamp,
    owner: railIsHost ? host : piece,
    rider: railIsHost ? piece : host,
    takesMm: mate.value.along.takesMm,
    along: rail.travel.along,
  }
}

/** What a clamp wants free before an end of its rail. */
interface RailEnd {
  readonly box: Placed
  readonly bounds: Bounds
}
interface Clamped {
  readonly railMm: number
  readonly clampMm: number
  readonly rail: string
  readonly owner: PlacedPart
  readonly rider: PlacedPart
  /** The rail's piece without the solid that carries it. */
  readonly besideRail: PlacedPart
  readonly ends: readonly [RailEnd, RailEnd]
}

/** A clamp that can't open, with what it wants at both ends of its rail; undefined for any other piece. */
const clampedOf = perThing('ends of a rail', (piece: PlacedPart): Clamped | undefined => {
  const found = railOf(piece)
  if (!found) return undefined
  const { rail, owner, rider, takesMm, along } = found
  const railMm = rail.lengthMm ?? 0
  // The rail's own solid may run on; end stops are others, even where they are flush with its face.
  const carrying = owner.solids.filter(({ solid }) => distanceToSkin(solid, rail.at) <= ON_SKIN_MM)
  const underMm = Math.min(UNDER_MM, ...carrying.map(({ solid }) => thickness(solid, rail.out)))
  const besideRail = { ...owner, solids: owner.solids.filter((one) => !carrying.includes(one)) }
  const end = (sign: 1 | -1): RailEnd => {
    const from = add(rail.at, scale(along, sign * (railMm / 2 + takesMm / 2)))
    const box = placeShape(
      {
        kind: 'box',
        centre: [0, 0, (OVER_MM - underMm) / 2],
        size: sized(along, rail.up, takesMm, OVER_MM + underMm),
      },
      compose(owner.frame, facing(from, rail.out, rail.up)),
    )
    return { box, bounds: boundsOf(box) }
  }
  return { railMm, clampMm: takesMm, rail: rail.id, owner, rider, besideRail, ends: [end(-1), end(1)] }
})

/** Is a piece a clamp that can't open? */
export const isClamped = (piece: PlacedPart): boolean => clampedOf(piece) !== undefined

/** Does a piece come near an end of the rail that a clamp sits on? */
export const touchesEnds = (piece: PlacedPart, clamped: PlacedPart): boolean =>
  clampedOf(clamped)?.ends.some(({ bounds }) => overlap(bounds, piece.bounds, CLASH_MM)) === true

/**
 * The clamps of a rig that can't open, with both ends of their rails: an end is shut when something other than the
 * clamped piece stands within one clamp's length beyond it.
 * @param clamped the pieces that are such clamps
 */
export const entriesOf = ({ placed }: Pick<Assembly, 'placed'>, clamped: readonly PlacedPart[]): readonly Entry[] =>
  flatMap(clamped, (piece): Entry[] => {
    const found = clampedOf(piece)
    if (!found) return []
    const { owner, rider, rail, besideRail, railMm, clampMm, ends } = found
    const blocking = ({ box, bounds }: RailEnd): PlacedPart | undefined =>
      near(placed, bounds, CLASH_MM).find(
        (other) =>
          !ridesOn(other, rider) &&
          !sitsOnRail(other, owner, rail) &&
          depthIn(box, bounds, other === owner ? besideRail : other) > 0,
      )
    return [{ piece, railMm, clampMm, ends: [blocking(ends[0]), blocking(ends[1])] }]
  })

/** A mount lies on a solid when it is no farther from its skin. mm */
const ON_SKIN_MM = 0.5

/** How thick a solid is along a direction that one of its sides faces, mm. */
const thickness = (solid: Shape, out: Vec3): number => {
  if (solid.kind === 'cylinder') return Math.abs(dot(solid.axis, out)) > 0.7 ? solid.length : 2 * solid.radius
  const [x, y] = solid.axes ?? [
    [1, 0, 0],
    [0, 1, 0],
  ]
  const facing = [x, y, cross(x, y)].findIndex((axis) => Math.abs(dot(axis, out)) > 0.7)
  return solid.size[facing] ?? 0
}

const sized = (along: Vec3, up: Vec3, takesMm: number, tallMm: number): Vec3 => {
  const alongUp = Math.abs(along[0] * up[0] + along[1] * up[1] + along[2] * up[2]) > 0.5
  return alongUp ? [JAWS_MM, takesMm, tallMm] : [takesMm, JAWS_MM, tallMm]
}

const sitsOnRail = (piece: PlacedPart, owner: PlacedPart, rail: string): boolean =>
  (piece.host === owner && piece.joint?.hostMount === rail) ||
  (owner.host === piece && owner.joint?.guestMount === rail)
