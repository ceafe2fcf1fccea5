import { connectors, type PlugAngle, type Socket } from '../catalogue/index.ts'
import { compose, direction, facing, type Frame, type Vec3 } from '../kernel/index.ts'
import { type Assembly, everywhere, type PlacedPart } from './place.ts'
import type { Link } from './rig.ts'

/** A socket of a placed piece. */
export interface SocketHere {
  readonly piece: PlacedPart
  readonly socket: Socket
}

/** A socket in words: the piece, and its own label or the kind of its connector. */
export const socketName = ({ piece, socket }: SocketHere): string =>
  `${piece.part.name}, ${socket.label ?? connectors[socket.connector].title}`

/** The socket an end of a link names; undefined when that piece does not go along in this set-up. */
export const socketAt = (assembly: Assembly, end: Link['from']): SocketHere | undefined => {
  const piece = assembly.byInstance.get(end.instance)
  const socket = piece?.part.sockets?.find(({ id }) => id === end.socket)
  return piece && socket && { piece, socket }
}

export const socketsOf = (assembly: Pick<Assembly, 'placed' | 'off'>): readonly SocketHere[] =>
  everywhere(assembly).flatMap((piece) => (piece.part.sockets ?? []).map((socket) => ({ piece, socket })))

const heightOf = (out: Vec3): Vec3 => (Math.abs(out[1]) > 0.5 ? [0, 0, -1] : [0, 1, 0])

/** Where a plug stands in a socket: its z points out of the piece, its x across and its y along the plug's height. */
export const plugFrame = ({ piece, socket }: SocketHere): Frame =>
  compose(piece.frame, facing(socket.at, socket.out, heightOf(socket.out)))

const ways: Readonly<Record<Exclude<PlugAngle, 'swivel'>, Vec3>> = {
  straight: [0, 0, 1],
  left: [-1, 0, 0],
  right: [1, 0, 0],
  up: [0, 1, 0],
  down: [0, -1, 0],
}

/** Where the cable leaves a plug, as a direction of the rig; a swivel plug leaves where it is wanted. */
export const cableWay = (here: SocketHere, angle: PlugAngle): Vec3 | undefined =>
  angle === 'swivel' ? undefined : direction(plugFrame(here), ways[angle])
