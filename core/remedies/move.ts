import { type PlacedPart, type Point, ridesOn, seatingsAt } from '../assembly/index.ts'
import { pointName, type Remedy } from '../checks/index.ts'
import { clashWith, suitsRole } from '../clearance/index.ts'
import type { Facts } from '../facts/index.ts'
import { moversOf, type Proposer } from './concern.ts'

const away = (point: Point, piece: PlacedPart): number =>
  Math.hypot(...point.at.map((value, i) => value - (piece.centre[i] ?? 0)))

/** The places where a piece would sit clear and do the work of its role, the nearest first. */
const placesOf = function* (facts: Facts, piece: PlacedPart): Generator<Remedy> {
  const { setup, placed } = facts.assembly
  const others = placed.filter((other) => !ridesOn(other, piece))
  const points = facts.points
    .filter(
      (point) => (point.open || point.taken.every((id) => id === piece.instance.id)) && !ridesOn(point.piece, piece),
    )
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

/** Every piece on other points, its function kept. */
export const move: Proposer = function* (facts, concern) {
  for (const piece of moversOf(concern)) yield* placesOf(facts, piece)
}
