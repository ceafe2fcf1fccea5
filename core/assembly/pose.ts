import type { Hinge, Part } from '../catalogue/index.ts'
import {
  add,
  compose,
  direction,
  type Frame,
  identity,
  moveShape,
  perKey,
  point,
  scale,
  subtract,
  turnAbout,
  volumeOf,
} from '../kernel/index.ts'
import type { Setup } from './rig.ts'

/**
 * How far each hinge of a piece is turned in a set-up, degrees, in the order of the part's hinges; hinges at rest give
 * 0.
 */
export const hingeDegrees = (part: Part, instance: string, setup: Setup): readonly number[] =>
  (part.hinges ?? []).map((hinge) => {
    const pose = setup.poses.find((candidate) => candidate.instance === instance && candidate.hinge === hinge.id)
    return hinge.positions.find(({ id }) => id === pose?.position)?.deg ?? 0
  })

const posed = perKey<Part, Part>('posed part')

/**
 * The part as it is with its hinges turned: solids with their part of the mass, rooms, mounts, sockets and the camera's
 * own screen go along where a hinge names them; grips and the pictures of monitors stay. A part at rest is the same object, and so is the same part in the same pose.
 * Hinges that move the same thing are nested: the later rides on the earlier.
 */
export const posedPart = (part: Part, degrees: readonly number[]): Part => {
  if (!part.hinges || degrees.every((deg) => deg === 0)) return part
  const { hinges } = part
  return posed(part, degrees.join(), () => turned(part, hinges, degrees))
}

const turned = (part: Part, hinges: readonly Hinge[], degrees: readonly number[]): Part => {
  const moves = hinges.map((hinge, i) => turnAbout(hinge.axis, degrees[i] ?? 0, hinge.at))
  const through = (moved: (hinge: Hinge) => boolean): Frame | undefined => {
    let frame: Frame | undefined
    hinges.forEach((hinge, i) => {
      if (moved(hinge) && (degrees[i] ?? 0) !== 0) frame = compose(frame ?? identity, moves[i] ?? identity)
    })
    return frame
  }
  const volume = part.solids.reduce((sum, solid) => sum + volumeOf(solid), 0)
  let { centre } = part
  const solids = part.solids.map((solid, i) => {
    const frame = through((hinge) => hinge.solids.includes(i))
    if (!frame) return solid
    const moved = moveShape(solid, frame)
    // The mass of a part is spread over its solids by volume, as in its inertia.
    if (volume > 0) centre = add(centre, scale(subtract(moved.centre, solid.centre), volumeOf(solid) / volume))
    return moved
  })
  const ownScreen = part.screen
  const screenFrame = ownScreen && through((hinge) => hinge.solids.includes(ownScreen.solid))
  return {
    ...part,
    centre,
    solids,
    ...(ownScreen && screenFrame
      ? {
          screen: {
            ...ownScreen,
            at: point(screenFrame, ownScreen.at),
            ...(ownScreen.swivels
              ? {}
              : { out: direction(screenFrame, ownScreen.out), up: direction(screenFrame, ownScreen.up) }),
          },
        }
      : {}),
    rooms: part.rooms.map((room, i) => {
      const frame = through((hinge) => hinge.rooms?.includes(i) ?? false)
      if (!frame) return room
      const { hinge } = room
      return {
        ...room,
        shape: moveShape(room.shape, frame),
        ...(hinge ? { hinge: { ...hinge, at: point(frame, hinge.at), axis: direction(frame, hinge.axis) } } : {}),
      }
    }),
    ...(part.sockets
      ? {
          sockets: part.sockets.map((socket) => {
            const frame = through((hinge) => hinge.mounts.includes(socket.id))
            return frame ? { ...socket, at: point(frame, socket.at), out: direction(frame, socket.out) } : socket
          }),
        }
      : {}),
    mounts: part.mounts.map((mount) => {
      const frame = through((hinge) => hinge.mounts.includes(mount.id))
      if (!frame) return mount
      const { travel } = mount
      return {
        ...mount,
        at: point(frame, mount.at),
        out: direction(frame, mount.out),
        up: direction(frame, mount.up),
        ...(travel ? { travel: { ...travel, along: direction(frame, travel.along) } } : {}),
      }
    }),
  }
}
