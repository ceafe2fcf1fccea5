import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { mountOf, type Role } from '../catalogue/index.ts'
import { direction, dot, lengthOf, point, type Vec3 } from '../kernel/index.ts'
import { offEyeDeg } from './view.ts'

/** A screen turned farther off the eye than this can't be read. degrees */
const READ_DEG = 60
/** What counts as along, across or below: within 45 degrees of it. */
const NEARLY = Math.SQRT1_2
/** What counts as square: within 8 degrees. */
const SQUARE = 0.99
/** A top handle's palm lies at least so far above what the camera's own body reaches, mm; it may be lower by a finger. */
const BELOW_TOP_MM = 10
/** And no farther beside the lens than a hand reaches without the rig hanging askew, mm. */
const BESIDE_MM = 70

const forward: Vec3 = [0, 0, -1]
const down: Vec3 = [0, -1, 0]

type Suits = (piece: PlacedPart, camera: PlacedPart, assembly: Assembly) => boolean

const gripsOf = ({ part, frame }: PlacedPart) =>
  part.grips.map(({ at, axis, kind }) => ({ kind, at: point(frame, at), axis: axis && direction(frame, axis) }))

/** Which way the point looks that a piece sits on. */
const hostWay = ({ host, joint }: PlacedPart): Vec3 | undefined => {
  const mount = host && joint && mountOf(host.part, joint.hostMount)
  return host && mount && direction(host.frame, mount.out)
}

/** Above the camera as it stands, along it, over its middle. */
const above: Suits = (piece, camera) =>
  gripsOf(piece)
    .filter(({ kind }) => kind === 'top')
    .every(
      ({ at, axis }) =>
        at[1] >= camera.bounds.max[1] - BELOW_TOP_MM &&
        Math.abs(at[0] - camera.centre[0]) <= BESIDE_MM &&
        (!axis || Math.abs(axis[1]) < NEARLY),
    )

/** A bar at the side that the fingers close round: never along the lens, where it points at the face or the scene. */
const beside: Suits = (piece) =>
  gripsOf(piece)
    .filter(({ kind }) => kind === 'side')
    .every(({ axis }) => !axis || Math.abs(dot(axis, forward)) < NEARLY)

/** Under what it carries, in the world or, for a camera on its side, under its base: a plate, a stand. */
const below: Suits = (piece, camera) => {
  const way = hostWay(piece)
  return !way || dot(way, down) > NEARLY || dot(way, direction(camera.frame, down)) > NEARLY
}

/** Where the eye of this hold reads it. */
const seen: Suits = (piece, _, assembly) =>
  piece.part.optics?.kind !== 'screen' || offEyeDeg(assembly, piece, piece.part.optics) <= READ_DEG

/** Towards what is filmed, lying level. */
const ahead: Suits = ({ frame }) => dot(direction(frame, forward), forward) > NEARLY

/** Rods run along the lens. */
const along: Suits = ({ solids }) =>
  solids.every(({ shape }) => shape.kind !== 'cylinder' || Math.abs(shape.half[2]) > SQUARE * lengthOf(shape.half))

/** On a lens mount, of the camera or of an adapter: nowhere else does it draw a picture. */
const onMount: Suits = ({ host, joint }) =>
  !host || !joint || mountOf(host.part, joint.hostMount)?.standard === 'lens-mount'

/** Square to the camera: no face of it askew. */
const square: Suits = ({ frame }, camera) =>
  [frame.x, frame.y, frame.z].every((axis) =>
    [camera.frame.x, camera.frame.y, camera.frame.z].some((other) => Math.abs(dot(axis, other)) > SQUARE),
  )
/** Both. */
const and =
  (one: Suits, other: Suits): Suits =>
  (...given) =>
    one(...given) && other(...given)

const suiting: Readonly<Partial<Record<Role, Suits>>> = {
  'top-handle': above,
  'side-handle': beside,
  cage: square,
  plate: and(below, square),
  'base-plate': and(below, square),
  riser: and(below, square),
  rods: and(square, along),
  'matte-box': square,
  'battery-plate': square,
  lens: onMount,
  tripod: below,
  head: below,
  gimbal: below,
  slider: below,
  monitor: seen,
  finder: seen,
  recorder: seen,
  mic: ahead,
  light: ahead,
}

/**
 * Does a piece, where it sits or would sit, do the work of its role there: a top handle above and along, a side grip
 * not along the lens, a plate below, a screen where the eye of this hold reads it, a microphone towards the subject?
 * Parts of other roles work wherever they fit.
 */
export const suitsRole = (assembly: Assembly, piece: PlacedPart): boolean => {
  const [camera] = assembly.placed
  return !camera || (suiting[piece.part.role]?.(piece, camera, assembly) ?? true)
}
