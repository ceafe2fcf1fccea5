import {
  connectors,
  FLAT_PLUG_MM,
  goesIn,
  type Part,
  pictureFormats,
  type PlugAngle,
  type Socket,
} from '../catalogue/index.ts'
import {
  add,
  compose,
  direction,
  dot,
  facing,
  type Frame,
  perThing,
  scale,
  subtract,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { type Assembly, everywhere, type PlacedPart } from './place.ts'
import type { Link } from './rig.ts'

/** A socket of a placed piece. */
export interface SocketHere {
  readonly piece: PlacedPart
  readonly socket: Socket
}

/** The sockets in which some leads are plugged. */
const pluggedIn = perThing(
  'sockets with leads',
  (links: readonly Link[]): ReadonlySet<string> =>
    new Set(flatMap(links, ({ from, to }) => [from, to].map(({ instance, socket }) => `${instance} ${socket}`))),
)

/** Is one of these leads plugged into a socket? */
export const isPlugged = (links: readonly Link[], instance: string, socket: string): boolean =>
  pluggedIn(links).has(`${instance} ${socket}`)

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
  flatMap(everywhere(assembly), (piece) => (piece.part.sockets ?? []).map((socket) => ({ piece, socket })))

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

/** A socket with a port saver in it: the socket that the next plug goes into, and the saver. */
export interface Coupled extends SocketHere {
  readonly coupler?: { readonly id: string; readonly part: Part; readonly own: Socket }
}

/** The way a swivel turns: of the four the one that looks most towards where the lead goes. */
const swivelled = (here: SocketHere, towards: Vec3): Exclude<PlugAngle, 'swivel'> => {
  const frame = plugFrame(here)
  const way = subtract(towards, frame.at)
  const looks = (angle: Exclude<PlugAngle, 'swivel'>) => dot(direction(frame, ways[angle]), way)
  return (['left', 'right', 'up', 'down'] as const).reduce((best, one) => (looks(one) > looks(best) ? one : best))
}

/**
 * The socket that a port saver makes of another: straight out by its length, or beside it by its angle. Its plug has to
 * go in; a heavier picture than the saver passes does not get through.
 * @param towards where the lead goes; only a swivel minds
 */
export const coupledAt = (here: SocketHere, id: string, part: Part, towards: Vec3): Coupled => {
  const { coupler } = part
  const { piece, socket } = here
  if (!coupler || !goesIn(coupler.connector, socket.connector)) return here
  const angle = coupler.angle === 'swivel' ? swivelled(here, towards) : coupler.angle
  const own = facing(socket.at, socket.out, heightOf(socket.out))
  const out = direction(own, ways[angle])
  const corner = angle === 'straight' ? socket.at : add(socket.at, scale(socket.out, FLAT_PLUG_MM / 2))
  const passed = coupler.upTo && pictureFormats.slice(0, pictureFormats.indexOf(coupler.upTo) + 1)
  const formats = passed && (socket.formats ?? pictureFormats).filter((format) => passed.includes(format))
  return {
    piece,
    socket: {
      ...socket,
      at: add(corner, scale(out, coupler.longMm)),
      out,
      ...(formats ? { formats } : {}),
    },
    coupler: { id, part, own: socket },
  }
}

/** Where the cable leaves a plug, as a direction of the rig; a swivel plug leaves where it is wanted. */
export const cableWay = (here: SocketHere, angle: PlugAngle): Vec3 | undefined =>
  angle === 'swivel' ? undefined : direction(plugFrame(here), ways[angle])
