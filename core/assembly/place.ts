import {
  type Catalogue,
  type Mate,
  mate,
  type MateCode,
  mountOf,
  type Mount,
  type MountEnd,
  type Part,
  type Solid,
} from '../catalogue/index.ts'
import {
  add,
  type Bounds,
  boundsOf,
  compose,
  emptyBounds,
  faceToFace,
  facing,
  type Frame,
  identity,
  invert,
  keyed,
  lengthOf,
  perKey,
  perPair,
  perThing,
  type Outcome,
  type Placed,
  placesBy,
  placeShape,
  point,
  scale,
  subtract,
  turnAboutZ,
  unite,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { canonical, guestsInOrder, offInOrder } from './canonical.ts'
import { hingeDegrees, posedPart } from './pose.ts'
import { OFF_MM } from './off.ts'
import { type Instance, type Joint, type OffPlace, type Orientation, type Rig, type Setup, wholeOf } from './rig.ts'

/** A solid where it really is. */
export interface PlacedSolid {
  readonly solid: Solid
  readonly shape: Placed
  readonly bounds: Bounds
}

/**
 * Of a piece of the kit, what has to do with where it sits and what it does there; what somebody wrote beside it has
 * not.
 */
export type Seated = Pick<Instance, 'id' | 'partId' | 'health'>

/** A piece where it really is, and by which joint. */
export interface PlacedPart {
  readonly instance: Seated
  readonly part: Part
  readonly frame: Frame
  readonly joint: Joint | undefined
  readonly host: PlacedPart | undefined
  readonly mate: Outcome<Mate, MateCode> | undefined
  readonly centre: Vec3
  readonly solids: readonly PlacedSolid[]
  readonly bounds: Bounds
}

/** A piece that goes along off the rig: it stands as far from the rig as its leads have to reach. */
export interface OffPart {
  readonly piece: PlacedPart
  readonly at: OffPlace
}

/** A second hold between two placed pieces. */
export interface Brace {
  readonly joint: Joint
  readonly guest: PlacedPart
  readonly host: PlacedPart
  readonly mate: Outcome<Mate, MateCode>
  /** How far apart the two mounts are, mm; a slot or rail may make that up. */
  readonly gapMm: number
}

/**
 * One set-up, placed: every piece that sits on the rig, hosts before guests, and the kit that lies beside it. All
 * lists, those of `rig` and `setup` too, are in the rig's own order, whatever order they were stored in.
 */
export interface Assembly {
  readonly rig: Rig
  readonly setup: Setup
  readonly placed: readonly PlacedPart[]
  /** What goes along off the rig and what sits on it, hosts before guests. */
  readonly off: readonly OffPart[]
  /** Every piece that is on the rig or goes along off it. */
  readonly byInstance: ReadonlyMap<string, PlacedPart>
  readonly braces: readonly Brace[]
  readonly loose: readonly { readonly instance: Instance; readonly part: Part }[]
}

const slidFrame = (mount: Mount, slideMm: number): Frame =>
  facing(mount.travel ? add(mount.at, scale(mount.travel.along, slideMm)) : mount.at, mount.out, mount.up)
/** A mount that is not slid, as it is in its part; and what brings it face to face with another. */
const restingFrame = perThing('frame of a mount', (mount: Mount): Frame => slidFrame(mount, 0))
const restingOnto = perThing('a mount face to face', (mount: Mount): Frame =>
  compose(faceToFace, invert(restingFrame(mount))),
)
const mountFrame = (mount: Mount, slideMm: number): Frame =>
  mount.travel && slideMm !== 0 ? slidFrame(mount, slideMm) : restingFrame(mount)
const ontoFrame = (mount: Mount, slideMm: number): Frame =>
  mount.travel && slideMm !== 0 ? compose(faceToFace, invert(slidFrame(mount, slideMm))) : restingOnto(mount)

/**
 * Where a guest's own frame lands in its host's frame. The slide runs along whichever of the two mounts can travel, the
 * host's first.
 */
export const jointFrame = (hostMount: Mount, guestMount: Mount, slideMm: number, turnDeg: number): Frame => {
  const hostSlides = hostMount.travel !== undefined
  const host = mountFrame(hostMount, hostSlides ? slideMm : 0)
  const turned = turnDeg === 0 ? host : compose(host, turnAboutZ(turnDeg))
  return compose(turned, ontoFrame(guestMount, hostSlides ? 0 : slideMm))
}

const seatedKey = ({ id, partId, health }: Seated): string => `${id} ${partId} ${health ?? ''}`

const put = (
  instance: Seated,
  part: Part,
  frame: Frame,
  joint?: Joint,
  host?: PlacedPart,
  mated?: Outcome<Mate, MateCode>,
): PlacedPart => {
  const solids = part.solids.map((solid): PlacedSolid => {
    const shape = placeShape(solid, frame)
    return { solid, shape, bounds: boundsOf(shape) }
  })
  return {
    instance,
    part,
    frame,
    joint,
    host,
    mate: mated,
    solids,
    centre: point(frame, part.centre),
    bounds: solids.reduce((all, solid) => unite(all, solid.bounds), emptyBounds),
  }
}

/**
 * What two mounts make of each other, for each two parts that have them: a part in another pose shares what did not
 * move.
 */
const matesOf = perPair('mates of two mounts', (_: Mount, __: Mount): Mated[] => [])
interface Mated {
  readonly host: Part
  readonly guest: Part
  readonly mate: Outcome<Mate, MateCode>
}

/** The same two ends of the catalogue always go together alike. */
const mateOf = (host: MountEnd, guest: MountEnd): Outcome<Mate, MateCode> => {
  const mates = matesOf(host.mount, guest.mount)
  for (const one of mates) if (one.host === host.part && one.guest === guest.part) return one.mate
  const made = mate(host, guest)
  mates.push({ host: host.part, guest: guest.part, mate: made })
  return made
}

const braceOf = (joint: Joint, guest: PlacedPart, host: PlacedPart): Brace => {
  const hostMount = mountOf(host.part, joint.hostMount)
  const guestMount = mountOf(guest.part, joint.guestMount)
  if (!hostMount || !guestMount)
    throw new RangeError(
      `Brace ${joint.guest} on ${joint.host} names a mount its part does not have; check soundness first`,
    )
  const there = point(host.frame, mountFrame(hostMount, hostMount.travel ? joint.slideMm : 0).at)
  const here = point(guest.frame, mountFrame(guestMount, hostMount.travel ? 0 : joint.slideMm).at)
  return {
    joint,
    guest,
    host,
    mate: mateOf({ part: host.part, mount: hostMount }, { part: guest.part, mount: guestMount }),
    gapMm: lengthOf(subtract(there, here)),
  }
}

/**
 * Puts one piece on a placed host. Same host, joint and instance give the same object, so that what did not change is
 * not worked out again.
 */
export const seat = (host: PlacedPart, joint: Joint, instance: Seated, part: Part): PlacedPart => {
  const seats = seatsOf(joint, host)
  // Mostly it is the very same piece again.
  for (const piece of seats) if (piece.part === part && isSameSeated(piece.instance, instance)) return piece
  const piece = seated(host, joint, instance, part)
  if (seats.unshift(piece) > SEATS_KEPT) seats.pop()
  return piece
}

/** What sat on a host by a joint: the same piece in several poses, the last one first. */
const seatsOf = perPair('seats', (_: Joint, __: PlacedPart): PlacedPart[] => [])
const SEATS_KEPT = 32

const isSameSeated = (a: Seated, b: Seated): boolean =>
  a === b || (a.id === b.id && a.partId === b.partId && a.health === b.health)

/** The same for once: nothing of it is kept. */
export const seated = (host: PlacedPart, joint: Joint, instance: Seated, part: Part): PlacedPart => {
  const hostMount = mountOf(host.part, joint.hostMount)
  const guestMount = mountOf(part, joint.guestMount)
  if (!hostMount || !guestMount)
    throw new RangeError(
      `Joint ${joint.guest} on ${joint.host} names a mount its part does not have; check soundness first`,
    )
  const frame = compose(host.frame, jointFrame(hostMount, guestMount, joint.slideMm, joint.turnDeg))
  return put(
    instance,
    part,
    frame,
    joint,
    host,
    mateOf({ part: host.part, mount: hostMount }, { part, mount: guestMount }),
  )
}
/** The camera as each orientation holds it: upright is a quarter turn about the optical axis, right side up. */
const rootFrames: Readonly<Record<Orientation, Frame>> = { level: identity, upright: turnAboutZ(90) }
const roots = perKey<Part, PlacedPart>('placed camera')

const rootOf = (instance: Seated, part: Part, orientation: Orientation): PlacedPart =>
  roots(part, `${orientation} ${seatedKey(instance)}`, () => put(instance, part, rootFrames[orientation]))

/** A piece off the rig stands below it, by what a lead to that place takes. */
const offRoots = perThing('pieces off the rig', (_: PlacedPart) => perKey<Part, PlacedPart>('piece off'))
const offRootOf = (root: PlacedPart, instance: Seated, part: Part, downMm: number): PlacedPart =>
  offRoots(root)(part, `${downMm} ${seatedKey(instance)}`, () =>
    put(instance, part, { ...identity, at: [root.centre[0], root.bounds.min[1] - downMm, root.centre[2]] }),
  )

const idOf = ({ id }: Instance): string => id
const instanceOf = ({ instance }: PlacedPart): string => instance.id
const itself = (id: string): string => id

/**
 * Places every piece of a set-up by one walk of its joints from the camera.
 * @param at where the camera stands in the world; its place by the set-up's orientation when left out
 * @param rig must be sound for this catalogue (`soundnessIssues` empty). @throws {RangeError} when it is not.
 */
export const placeSetup = (ofRig: Rig, ofSetup: Setup, catalogue: Catalogue, at?: Frame): Assembly => {
  const [rig, setup] = [wholeOf(ofRig), wholeOf(ofSetup)]
  const instances = keyed(rig.kit, idOf)
  const look = (id: string): { instance: Instance; part: Part } => {
    const instance = instances.get(id)
    const part = instance && catalogue.parts.get(instance.partId)
    if (!instance || !part)
      throw new RangeError(`"${id}" is not a piece of this rig with a known part; check soundness first`)
    return { instance, part: setup.poses.length > 0 ? posedPart(part, hingeDegrees(part, id, setup)) : part }
  }
  const guests = new Map<string, Joint[]>()
  for (const joint of setup.joints) {
    const list = guests.get(joint.host)
    if (list) list.push(joint)
    else guests.set(joint.host, [joint])
  }
  const root = look(setup.root)
  const placed: PlacedPart[] = [
    at ? put(root.instance, root.part, at) : rootOf(root.instance, root.part, setup.orientation),
  ]
  const ride = (host: PlacedPart): readonly PlacedPart[] =>
    guestsInOrder(guests.get(host.instance.id) ?? [], host.part, (id) => instances.get(id)).map((joint) => {
      const { instance, part } = look(joint.guest)
      return seat(host, joint, instance, part)
    })
  for (const host of placed) placed.push(...ride(host))
  const [camera] = placed
  const off: OffPart[] = flatMap(
    offInOrder(setup.off ?? [], (id) => instances.get(id)),
    ({ instance: id, at: place }) => {
      const { instance, part } = look(id)
      return camera ? [{ piece: offRootOf(camera, instance, part, OFF_MM[place][setup.support]), at: place }] : []
    },
  )
  for (const { piece, at: place } of off) off.push(...ride(piece).map((rider) => ({ piece: rider, at: place })))
  const byInstance = keyed(everywhere({ placed, off }), instanceOf)
  const ordered = canonical(rig, setup, { kit: instances, places: placesBy([...byInstance.keys()], itself) }, catalogue)
  const loose = ordered.rig.kit.filter((instance) => !byInstance.has(instance.id)).map((instance) => look(instance.id))
  const braces = flatMap(ordered.setup.braces, (joint): Brace[] => {
    const [guest, host] = [byInstance.get(joint.guest), byInstance.get(joint.host)]
    return guest && host ? [braceOf(joint, guest, host)] : []
  })
  return { ...ordered, placed, off, byInstance, loose, braces }
}

/** The pieces on the rig, then those that go along off it. */
export const everywhere = ({ placed, off }: Pick<Assembly, 'placed' | 'off'>): readonly PlacedPart[] =>
  off.length === 0 ? placed : [...placed, ...off.map(({ piece }) => piece)]

/** Where a piece is off the rig; undefined for one that sits on it. */
export const offPlaceOf = ({ off }: Pick<Assembly, 'off'>, piece: PlacedPart): OffPlace | undefined =>
  off.find((one) => one.piece === piece)?.at

/** Is a piece another one, or does it hang on it, however many joints away? */
export const ridesOn = (piece: PlacedPart, other: PlacedPart): boolean => {
  for (let at: PlacedPart | undefined = piece; at; at = at.host) if (at === other) return true
  return false
}

/** What sits on each piece of a placed set-up; pieces that carry nothing are not in it. */
export const guestsOf = perThing(
  'guests of pieces',
  (placed: Assembly['placed']): ReadonlyMap<PlacedPart, readonly PlacedPart[]> => {
    const guests = new Map<PlacedPart, PlacedPart[]>()
    for (const piece of placed) {
      if (!piece.host) continue
      const list = guests.get(piece.host)
      if (list) list.push(piece)
      else guests.set(piece.host, [piece])
    }
    return guests
  },
)

/** A piece and everything that hangs on it. */
export const carriedBy = (assembly: Assembly, piece: PlacedPart): readonly PlacedPart[] =>
  guestsOf(assembly.placed).has(piece) ? assembly.placed.filter((other) => ridesOn(other, piece)) : [piece]

/** Everything between the camera and a piece, the piece itself first. */
export const pathToRoot = (piece: PlacedPart): readonly PlacedPart[] => {
  const path: PlacedPart[] = []
  for (let at: PlacedPart | undefined = piece; at; at = at.host) path.push(at)
  return path
}

/** The pieces of the kit that are in the plan, those on the rig first; what is only considered is left out. */
export const piecesIn = ({
  rig,
  placed,
  off,
  loose,
}: Pick<Assembly, 'rig' | 'placed' | 'off' | 'loose'>): readonly {
  readonly instance: Seated
  readonly part: Part
}[] => {
  const considered = new Set(rig.kit.filter(({ status }) => status !== 'in').map(({ id }) => id))
  return [...everywhere({ placed, off }), ...loose].filter(({ instance }) => !considered.has(instance.id))
}
