import { type Command, freshId, type Joint, type PlacedPart, type Point, ridesOn } from '../assembly/index.ts'
import { mate, offeredParts, type Part, type Role } from '../catalogue/index.ts'
import { addRemedy, byReadiness, pointName, type Remedy } from '../checks/index.ts'
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

/** Parts that hold something another part carries, by what is wrong. */
const holders: Readonly<Record<string, Role>> = {
  'mount-moment': 'lens-support',
  'adapter-load': 'lens-support',
  'support-reach': 'lens-support',
  'no-strain-relief': 'cable-clamp',
  'untethered-overhead': 'tether',
}

/** Something new that holds: a lens support under the lens, a tether, a clamp. */
const held = function* (facts: Facts, parts: readonly Part[]): Generator<Remedy> {
  for (const part of parts) {
    const put = addRemedy(facts, part)
    if (put) yield { ...put, kind: 'support' }
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

/** Second screws, braces, lens supports, tethers, clamps. */
export const support: Proposer = function* (facts, concern) {
  const wanted = holders[concern.finding.check]
  const parts = offeredParts(facts.context.catalogue).sort(byReadiness(facts))
  for (const piece of moversOf(concern)) yield* braces(facts, piece)
  yield* held(
    facts,
    parts.filter(({ role }) => role === wanted),
  )
  for (const piece of moversOf(concern))
    yield* bridged(
      facts,
      piece,
      parts.filter(({ role }) => role === 'adapter' || role === 'rod-clamp' || role === 'riser'),
    )
}
