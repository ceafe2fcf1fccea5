import { type Catalogue, mate, type Mount, type MountEnd, type Part, type Socket } from '../catalogue/index.ts'
import { direction, dot, lengthOf, perPairKey, scale, subtract, type Vec3, flatMap } from '../kernel/index.ts'
import type { Command } from './commands.ts'
import { type PlacedPart, seat, type Seated } from './place.ts'
import type { Point } from './points.ts'
import type { Joint, Link, Rig, Setup } from './rig.ts'

/** A way to set a part on a point: by which of its mounts, shifted and turned how. */
export interface Seating {
  readonly joint: Joint
  readonly piece: PlacedPart
}

const turnsOf = (stepDeg: number): readonly number[] =>
  stepDeg >= 360 ? [0] : stepDeg > 90 ? [0, 180] : [0, 180, 90, -90]

/** The middle of a travel, on its step. */
export const middleOf = (travel: Mount['travel']): number =>
  travel ? Math.round((travel.minMm + travel.maxMm) / 2 / travel.stepMm) * travel.stepMm : 0

const known = perPairKey<PlacedPart, Part, readonly Seating[]>('seatings')
/** Every sensible way an instance goes on a point, best guess first; empty when no mount of it mates there. */
export const seatingsAt = (point: Pick<Point, 'piece' | 'mount'>, instance: Seated, part: Part): readonly Seating[] =>
  known(point.piece, part, `${point.mount.id} ${instance.id} ${instance.health ?? 1}`, () =>
    allSeatings(point, instance, part),
  )

const allSeatings = (point: Pick<Point, 'piece' | 'mount'>, instance: Seated, part: Part): readonly Seating[] => {
  const host = { part: point.piece.part, mount: point.mount }
  return flatMap(part.mounts, (mount) => {
    if (mount.carries) return []
    const mated = mate(host, { part, mount })
    if (!mated.ok) return []
    return turnsOf(mated.value.turnStepDeg).map((turnDeg): Seating => {
      const slideMm = middleOf(point.mount.travel ?? mount.travel)
      const joint = {
        guest: instance.id,
        guestMount: mount.id,
        host: point.piece.instance.id,
        hostMount: point.mount.id,
        slideMm,
        turnDeg,
      }
      return { joint, piece: seat(point.piece, joint, instance, part) }
    })
  })
}

/** How far a joint may slide: of the host's travel, else of the guest's. */
export const travelOf = (piece: PlacedPart): Mount['travel'] => {
  const { joint, host } = piece
  if (!joint || !host) return undefined
  const find = (part: Part, id: string) => part.mounts.find((mount) => mount.id === id)?.travel
  return find(host.part, joint.hostMount) ?? find(piece.part, joint.guestMount)
}

/** Where a piece goes in the rig's frame for each mm that its slide grows; undefined when it does not slide. */
export const slideWay = (piece: PlacedPart): Vec3 | undefined => {
  const { joint, host } = piece
  if (!joint || !host) return undefined
  const find = (part: Part, id: string) => part.mounts.find((mount) => mount.id === id)?.travel
  const onHost = find(host.part, joint.hostMount)
  if (onHost) return direction(host.frame, onHost.along)
  const onGuest = find(piece.part, joint.guestMount)
  return onGuest && scale(direction(piece.frame, onGuest.along), -1)
}

const ways: readonly (readonly [string, Vec3])[] = [
  ['forward', [0, 0, -1]],
  ['back', [0, 0, 1]],
  ['left', [-1, 0, 0]],
  ['right', [1, 0, 0]],
  ['up', [0, 1, 0]],
  ['down', [0, -1, 0]],
]

/** The operator's word for a direction: forward, back, left, right, up or down, whichever is nearest. */
export const wayName = (way: Vec3): string =>
  ways.reduce((best, next) => (dot(next[1], way) > dot(best[1], way) ? next : best))[0]

/** Two mounts that face within so much of each other look the same way: less than 8 degrees. */
const SAME_WAY = 0.99

/**
 * The mounts of a new part that could do the work of an old one's, the likest first: the same by name and standard, then
 * of the same standard, those that look the same way and lie nearest first, then what the other end goes together with
 * all the same, then what merely has the name.
 */
const matching = (from: Part, to: Part, id: string, other: MountEnd | undefined): readonly Mount[] => {
  const old = from.mounts.find((mount) => mount.id === id)
  if (!old) return to.mounts.filter((mount) => mount.id === id)
  const near = (mount: Mount) => (dot(mount.out, old.out) > SAME_WAY ? 0 : 1000) + lengthOf(subtract(mount.at, old.at))
  const like = to.mounts.filter((mount) => mount.side === old.side && !mount.carries).sort((a, b) => near(a) - near(b))
  const alike = like.filter((mount) => mount.standard === old.standard)
  const mates = (mount: Mount) =>
    other !== undefined && dot(mount.out, old.out) > SAME_WAY && mate({ part: to, mount }, other).ok
  return [
    ...alike.filter((mount) => mount.id === id),
    ...alike.filter((mount) => mount.id !== id),
    ...like.filter((mount) => mount.standard !== old.standard && mates(mount)),
    ...to.mounts.filter((mount) => mount.id === id),
  ]
}

const reseated = (
  rig: Rig,
  setup: Setup,
  instance: string,
  from: Part,
  to: Part,
  catalogue: Catalogue,
): { keep: Joint[]; lost: string[] } => {
  const used = new Set<string>()
  const stood = new Map<string, Mount>()
  const lost: string[] = []
  const partOf = (id: string) => catalogue.parts.get(rig.kit.find((piece) => piece.id === id)?.partId ?? '')
  const endOf = (id: string, mountId: string): MountEnd | undefined => {
    const part = partOf(id)
    const mount = part?.mounts.find((one) => one.id === mountId)
    return part && mount && { part, mount }
  }
  const keep = flatMap(setup.joints, (joint): Joint[] => {
    if (joint.guest !== instance && joint.host !== instance) return []
    const isGuest = joint.guest === instance
    const key = isGuest ? 'guestMount' : 'hostMount'
    const other = isGuest ? endOf(joint.host, joint.hostMount) : endOf(joint.guest, joint.guestMount)
    // What shared a place shares it again, rightly or not; a place that was its own stays its own.
    const mount =
      stood.get(joint[key]) ??
      matching(from, to, joint[key], other).find(
        ({ id, shares = [] }) => !used.has(id) && !shares.some((one) => used.has(one)),
      )
    if (!mount) {
      lost.push(joint.guest)
      return []
    }
    stood.set(joint[key], mount)
    if (mount.lengthMm === undefined) used.add(mount.id)
    return [{ ...joint, [key]: mount.id }]
  })
  return { keep, lost }
}

const likeSocket = (from: Part, to: Part, id: string): string | undefined => {
  const old = from.sockets?.find((socket) => socket.id === id)
  const like = (socket: Socket) => socket.connector === old?.connector && socket.direction === old.direction
  return (to.sockets?.find((socket) => socket.id === id && like(socket)) ?? to.sockets?.find(like))?.id
}

/** The leads of a set-up that go on working when another part takes a piece's place, plugged into its like sockets. */
const replugged = (setup: Setup, instance: string, from: Part, to: Part): Link[] => {
  const used = new Set<string>()
  return flatMap(setup.links, (link): Link[] => {
    if (link.cable === instance) return to.cable ? [link] : []
    if (link.from.instance !== instance && link.to.instance !== instance) {
      if (!link.through.includes(instance)) return []
      return [to.holdsCable ? link : { ...link, through: link.through.filter((id) => id !== instance) }]
    }
    const end = (here: Link['from']): Link['from'] | undefined => {
      if (here.instance !== instance) return here
      const socket = likeSocket(from, to, here.socket)
      if (socket === undefined || used.has(socket)) return undefined
      used.add(socket)
      return { instance, socket }
    }
    const [a, b] = [end(link.from), end(link.to)]
    return a && b ? [{ ...link, from: a, to: b }] : []
  })
}

/**
 * The edits that put another part in the place of a piece, in every set-up: joints move to the like mounts of the new
 * part, and leads to its like sockets; what finds no place comes off.
 */
export const swapCommands = (rig: Rig, instance: string, to: Part, catalogue: Catalogue): readonly Command[] => {
  const from = catalogue.parts.get(rig.kit.find((piece) => piece.id === instance)?.partId ?? '')
  if (!from) throw new RangeError(`"${instance}" is not in this rig's kit`)
  const moves = rig.setups.map((setup) => ({ setup: setup.id, ...reseated(rig, setup, instance, from, to, catalogue) }))
  return [
    ...flatMap(moves, ({ setup, lost }) => lost.map((id): Command => ({ do: 'take-off', setup, instance: id }))),
    { do: 'swap', instance, partId: to.id },
    ...flatMap(moves, ({ setup, keep, lost }) =>
      keep
        .filter((joint) => !lost.includes(joint.guest) && !lost.includes(joint.host))
        .map((joint): Command => ({ do: 'place', setup, joint })),
    ),
    ...flatMap(rig.setups, (setup) =>
      replugged(setup, instance, from, to).map((link): Command => ({ do: 'link', setup: setup.id, link })),
    ),
  ]
}
