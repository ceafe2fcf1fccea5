import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { connectors, type Socket } from '../catalogue/index.ts'
import { CLASH_MM, compose, facing, penetration, type Placed, placeShape, type Vec3 } from '../kernel/index.ts'

/** A socket with the plug that would stand in it. */
export interface Plugged {
  readonly piece: PlacedPart
  readonly socket: Socket
  readonly plug: Placed
}

/** Two sockets whose plugs want the same space. */
export interface Crowd {
  readonly a: Plugged
  readonly b: Plugged
  readonly overlapMm: number
}

const upOf = (out: Vec3): Vec3 => (Math.abs(out[1]) > 0.5 ? [0, 0, -1] : [0, 1, 0])

/** The body of a straight plug in a socket, where the piece stands. */
export const plugIn = (piece: PlacedPart, socket: Socket): Plugged => {
  const { bodyMm, wideMm, tallMm } = connectors[socket.connector]
  const frame = compose(piece.frame, facing(socket.at, socket.out, upOf(socket.out)))
  return { piece, socket, plug: placeShape({ kind: 'box', centre: [0, 0, bodyMm / 2], size: [wideMm, tallMm, bodyMm] }, frame) }
}

/** Every pair of sockets, on one piece or two, that can not both take a plug. */
export const crowdsOf = (assembly: Assembly): readonly Crowd[] => {
  const all = assembly.placed.flatMap((piece) => (piece.part.sockets ?? []).map((socket) => plugIn(piece, socket)))
  return all.flatMap((a, i) =>
    all.slice(i + 1).flatMap((b): Crowd[] => {
      const overlapMm = penetration(a.plug, b.plug, CLASH_MM)
      return overlapMm > CLASH_MM ? [{ a, b, overlapMm }] : []
    }),
  )
}
