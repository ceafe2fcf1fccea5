import { type Assembly, near, type PlacedPart, plugFrame } from '../assembly/index.ts'
import { connectors, type Socket, straightPlugMm } from '../catalogue/index.ts'
import {
  type Bounds,
  boundsOf,
  CLASH_MM,
  emptyBounds,
  overlap,
  perPairKey,
  perThing,
  placeShape,
  unite,
} from '../kernel/index.ts'
import { pressesInto } from './pressing.ts'

/** The room in front of one socket. */
export interface PlugRoom {
  readonly piece: PlacedPart
  readonly socket: Socket
  /** What a straight plug and its cable's bend want, and what is free, mm. */
  readonly wantedMm: number
  readonly freeMm: number
  readonly by: PlacedPart | undefined
}

/** Halvings of the free length: it is told to a ten-millionth of a millimetre. */
const STEPS = 30

const remembered = perPairKey<PlacedPart, PlacedPart, number>('plug room')

/** How far a plug can stand out of a socket before it meets a piece, mm; the wanted length when it never does. */
const freeBefore = (piece: PlacedPart, socket: Socket, by: PlacedPart, wantedMm: number): number => {
  const { wideMm, tallMm } = connectors[socket.connector]
  const frame = plugFrame({ piece, socket })
  const met = (lengthMm: number): boolean => {
    const plug = placeShape({ kind: 'box', centre: [0, 0, lengthMm / 2], size: [wideMm, tallMm, lengthMm] }, frame)
    return pressesInto(plug, boundsOf(plug), by)
  }
  if (!met(wantedMm)) return wantedMm
  let [free, stopped] = [0, wantedMm]
  for (let i = 0; i < STEPS; i++) {
    const middle = (free + stopped) / 2
    if (met(middle)) stopped = middle
    else free = middle
  }
  return Math.max(0, free - CLASH_MM)
}

/** Where the longest plug of each socket of a placed piece could be, and all of them together. */
interface Reaches {
  readonly each: readonly (readonly [Socket, Bounds])[]
  readonly all: Bounds
}
const reachesOf = perThing('plug reaches of a piece', (piece: PlacedPart): Reaches => {
  const each = (piece.part.sockets ?? []).map((socket) => {
    const { wideMm, tallMm } = connectors[socket.connector]
    const lengthMm = straightPlugMm(socket.connector)
    const frame = plugFrame({ piece, socket })
    const box = {
      kind: 'box' as const,
      centre: [0, 0, lengthMm / 2] as const,
      size: [wideMm, tallMm, lengthMm] as const,
    }
    return [socket, boundsOf(placeShape(box, frame))] as const
  })
  return { each, all: each.reduce((all, [, bounds]) => unite(all, bounds), emptyBounds) }
})

/** Does a piece come near the plugs of another? */
export const touchesPlugs = (piece: PlacedPart, socketed: PlacedPart): boolean =>
  overlap(reachesOf(socketed).all, piece.bounds)

/** The sockets of a piece with what is free in front of each. Answers are remembered for each pair of placed pieces. */
export const plugRoomsAt = (piece: PlacedPart, { placed }: Pick<Assembly, 'placed'>): readonly PlugRoom[] => {
  const { each, all } = reachesOf(piece)
  if (each.length === 0) return []
  const beside = near(placed, all)
  return each.map(([socket, reach]): PlugRoom => {
    const wantedMm = straightPlugMm(socket.connector)
    let freeMm = wantedMm
    let nearest: PlacedPart | undefined
    for (const by of beside) {
      if (by === piece || !overlap(reach, by.bounds)) continue
      const free = remembered(piece, by, socket.id, () => freeBefore(piece, socket, by, wantedMm))
      if (free < freeMm) [freeMm, nearest] = [free, by]
    }
    return { piece, socket, wantedMm, freeMm, by: nearest }
  })
}
