import { type Command, freshId, type Joint, type PlacedPart, type Point, ridesOn } from '../assembly/index.ts'
import { mate, offeredParts, type Part } from '../catalogue/index.ts'
import { byReadiness, pointName, type Remedy } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { lengthOf, subtract } from '../kernel/index.ts'
import { moversOf, type Proposer } from './concern.ts'

/** Two mounts farther apart than this are not joined by a second hold as they stand. mm */
const REACH_MM = 3

const braceJoint = (guest: Point, host: Point): Joint => ({
  guest: guest.piece.instance.id,
  guestMount: guest.mount.id,
  host: host.piece.instance.id,
  hostMount: host.mount.id,
  slideMm: 0,
  turnDeg: 0,
})

/** Second holds between a piece, or what rides on it, and the rest of the rig, where two open mounts already meet. */
const braces = function* (facts: Facts, piece: PlacedPart): Generator<Remedy> {
  const { setup } = facts.assembly
  const open = facts.points.filter((point) => point.open)
  const own = open.filter((point) => ridesOn(point.piece, piece))
  const rest = open.filter((point) => !ridesOn(point.piece, piece))
  for (const mine of own)
    for (const other of rest) {
      if (lengthOf(subtract(mine.at, other.at)) > REACH_MM) continue
      const [guest, host] = mine.mount.side === 'sits' ? [mine, other] : [other, mine]
      if (!mate({ part: host.piece.part, mount: host.mount }, { part: guest.piece.part, mount: guest.mount }).ok)
        continue
      yield {
        text: 'hold {part} at {point} as well',
        numbers: {},
        names: { part: mine.piece.part.name, point: pointName(other) },
        commands: [{ do: 'brace', setup: setup.id, joint: braceJoint(guest, host) }],
        kind: 'support',
      }
    }
}

/** A brace: something that sits on the one side and meets the other as well. */
const bridged = function* (facts: Facts, piece: PlacedPart, parts: readonly Part[]): Generator<Remedy> {
  const { rig, setup } = facts.assembly
  for (const part of parts) {
    const sits = part.mounts.filter(({ side, carries }) => side === 'sits' && !carries)
    if (sits.length < 2) continue
    const id = freshId(rig, part.id)
    for (const point of facts.points) {
      if (!point.open || !ridesOn(point.piece, piece)) continue
      for (const foot of sits) {
        if (!mate({ part: point.piece.part, mount: point.mount }, { part, mount: foot }).ok) continue
        const joint: Joint = {
          guest: id,
          guestMount: foot.id,
          host: point.piece.instance.id,
          hostMount: point.mount.id,
          slideMm: 0,
          turnDeg: 0,
        }
        const add: Command = { do: 'add', instance: { id, partId: part.id, status: 'in' } }
        const place: Command = { do: 'place', setup: setup.id, joint }
        for (const other of facts.points) {
          if (!other.open || ridesOn(other.piece, piece)) continue
          const second = sits.find(
            (mount) => mount !== foot && mate({ part: other.piece.part, mount: other.mount }, { part, mount }).ok,
          )
          if (!second) continue
          const brace: Command = {
            do: 'brace',
            setup: setup.id,
            joint: { ...joint, guestMount: second.id, host: other.piece.instance.id, hostMount: other.mount.id },
          }
          yield {
            text: 'brace {piece} with {part} to {point}',
            numbers: {},
            names: { part: part.name, piece: piece.part.name, point: pointName(other) },
            commands: [add, place, brace],
            kind: 'support',
          }
        }
      }
    }
  }
}

/** Second screws and braces. What holds by itself, a lens support or a tether, its rule names. */
export const support: Proposer = function* (facts, concern) {
  const parts = offeredParts(facts.context.catalogue)
    .filter(({ role }) => role === 'adapter' || role === 'rod-clamp' || role === 'riser')
    .sort(byReadiness(facts))
  for (const piece of moversOf(concern)) yield* braces(facts, piece)
  for (const piece of moversOf(concern)) yield* bridged(facts, piece, parts)
}
