import { type Assembly, type PlacedPart, plugFrame } from '../assembly/index.ts'
import { connectors, type Socket } from '../catalogue/index.ts'
import {
  type Bounds,
  boundsOf,
  CLASH_MM,
  emptyBounds,
  overlap,
  penetration,
  perPair,
  perThing,
  type Placed,
  placeShape,
  unite,
  flatMap,
} from '../kernel/index.ts'

/** A socket with the plug that would stand in it. */
export interface Plugged {
  readonly piece: PlacedPart
  readonly socket: Socket
  readonly plug: Placed
  readonly bounds: Bounds
}

/** Two sockets whose plugs want the same space. */
export interface Crowd {
  readonly a: Plugged
  readonly b: Plugged
  readonly overlapMm: number
}

/** The body of a straight plug in a socket, where the piece stands. */
const plugIn = (piece: PlacedPart, socket: Socket): Plugged => {
  const { bodyMm, wideMm, tallMm } = connectors[socket.connector]
  const plug = placeShape(
    { kind: 'box', centre: [0, 0, bodyMm / 2], size: [wideMm, tallMm, bodyMm] },
    plugFrame({ piece, socket }),
  )
  return { piece, socket, plug, bounds: boundsOf(plug) }
}

/** All sockets of a placed piece with their plugs. */
export const pluggedOf = perThing('plugs of a piece', (piece: PlacedPart): readonly Plugged[] =>
  (piece.part.sockets ?? []).map((socket) => plugIn(piece, socket)),
)

/** Where the plugs of a piece may be. */
const plugBounds = perThing('plug bounds of a piece', (piece: PlacedPart): Bounds =>
  pluggedOf(piece).reduce((all, { bounds }) => unite(all, bounds), emptyBounds),
)

/** The sockets of two pieces, or of one, that crowd each other. */
const crowdsBetween = perPair('crowds', (first: PlacedPart, second: PlacedPart): readonly Crowd[] =>
  flatMap(pluggedOf(first), (a, i) =>
    flatMap(pluggedOf(second), (b, j): Crowd[] => {
      if ((first === second && j <= i) || !overlap(a.bounds, b.bounds, CLASH_MM)) return []
      const overlapMm = penetration(a.plug, b.plug, CLASH_MM)
      return overlapMm > CLASH_MM ? [{ a, b, overlapMm }] : []
    }),
  ),
)

/** Every pair of sockets, on one piece or two, that can not both take a plug. */
export const crowdsOf = ({ placed }: Pick<Assembly, 'placed'>): readonly Crowd[] => {
  const all: Crowd[] = []
  const having = placed.filter(({ part }) => (part.sockets?.length ?? 0) > 0)
  for (const [i, first] of having.entries())
    for (const second of having.slice(i))
      if (first === second || overlap(plugBounds(first), plugBounds(second), CLASH_MM))
        all.push(...crowdsBetween(first, second))
  return all
}
