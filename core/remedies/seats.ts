import {
  type Command,
  freshId,
  type PlacedPart,
  type Point,
  ridesOn,
  seatingsAt,
  slideWay,
  wayName,
} from '../assembly/index.ts'
import { joiningRoles, mate, offeredParts, type Part, roles } from '../catalogue/index.ts'
import { afterSwap, byReadiness, pointName, type Remedy } from '../checks/index.ts'
import { clashWith, suitsRole } from '../clearance/index.ts'
import type { Facts, Sees } from '../facts/index.ts'
import { flatMap, scale, zero } from '../kernel/index.ts'
import { figuresAfter } from './after.ts'

const sitsOn = (piece: PlacedPart, point: Point): boolean =>
  piece.host === point.piece && piece.joint?.hostMount === point.mount.id

/**
 * Moves a piece to the open point where its role works and it sits clear of everything, the nearest first; undefined when there is none.
 */
export const movedTo = (
  facts: Sees<'points'>,
  piece: PlacedPart,
  wanted: (point: Point) => boolean,
): Remedy | undefined => {
  const { setup } = facts.assembly
  const others = facts.assembly.placed.filter((other) => !ridesOn(other, piece))
  const near = (point: Point) => Math.hypot(...point.at.map((value, i) => value - (piece.centre[i] ?? 0)))
  const points = facts.points
    .filter((point) => point.open && !ridesOn(point.piece, piece) && !sitsOn(piece, point) && wanted(point))
    .sort((a, b) => near(a) - near(b))
  for (const point of points)
    for (const seating of seatingsAt(point, piece.instance, piece.part))
      if (clashWith(seating.piece, others) === 0 && suitsRole(facts.assembly, seating.piece))
        return {
          text: 'move to {point}',
          numbers: {},
          names: { point: pointName(point) },
          commands: [{ do: 'place', setup: setup.id, joint: seating.joint }],
        }
  return undefined
}

export const takenOff = (facts: Sees, piece: PlacedPart): Remedy => ({
  text: 'take off {part}',
  numbers: {},
  names: { part: piece.part.name },
  commands: [{ do: 'take-off', setup: facts.assembly.setup.id, instance: piece.instance.id }],
})

/** Puts another part in the place of a piece, if that can be done in every set-up. */
export const swappedIn = (facts: Sees, piece: PlacedPart, to: Part): Remedy | undefined => {
  const after = afterSwap(facts, piece, to)
  return (
    after && {
      text: 'swap the {role} for {part}',
      numbers: {},
      names: { role: roles[piece.part.role].title, part: to.name },
      commands: after.commands,
    }
  )
}

/**
 * The first place a new part can go where its role works and it touches nothing: the edits that add it and seat it there. @param at the
 * points that are looked at
 */
export const putOn = (facts: Sees<'points'>, part: Part, at: readonly Point[] = facts.points): Remedy | undefined => {
  const { rig, setup, placed } = facts.assembly
  const loose = facts.assembly.loose.find(({ instance }) => instance.partId === part.id)?.instance
  const instance = loose ?? { id: freshId(rig, part.id), partId: part.id, status: 'in' as const }
  const add: Command[] = loose ? [{ do: 'status', instance: loose.id, status: 'in' }] : [{ do: 'add', instance }]
  for (const point of at) {
    if (
      !point.open ||
      !part.mounts.some((mount) => mate({ part: point.piece.part, mount: point.mount }, { part, mount }).ok)
    )
      continue
    const seating = seatingsAt(point, instance, part).find(
      (option) => suitsRole(facts.assembly, option.piece) && clashWith(option.piece, placed) === 0,
    )
    if (seating)
      return {
        text: 'put on {part}, at {point}',
        numbers: {},
        names: { part: part.name, point: pointName(point) },
        commands: [...add, { do: 'place', setup: setup.id, joint: seating.joint }],
        kind: 'add',
      }
  }
  return undefined
}

/** Takes parts along without bolting them on: filters and adapters that wait in the bag. */
export const takenAlong = (facts: Sees, parts: readonly Part[]): Remedy | undefined => {
  const ids: string[] = []
  for (const part of parts) ids.push(freshId(facts.assembly.rig, part.id, ids))
  return parts.length === 0
    ? undefined
    : {
        text: 'take {part} along',
        numbers: {},
        names: { part: parts.map(({ name }) => name).join(' and ') },
        commands: parts.map((part, i) => ({
          do: 'add',
          instance: { id: ids[i] ?? part.id, partId: part.id, status: 'in' },
        })),
      }
}

/** Parts that make a place where there is none; so many of them are tried. */
const makers: ReadonlySet<Part['role']> = new Set([
  ...joiningRoles,
  'arm',
  'monitor-mount',
  'rod-clamp',
  'battery-plate',
])
const MOST_TRIED = 24

/** Of some points those on which a part makes a place for another: it sits by one end and takes the other by another. */
const madeAt = (points: readonly Point[], maker: Part, part: Part): readonly Point[] => {
  // What has no foot of its own, as a screen has none, is screwed onto a stud; all else sits by its foot.
  const hasFoot = part.mounts.some(({ side }) => side === 'sits')
  const takes = maker.mounts.filter(
    (mount) =>
      (mount.side === 'holds' || !hasFoot) &&
      part.mounts.some((own) => !own.carries && mate({ part: maker, mount }, { part, mount: own }).ok),
  )
  return takes.length === 0
    ? []
    : points.filter(({ piece, mount: host }) =>
        maker.mounts.some(
          (own) =>
            !own.carries &&
            takes.some((mount) => mount !== own) &&
            mate({ part: piece.part, mount: host }, { part: maker, mount: own }).ok,
        ),
      )
}

/** What is made to hold a screen, and what holds anything. */
const isMeantFor = (maker: Part, part: Part): boolean =>
  maker.role === 'monitor-mount' ? part.optics?.kind === 'screen' : maker.role !== 'battery-plate' || isBattery(part)
const isBattery = ({ power }: Part): boolean => power?.store !== undefined

/**
 * A part put on by way of another that makes its place: an adapter, a riser, an arm, a mount with a stud, a clamp on a
 * rod. Each of those that leave both clear of everything once, wherever on the rig that is: what is made to hold such a
 * part first, then the readiest.
 */
export const placesMade = function* (facts: Facts, part: Part): Generator<Remedy> {
  const open = facts.points.filter((point) => point.open)
  // What is looked at belongs high up, what is carried low.
  if (part.optics?.kind === 'screen') open.sort((a, b) => b.at[1] - a.at[1])
  const ready = byReadiness(facts)
  const isMount = ({ role }: Part): boolean => role === 'monitor-mount'
  const between = flatMap(offeredParts(facts.context.catalogue), (maker) => {
    if (!makers.has(maker.role) || maker.id === part.id || !isMeantFor(maker, part)) return []
    const points = madeAt(open, maker, part)
    return points.length > 0 ? [{ maker, points }] : []
  })
    .sort(({ maker: a }, { maker: b }) => Number(isMount(b)) - Number(isMount(a)) || ready(a, b))
    .slice(0, MOST_TRIED)
  for (const { maker, points } of between) {
    const made = oneMade(facts, part, maker, points)
    if (made) yield made
  }
}

const oneMade = (facts: Facts, part: Part, maker: Part, points: readonly Point[]): Remedy | undefined => {
  for (const point of points) {
    const first = putOn(facts, maker, [point])
    const after = first && figuresAfter(facts, first.commands)
    if (!first || !after) continue
    const made = after.points.filter(({ piece }) => !facts.assembly.byInstance.has(piece.instance.id))
    const then = putOn(after, part, made)
    if (then)
      return {
        text: 'put on {part}, on {between} at {point}',
        numbers: {},
        names: { part: part.name, between: maker.name, point: first.names['point'] ?? '' },
        commands: [...first.commands, ...then.commands],
      }
  }
  return undefined
}

/** The first of those places. */
export const placeMade = (facts: Facts, part: Part): Remedy | undefined => {
  for (const made of placesMade(facts, part)) return made
  return undefined
}

/** A piece slid to where it should stand on its travel. */
export const slidTo = (
  { assembly: { setup } }: Sees,
  piece: PlacedPart,
  slideMm: number,
  { leavesDeg, rig = false }: { readonly leavesDeg?: number | undefined; readonly rig?: boolean | undefined } = {},
): Remedy => {
  const byMm = slideMm - (piece.joint?.slideMm ?? 0)
  // Where the rig slides on its plate, it goes the other way than the plate would.
  const way = scale(slideWay(piece) ?? zero, Math.sign(byMm))
  return {
    text: rig
      ? 'slide the rig {byMm:mm} {way} on {part}'
      : `slide {part} {byMm:mm} {way}${leavesDeg === undefined ? '' : ', leaves {leftDeg:deg}'}`,
    numbers: { byMm: Math.abs(byMm), ...(leavesDeg === undefined ? {} : { leftDeg: leavesDeg }) },
    names: { part: piece.part.name, way: wayName(rig ? scale(way, -1) : way) },
    commands: [{ do: 'set', setup: setup.id, instance: piece.instance.id, slideMm }],
  }
}

/** A piece turned about its own joint. */
export const turnedTo = ({ assembly: { setup } }: Sees, piece: PlacedPart, turnDeg: number): Remedy => ({
  text: 'turn {part} to {turnDeg:deg}',
  numbers: { turnDeg },
  names: { part: piece.part.name },
  commands: [{ do: 'set', setup: setup.id, instance: piece.instance.id, turnDeg }],
})
