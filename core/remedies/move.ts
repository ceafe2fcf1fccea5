import { type PlacedPart, type Point, ridesOn, seatingsAt } from '../assembly/index.ts'
import { joiningRoles, mountOf } from '../catalogue/index.ts'
import { pointName, type Remedy } from '../checks/index.ts'
import { clashWith, suitsRole } from '../clearance/index.ts'
import type { Facts } from '../facts/index.ts'
import { freeWithout, moversOf, type Proposer } from './concern.ts'

const away = (point: Point, piece: PlacedPart): number =>
  Math.hypot(...point.at.map((value, i) => value - (piece.centre[i] ?? 0)))

/** The places where a piece would sit clear and do the work of its role, the nearest first. */
const placesOf = function* (facts: Facts, piece: PlacedPart): Generator<Remedy> {
  const { setup, placed } = facts.assembly
  const others = placed.filter((other) => !ridesOn(other, piece))
  const points = facts.points
    .filter((point) => freeWithout(point, piece) && !ridesOn(point.piece, piece))
    .sort((a, b) => away(a, piece) - away(b, piece))
  for (const point of points) {
    const isHere = piece.host === point.piece && piece.joint?.hostMount === point.mount.id
    const seating = seatingsAt(point, piece.instance, piece.part).find(
      ({ joint, piece: seated }) =>
        (!isHere || joint.guestMount !== piece.joint?.guestMount) &&
        suitsRole(facts.assembly, seated) &&
        clashWith(seated, others) === 0,
    )
    if (seating)
      yield {
        text: 'move {part} to {point}',
        numbers: {},
        names: { part: piece.part.name, point: pointName(point) },
        commands: [{ do: 'place', setup: setup.id, joint: seating.joint }],
      }
  }
}

/** A piece on what its carrier sits on, where the carrier carries nothing else: without the adapter between. */
const withoutBetween = function* (facts: Facts, piece: PlacedPart): Generator<Remedy> {
  const { setup, placed } = facts.assembly
  const { host } = piece
  const below = host?.host
  if (!host || !below || !host.joint || !joiningRoles.has(host.part.role)) return
  if (placed.some((other) => other.host === host && other !== piece)) return
  const mount = mountOf(below.part, host.joint.hostMount)
  const point = mount && facts.points.find((one) => one.piece === below && one.mount.id === mount.id)
  if (!point) return
  const others = placed.filter((other) => other !== host && !ridesOn(other, piece))
  const seating = seatingsAt(point, piece.instance, piece.part).find(
    ({ piece: seated }) => suitsRole(facts.assembly, seated) && clashWith(seated, others) === 0,
  )
  if (seating)
    yield {
      text: 'put {part} straight on {point}, without {between}',
      numbers: {},
      names: { part: piece.part.name, point: pointName(point), between: host.part.name },
      commands: [
        { do: 'place', setup: setup.id, joint: seating.joint },
        { do: 'take-off', setup: setup.id, instance: host.instance.id },
      ],
    }
}

/** Every piece on other points, its function kept. */
export const move: Proposer = function* (facts, concern) {
  for (const piece of moversOf(concern)) yield* withoutBetween(facts, piece)
  for (const piece of moversOf(concern)) yield* placesOf(facts, piece)
}
