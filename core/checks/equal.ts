import type { Joint, Link, PlacedPart, Rig, Setup } from '../assembly/index.ts'
import { type Catalogue, mate, mountOf, type Part, cheapestFirst } from '../catalogue/index.ts'
import {
  boundsOf,
  dot,
  emptyBounds,
  identity,
  keyed,
  numberOf,
  perKey,
  perPair,
  perPairKey,
  perThing,
  placeShape,
  unite,
  flatMap,
} from '../kernel/index.ts'
import { comparedMinor } from '../money/index.ts'
import { leadsOfSetups, type Sees, takenFrom } from '../facts/index.ts'
import { byReadiness } from './places.ts'

/** A little less charge or light than before is still the same. */
const NEARLY = 0.95
/** More grams than this share over the old part are a loss of their own. */
const HEAVIER = 1.25

const connectorsOf = (part: Part): readonly string[] =>
  (part.sockets ?? []).map(({ connector, direction }) => `${connector} ${direction}`)

/** Has every element of one list in it, as often as it stands there? */
const covers = (list: readonly string[], wanted: readonly string[]): boolean => {
  const left = [...list]
  return wanted.every((one) => {
    const at = left.indexOf(one)
    if (at >= 0) left.splice(at, 1)
    return at >= 0
  })
}

/** The longest rail or plate of a part, mm, and how many things can sit on it. */
const longestOf = ({ mounts }: Part): number => Math.max(0, ...mounts.map(({ lengthMm }) => lengthMm ?? 0))
const pointsOf = ({ mounts }: Part): number => mounts.filter(({ side }) => side === 'holds').length

/** What a rig uses of a piece: the sockets its leads go into, at most in one set-up, and what the brief asks of it. */
export interface Use {
  readonly sockets: readonly string[]
  readonly gifts: readonly string[]
}

/** The sockets at each piece into which a lead of a set-up goes. */
const plugged = perThing('ends of leads', (links: readonly Link[]): ReadonlyMap<string, readonly string[]> => {
  const here = new Map<string, string[]>()
  for (const { from, to } of links)
    for (const { instance, socket } of [from, to]) {
      const sockets = here.get(instance)
      if (sockets) sockets.push(socket)
      else here.set(instance, [socket])
    }
  return here
})

/** The sockets of a piece that leads go into, in the set-up in which they are most. */
const pluggedAt = (facts: Sees, instance: string): string => {
  let most: readonly string[] = []
  for (const links of leadsOfSetups(facts)) {
    const sockets = plugged(links).get(instance)
    if (sockets && sockets.length > most.length) most = sockets
  }
  return most.join(' ')
}

export const useOf = (facts: Sees<'asked'>, { instance, part }: PlacedPart): Use => {
  const ids = part.sockets ? takenFrom(facts, instance.id, pluggedAt) : ''
  const { asked } = facts
  return {
    sockets: flatMap(ids.split(' '), (id) => part.sockets?.find((socket) => socket.id === id) ?? []).map(
      ({ connector, direction }) => `${connector} ${direction}`,
    ),
    gifts: part.provides.filter((gift) => asked.has(gift)),
  }
}

/** A handle shorter than this part of another holds fewer fingers. */
const WHOLE_HAND = 0.85

const boxOf = perThing('box round a part', ({ solids }: Part) =>
  solids.map((solid) => boundsOf(placeShape(solid, identity))).reduce(unite, emptyBounds),
)
const longOf = (part: Part): number => {
  const { min, max } = boxOf(part)
  return Math.max(...[0, 1, 2].map((k) => (max[k] ?? 0) - (min[k] ?? 0)))
}

/**
 * What a part would lose of another's work; empty when it does the same for the job.
 * @param use what the rig uses of it, where that is known: then sockets that stay empty are not missed, nor points on
 *   which nothing sits; whether all that sits there can be put on is for the swap to show
 */
export const lossesOf = (from: Part, to: Part, use?: Use): readonly string[] => {
  const losses: string[] = []
  if (!(use?.gifts ?? from.provides).every((gift) => (to.provides as readonly string[]).includes(gift)))
    losses.push('what it gives')
  // What is plugged into nothing yet may be plugged into anything.
  if (!covers(connectorsOf(to), use && use.sockets.length > 0 ? use.sockets : connectorsOf(from)))
    losses.push('a socket')
  if ((to.channels ?? 1) < (from.channels ?? 1)) losses.push('a voice')
  if ((to.power?.store?.capacityWh ?? 0) < (from.power?.store?.capacityWh ?? 0) * NEARLY) losses.push('charge')
  if ((to.media?.stores?.gb ?? 0) < (from.media?.stores?.gb ?? 0) * NEARLY) losses.push('room to record')
  if ((to.media?.stores?.writeMBs ?? 0) < (from.media?.stores?.writeMBs ?? 0) * NEARLY) losses.push('writing speed')
  const [old, now] = [from.optics, to.optics]
  if (
    old?.kind === 'screen' &&
    (now?.kind !== 'screen' || now.nits < old.nits * NEARLY || now.wideMm < old.wideMm * NEARLY)
  )
    losses.push('screen')
  if (
    old?.kind === 'filter' &&
    (now?.kind !== 'filter' || now.effect !== old.effect || now.maxStops < old.maxStops || now.minStops > old.minStops)
  )
    losses.push('stops')
  if (
    old?.kind === 'lens' &&
    now?.kind === 'lens' &&
    (now.focalMinMm > old.focalMinMm || now.focalMaxMm < old.focalMaxMm || now.stop > old.stop)
  )
    losses.push('reach or light')
  if (old?.kind === 'lens' && now?.kind === 'lens' && now.imageCircleMm < old.imageCircleMm * NEARLY)
    losses.push('image circle')
  if (old?.kind === 'lens' && now?.kind === 'lens' && old.autofocus && !now.autofocus) losses.push('autofocus')
  if (longestOf(to) < longestOf(from) * NEARLY) losses.push('length')
  if (from.grips.length > 0 && longOf(to) < longOf(from) * WHOLE_HAND) losses.push('hold')
  if (!use && pointsOf(to) < pointsOf(from)) losses.push('mounting points')
  if (to.massG > from.massG * HEAVIER) losses.push('grams')
  return losses
}

const rolesKnown = perKey<Catalogue, readonly Part[]>('parts that sit alike')

/**
 * All parts of a piece's role that go where it sits and give what it gives; worked out once for a catalogue, since
 * every evaluation asks.
 */
const rolesHere = (
  catalogue: Catalogue,
  piece: PlacedPart,
  gifts: readonly string[] = piece.part.provides,
): readonly Part[] => {
  const mount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  if (!piece.host || !mount) return []
  const host = { part: piece.host.part, mount }
  return rolesKnown(catalogue, `${piece.part.id} ${piece.host.part.id} ${mount.id} ${gifts.join()}`, () =>
    (catalogue.byRole.get(piece.part.role) ?? []).filter(
      (part) =>
        part.id !== piece.part.id &&
        gifts.every((gift) => (part.provides as readonly string[]).includes(gift)) &&
        part.mounts.some((own) => mate(host, { part, mount: own }).ok),
    ),
  )
}

/** Parts that sit where a piece sits and are cheaper or lie in the locker; the readiest first. */
export const cheaperHere = (facts: Sees, piece: PlacedPart): readonly Part[] =>
  rolesHere(facts.context.catalogue, piece)
    .filter((part) => comparedMinor(part) < comparedMinor(piece.part) || (facts.context.owned.get(part.id) ?? 0) > 0)
    .sort(byReadiness(facts))

/** What is no larger than this in any direction has room where the old part had it. mm */
const LARGER_MM = 5

export const isNoLarger = (from: Part, to: Part): boolean => {
  const [old, now] = [boxOf(from), boxOf(to)]
  return [0, 1, 2].every(
    (k) => (now.min[k] ?? 0) >= (old.min[k] ?? 0) - LARGER_MM && (now.max[k] ?? 0) <= (old.max[k] ?? 0) + LARGER_MM,
  )
}

/** What sits on the new part must look the way it did: by less than 8 degrees. */
const SAME_WAY = 0.99

interface Sitting {
  readonly part: Part
  readonly mount: string
  readonly on: string
}
const takes = perPairKey<Row<Sitting>, Part, boolean>('takes what sits there')

const takesThese = (part: Part, old: Part, sitting: readonly Sitting[]): boolean => {
  const taken = new Set<string>()
  return sitting.every((one) => {
    const foot = mountOf(one.part, one.mount)
    const before = mountOf(old, one.on)
    const point =
      foot &&
      part.mounts.find(
        (mount) =>
          !taken.has(mount.id) &&
          (!before || dot(mount.out, before.out) > SAME_WAY) &&
          mate({ part, mount }, { part: one.part, mount: foot }).ok,
      )
    if (point) taken.add(point.id)
    return point !== undefined
  })
}

/**
 * What sits on a piece, in one set-up or, one list for each, in all of them. The same things are the same list: each list is
 * made once of a shorter one and what comes to it.
 */
type Row<T extends object> = readonly T[]
const nowhereSits: Row<Row<Sitting>> = []
const sittingOf = perPair('a part by its joint', ({ guestMount, hostMount }: Joint, part: Part): Sitting => {
  return { part, mount: guestMount, on: hostMount }
})
/** Rows begin with what is first in them, so that they are forgotten with it. */
const extended = <T extends object>(name: string): ((row: Row<T> | undefined, one: T) => Row<T>) => {
  const first = perThing(name, (one: T): Row<T> => [one])
  const further = perPair(`${name}, further`, (row: Row<T>, one: T): Row<T> => [...row, one])
  return (row, one) => (row ? further(row, one) : first(one))
}
const andThis = extended<Sitting>('what sits on a piece')
const andHere = extended<Row<Sitting>>('what sits on a piece in all set-ups')

/** The joints on each piece, of one set-up. */
const jointsOn = perThing('joints by host', (joints: Setup['joints']): ReadonlyMap<string, Setup['joints']> => {
  const by = new Map<string, Joint[]>()
  for (const joint of joints) {
    const row = by.get(joint.host)
    if (row) row.push(joint)
    else by.set(joint.host, [joint])
  }
  return by
})
const kitById = perThing('kit by id', (kit: Rig['kit']) => keyed(kit, ({ id }) => id))

/** What sits on a piece in each set-up that has something on it. */
const sittingAt = ({ assembly: { rig }, context: { catalogue } }: Sees, instance: string): Row<Row<Sitting>> => {
  const kit = kitById(rig.kit)
  let all: Row<Row<Sitting>> | undefined
  for (const { joints } of rig.setups) {
    let row: Row<Sitting> | undefined
    for (const joint of jointsOn(joints).get(instance) ?? []) {
      const part = catalogue.parts.get(kit.get(joint.guest)?.partId ?? '')
      if (part) row = andThis(row, sittingOf(joint, part))
    }
    if (row) all = andHere(all, row)
  }
  return all ?? nowhereSits
}

/**
 * Whether a part takes all that sits on a piece, in every set-up, each on a point of its own that faces the same way.
 * What sits there is looked up once for all parts that are tried.
 */
export const takesAll = (facts: Sees, piece: PlacedPart): ((part: Part) => boolean) => {
  const rows = takenFrom(facts, piece.instance.id, sittingAt)
  const old = String(numberOf(piece.part))
  return (part) => rows.every((row) => takes(row, part, old, () => takesThese(part, piece.part, row)))
}

const equals = perKey<Catalogue, readonly Part[]>('cheaper equals')

/**
 * The parts in the shops that are cheaper, do all that the rig uses of a piece and hold as well where it sits, the
 * cheapest first; the same for a catalogue and a use, so worked out once.
 */
export const cheaperEquals = (facts: Sees<'asked'>, piece: PlacedPart): readonly Part[] => {
  const { catalogue } = facts.context
  const use = useOf(facts, piece)
  const where = `${piece.host?.part.id ?? ''} ${piece.joint?.hostMount ?? ''} ${piece.joint?.guestMount ?? ''}`
  return equals(catalogue, `${piece.part.id} ${where} ${use.sockets.join()} ${use.gifts.join()}`, () =>
    rolesHere(catalogue, piece, use.gifts)
      .filter(
        (part) =>
          comparedMinor(part) < piece.part.price.usual &&
          lossesOf(piece.part, part, use).length === 0 &&
          isNoLarger(piece.part, part) &&
          holdsAsWell(piece, part),
      )
      .sort(cheapestFirst),
  )
}

/** Does a part hold at least as firmly as the piece it would replace? */
export const holdsAsWell = (piece: PlacedPart, part: Part): boolean => {
  const mount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  const before = piece.mate?.ok ? piece.mate.value : undefined
  if (!piece.host || !mount || !before) return false
  const host = { part: piece.host.part, mount }
  return part.mounts.some((own) => {
    const made = mate(host, { part, mount: own })
    return (
      made.ok &&
      (made.value.holdsTwist || !before.holdsTwist) &&
      made.value.limitG >= Math.min(before.limitG, part.massG * 2)
    )
  })
}
