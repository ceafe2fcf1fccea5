import { flatMap } from '../kernel/index.ts'
import {
  type Command,
  freshId,
  type Joint,
  middleOf,
  type PlacedPart,
  type Point,
  ridesOn,
  seat,
  seatingsAt,
} from '../assembly/index.ts'
import { joiningRoles, mate, mountOf, type Part, partnersOf, type Role } from '../catalogue/index.ts'
import { byReadiness, pointName, type Remedy } from '../checks/index.ts'
import { clashWith, suitsRole } from '../clearance/index.ts'
import type { Facts } from '../facts/index.ts'
import { freeWithout, moversOf, type Proposer } from './concern.ts'

/** What goes between two pieces: spacers, risers, extenders, plates at an angle, swivels, arms, clamps. */
const between: ReadonlySet<Role> = new Set([
  ...joiningRoles,
  'arm',
  'monitor-mount',
  'mic-mount',
  'rod-clamp',
  'plate',
  'lens-adapter',
  'step-ring',
])

const jointOf = (guest: string, guestMount: string, host: string, hostMount: string, slideMm: number): Joint => ({
  guest,
  guestMount,
  host,
  hostMount,
  slideMm,
  turnDeg: 0,
})

/** The ways one part goes between a piece and what it sits on, with the piece clear of all that does not ride on it. */
const waysBetween = function* (facts: Facts, piece: PlacedPart, part: Part): Generator<Remedy> {
  const { setup, placed, rig } = facts.assembly
  const hostMount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  if (!piece.host || !piece.joint || !hostMount) return
  const others = placed.filter((other) => !ridesOn(other, piece))
  const idle = facts.assembly.loose.find((loose) => loose.part.id === part.id)?.instance
  const instance = idle ?? { id: freshId(rig, part.id), partId: part.id, status: 'in' as const }
  const add: Command = idle ? { do: 'status', instance: idle.id, status: 'in' } : { do: 'add', instance }
  for (const foot of part.mounts) {
    const made = mate({ part: piece.host.part, mount: hostMount }, { part, mount: foot })
    if (!made.ok) continue
    for (const top of part.mounts) {
      if (top === foot || top.carries) continue
      for (const own of piece.part.mounts) {
        if (own.carries || !mate({ part, mount: top }, { part: piece.part, mount: own }).ok) continue
        const lower = jointOf(
          instance.id,
          foot.id,
          piece.host.instance.id,
          hostMount.id,
          middleOf(hostMount.travel ?? foot.travel),
        )
        const upper = jointOf(piece.instance.id, own.id, instance.id, top.id, middleOf(top.travel ?? own.travel))
        const first = seat(piece.host, { ...lower, turnDeg: 0 }, instance, part)
        const turns = [piece.joint.turnDeg, 0, 180, 90, -90]
        const turnDeg = [...new Set(turns)].find((deg) => {
          const seated = seat(first, { ...upper, turnDeg: deg }, piece.instance, piece.part)
          return suitsRole(facts.assembly, seated) && clashWith(seated, others) === 0
        })
        if (turnDeg === undefined || clashWith(first, others) > 0) continue
        yield {
          text: 'put {part} between {piece} and {host}',
          numbers: {},
          names: { part: part.name, piece: piece.part.name, host: piece.host.part.name },
          commands: [
            add,
            { do: 'place', setup: setup.id, joint: lower },
            { do: 'place', setup: setup.id, joint: { ...upper, turnDeg } },
          ],
        }
        return
      }
    }
  }
}

/** What joins a piece with what it sits on: it goes on the one's point and takes the other, the readiest first. */
const joinersOf = (facts: Facts, piece: PlacedPart): readonly Part[] => {
  const { catalogue } = facts.context
  const hostMount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  if (!piece.host || !hostMount) return []
  const takers = new Set(
    flatMap(
      piece.part.mounts.filter(({ carries }) => !carries),
      (own) => partnersOf(piece.part, own, catalogue),
    ),
  )
  return partnersOf(piece.host.part, hostMount, catalogue)
    .filter((part) => between.has(part.role) && takers.has(part))
    .sort(byReadiness(facts))
}

/** So many points and so many parts at each are looked at for a piece that goes elsewhere. */
const NEAR = { points: 8, parts: 4 } as const

const far = (point: Point, piece: PlacedPart): number =>
  Math.hypot(...point.at.map((value, i) => value - (piece.centre[i] ?? 0)))

/** A piece on another point by way of something that goes on there and takes it; what it left bare comes off. */
const elsewhereBy = function* (facts: Facts, piece: PlacedPart): Generator<Remedy> {
  const { setup, placed, loose, rig } = facts.assembly
  const { catalogue } = facts.context
  const takers = new Set(
    flatMap(
      piece.part.mounts.filter(({ carries }) => !carries),
      (own) => partnersOf(piece.part, own, catalogue),
    ),
  )
  const { host } = piece
  const others = placed.filter((other) => !ridesOn(other, piece))
  const isBare =
    host !== undefined && between.has(host.part.role) && !placed.some((other) => other.host === host && other !== piece)
  const standing = isBare ? others.filter((other) => other !== host) : others
  const points = facts.points
    .filter((point) => freeWithout(point, piece) && !ridesOn(point.piece, piece) && (!isBare || point.piece !== host))
    .sort((a, b) => far(a, piece) - far(b, piece))
    .slice(0, NEAR.points)
  for (const point of points) {
    const parts = partnersOf(point.piece.part, point.mount, catalogue)
      .filter((part) => between.has(part.role) && takers.has(part))
      .sort(byReadiness(facts))
      .slice(0, NEAR.parts)
    for (const part of parts) {
      const idle = loose.find((one) => one.part.id === part.id)?.instance
      const instance = idle ?? { id: freshId(rig, part.id), partId: part.id, status: 'in' as const }
      const lower = seatingsAt(point, instance, part).find(({ piece: seated }) => clashWith(seated, standing) === 0)
      if (!lower) continue
      const upper = flatMap(
        part.mounts.filter(({ id, carries }) => id !== lower.joint.guestMount && !carries),
        (mount) => seatingsAt({ ...point, piece: lower.piece, mount }, piece.instance, piece.part),
      ).find(({ piece: seated }) => suitsRole(facts.assembly, seated) && clashWith(seated, standing) === 0)
      if (!upper) continue
      yield {
        text: 'move {piece} to {part}, at {point}',
        numbers: {},
        names: { part: part.name, piece: piece.part.name, point: pointName(point) },
        commands: [
          idle ? { do: 'status', instance: idle.id, status: 'in' } : { do: 'add', instance },
          { do: 'place', setup: setup.id, joint: lower.joint },
          { do: 'place', setup: setup.id, joint: upper.joint },
          ...(isBare && host ? [{ do: 'take-off', setup: setup.id, instance: host.instance.id } as const] : []),
        ],
      }
    }
  }
}

/** Between every piece and what it sits on whatever joins the two; then to another point by way of what takes it there. */
export const insert: Proposer = function* (facts, concern) {
  const movers = moversOf(concern)
  for (const piece of movers) for (const part of joinersOf(facts, piece)) yield* waysBetween(facts, piece, part)
  const riders = facts.assembly.placed.filter(({ host }) => host && concern.named.includes(host))
  for (const piece of new Set([...concern.named, ...riders])) yield* elsewhereBy(facts, piece)
}
