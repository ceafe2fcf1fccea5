import { type Assembly, near, type PlacedPart } from '../assembly/index.ts'
import type { Room } from '../catalogue/index.ts'
import {
  type Bounds,
  boundsOf,
  CLASH_MM,
  compose,
  emptyBounds,
  overlap,
  perKey,
  perPairKey,
  type Placed,
  placeShape,
  type Shape,
  turnAbout,
  unite,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { depthIn } from './pressing.ts'

/** One sampled pose of a room: how far it is swung, and where it then is. */
export interface RoomPose {
  readonly deg: number
  readonly shape: Placed
  readonly bounds: Bounds
}

/** A room that something solid reaches into. */
export interface Invasion {
  readonly piece: PlacedPart
  readonly room: Room
  readonly by: PlacedPart
  /** For a swing: the last angle that is still free. 0 for rooms that do not swing. */
  readonly freeDeg: number
  readonly fullDeg: number
  readonly depthMm: number
}

const posed = (deg: number, shape: Placed): RoomPose => ({ deg, shape, bounds: boundsOf(shape) })

/** The poses of a room on its placed piece, in the order of the swing; a room without a hinge has one. */
export const roomPoses = (piece: PlacedPart, room: Room, grownMm = 0): readonly RoomPose[] => {
  const shape =
    grownMm > 0 ? (room.kind === 'hand' ? taller(room.shape, grownMm) : wider(room.shape, grownMm)) : room.shape
  const { hinge } = room
  if (!hinge) return [posed(0, placeShape(shape, piece.frame))]
  const poses: RoomPose[] = []
  for (let deg = hinge.fromDeg; deg < hinge.toDeg + hinge.stepDeg; deg += hinge.stepDeg) {
    const at = Math.min(deg, hinge.toDeg)
    poses.push(posed(at, placeShape(shape, compose(piece.frame, turnAbout(hinge.axis, at, hinge.at)))))
  }
  return poses
}

/** The same shape reaching further down, as a gloved hand does. */
const taller = (shape: Shape, byMm: number): Shape => {
  if (shape.kind !== 'box') return shape
  const centre: Vec3 = [shape.centre[0], shape.centre[1] - byMm / 2, shape.centre[2]]
  return { ...shape, centre, size: [shape.size[0], shape.size[1] + byMm, shape.size[2]] }
}

/** The same shape with more room all round. */
const wider = (shape: Shape, byMm: number): Shape =>
  shape.kind === 'box'
    ? { ...shape, size: [shape.size[0] + 2 * byMm, shape.size[1] + 2 * byMm, shape.size[2] + 2 * byMm] }
    : { ...shape, radius: shape.radius + byMm, length: shape.length + byMm }

/** Where another piece first stops a room, and how deep it reaches in there. */
interface Stop {
  readonly pose: number
  readonly depthMm: number
}

/** A room in all its poses, and what it sweeps. */
interface Sweep {
  readonly poses: readonly RoomPose[]
  readonly swept: Bounds
}
const sweeps = perKey<PlacedPart, Sweep>('room poses')
/** A room of a piece, by its index, in all its poses, grown by so much. */
export const sweepOf = (piece: PlacedPart, index: number, grownMm: number): Sweep =>
  sweeps(piece, `${index} ${grownMm}`, () => {
    const room = piece.part.rooms[index]
    const poses = room ? roomPoses(piece, room, grownMm) : []
    return { poses, swept: poses.reduce((sum, { bounds }) => unite(sum, bounds), emptyBounds) }
  })
const stopOf = perPairKey<PlacedPart, PlacedPart, Stop | undefined>('room stopped')

const firstStop = (poses: readonly RoomPose[], by: PlacedPart): Stop | undefined => {
  for (const [pose, { shape, bounds }] of poses.entries()) {
    const depthMm = depthIn(shape, bounds, by)
    if (depthMm > 0) return { pose, depthMm }
  }
  return undefined
}

const reachesOf = perKey<PlacedPart, readonly Bounds[]>('reaches of rooms')
/** Does a piece come near any room of another? @param grownMm by so much the rooms grow at most */
export const touchesRooms = (piece: PlacedPart, roomy: PlacedPart, grownMm: number): boolean =>
  reachesOf(roomy, String(grownMm), () =>
    flatMap(roomy.part.rooms, (_, i) => [
      sweepOf(roomy, i, 0).swept,
      ...(grownMm > 0 ? [sweepOf(roomy, i, grownMm).swept] : []),
    ]),
  ).some((box) => overlap(box, piece.bounds, CLASH_MM))

/**
 * The first invasion of each of a piece's rooms of one kind; a swing is followed until something solid stops it. Soft
 * solids give way. Answers are remembered for each pair of placed pieces, since an edit leaves most of them as they
 * were.
 */
export const invasionsOf = (
  assembly: Assembly,
  piece: PlacedPart,
  kind: Room['kind'],
  grownMm = 0,
): readonly Invasion[] =>
  flatMap(piece.part.rooms, (room, i): Invasion[] => {
    if (room.kind !== kind) return []
    const key = `${i} ${grownMm}`
    const { poses, swept } = sweepOf(piece, i, grownMm)
    let worst: (Stop & { by: PlacedPart }) | undefined
    for (const by of near(assembly.placed, swept, CLASH_MM)) {
      if (by === piece) continue
      const stop = stopOf(piece, by, key, () => firstStop(poses, by))
      if (stop && (!worst || stop.pose < worst.pose || (stop.pose === worst.pose && stop.depthMm > worst.depthMm)))
        worst = { ...stop, by }
    }
    if (!worst) return []
    return [
      {
        piece,
        room,
        by: worst.by,
        freeDeg: poses[worst.pose - 1]?.deg ?? 0,
        fullDeg: room.hinge?.toDeg ?? 0,
        depthMm: worst.depthMm,
      },
    ]
  })
