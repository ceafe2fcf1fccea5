import type { PlacedPart } from '../assembly/index.ts'
import { type Catalogue, mate, mountOf, type Part, cheapestFirst } from '../catalogue/index.ts'
import { perKey } from '../kernel/index.ts'
import { comparedMinor } from '../money/index.ts'
import type { Sees } from '../facts/index.ts'
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

/** What a part would lose of another's work; empty when it does the same for the job. */
export const lossesOf = (from: Part, to: Part): readonly string[] => {
  const losses: string[] = []
  if (!from.provides.every((gift) => to.provides.includes(gift))) losses.push('what it gives')
  if (!covers(connectorsOf(to), connectorsOf(from))) losses.push('a socket')
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
  if (longestOf(to) < longestOf(from) * NEARLY) losses.push('length')
  if (pointsOf(to) < pointsOf(from)) losses.push('mounting points')
  if (to.massG > from.massG * HEAVIER) losses.push('grams')
  return losses
}

const rolesKnown = perKey<Catalogue, readonly Part[]>('parts that sit alike')

/**
 * All parts of a piece's role that go where it sits and give what it gives; worked out once for a catalogue, since
 * every evaluation asks.
 */
const rolesHere = (catalogue: Catalogue, piece: PlacedPart): readonly Part[] => {
  const mount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  if (!piece.host || !mount) return []
  const host = { part: piece.host.part, mount }
  return rolesKnown(catalogue, `${piece.part.id} ${piece.host.part.id} ${mount.id}`, () =>
    (catalogue.byRole.get(piece.part.role) ?? []).filter(
      (part) =>
        part.id !== piece.part.id &&
        piece.part.provides.every((gift) => part.provides.includes(gift)) &&
        part.mounts.some((own) => mate(host, { part, mount: own }).ok),
    ),
  )
}

/** Parts that sit where a piece sits and are cheaper or lie in the locker; the readiest first. */
export const cheaperHere = (facts: Sees, piece: PlacedPart): readonly Part[] =>
  rolesHere(facts.context.catalogue, piece)
    .filter((part) => comparedMinor(part) < comparedMinor(piece.part) || (facts.context.owned.get(part.id) ?? 0) > 0)
    .sort(byReadiness(facts))

const equals = perKey<Catalogue, Part | undefined>('cheapest equal')

/**
 * The cheapest part in the shops that does all a piece does and holds as well where it sits; the same for a catalogue,
 * so worked out once.
 */
export const cheapestEqual = ({ context: { catalogue } }: Sees, piece: PlacedPart): Part | undefined =>
  equals(
    catalogue,
    `${piece.part.id} ${piece.host?.part.id ?? ''} ${piece.joint?.hostMount ?? ''} ${piece.joint?.guestMount ?? ''}`,
    () =>
      rolesHere(catalogue, piece)
        .filter(
          (part) =>
            comparedMinor(part) < piece.part.price.usual &&
            lossesOf(piece.part, part).length === 0 &&
            holdsAsWell(piece, part),
        )
        .sort(cheapestFirst)[0],
  )

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
