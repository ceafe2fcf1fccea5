import {
  type Assembly,
  type Command,
  edit,
  guestsOf,
  type PlacedPart,
  piecesIn,
  placeSetup,
  type Point,
  type Rig,
  ridesOn,
  type Support,
  swapCommands,
} from '../assembly/index.ts'
import { inHand, type JointLoad } from '../balance/index.ts'
import { mate, mountOf, type Part } from '../catalogue/index.ts'
import { clashWith } from '../clearance/index.ts'
import { numberOf, perKey, perThing, flatMap } from '../kernel/index.ts'
import { type JointKey, jointName } from '../log/index.ts'
import { comparedMinor, lineOf } from '../money/index.ts'
import { goesBefore, sizeOn, stepChain, stepOf } from '../optics/index.ts'
import type { Aim } from './aim.ts'
import type { Level } from './check.ts'
import { isFirm, lotOf, lotOfParts, type Sees, takenFrom } from '../facts/index.ts'

/** Does the locker hold one more of this part than the rig already uses? */
export const spareOwned = (facts: Sees, part: Part): boolean => {
  const pieces = facts.context.owned.get(part.id) ?? 0
  return pieces > 0 && pieces > (plannedOf(facts.assembly.rig.kit).get(part.id) ?? 0)
}

/** How many of each part are in the plan. */
const plannedOf = perThing('parts in the plan', (kit: Rig['kit']): ReadonlyMap<string, number> => {
  const count = new Map<string, number>()
  for (const { partId, status } of kit) if (status === 'in') count.set(partId, (count.get(partId) ?? 0) + 1)
  return count
})

/** What a piece is to cost, in the plan's money. */
export const priceOf = ({ cost }: Sees<'cost'>, instance: string): number => lineOf(cost, instance)?.usual ?? 0

/** Owned first, then cheaper, then lighter, then by id: the order in which parts are proposed everywhere. */
export const byReadiness =
  (facts: Sees) =>
  (a: Part, b: Part): number =>
    Number(spareOwned(facts, b)) - Number(spareOwned(facts, a)) ||
    comparedMinor(a) - comparedMinor(b) ||
    a.massG - b.massG ||
    (a.id < b.id ? -1 : 1)

/** Has the camera the lens it wants? Without it its balance would be that of another rig, and nobody talks of it. */
export const hasItsLens = (facts: Sees): boolean => {
  const [camera, ...lenses] = bodyAndLenses(facts)
  return camera?.part.optics?.kind !== 'sensor' || lenses.length > 0
}
/** What all others hang on, and the lenses behind it. */
const bodyAndLenses = lotOf(({ host, part }) => host === undefined || part.optics?.kind === 'lens')

/** Is this a drive that is recorded on? */
export const isDrive = (part: Part): boolean => part.media?.stores?.kind === 'drive'
/** The drives that sit on the rig. */
export const drives = lotOfParts(isDrive)

/** Is this set-up borne by the operator, not by a stand? */
export const isCarried = (support: Support): boolean => support !== 'tripod' && support !== 'gimbal'
export const carried = ({ assembly }: Sees): boolean => isCarried(assembly.setup.support)

/** Does this set-up hang from one hand? With two hands, on the chest or the shoulder the grips share it otherwise. */
export const hangs = ({ assembly }: Sees): boolean => assembly.setup.support === 'hand-low'

/** Does nothing sit on this piece? */
export const isLeaf = (facts: Sees, piece: PlacedPart): boolean => !guestsOf(facts.assembly.placed).has(piece)

export const pointName = (point: Pick<Point, 'piece' | 'mount'>): string =>
  point.mount.label ?? `${point.piece.part.name}, ${point.mount.id}`

/** A rig after a swap, where the new part can really be put in: in every set-up it mates, clashes no more, loses nobody. */
export const afterSwap = (
  facts: Sees,
  piece: PlacedPart,
  to: Part,
): { readonly rig: Rig; readonly commands: readonly Command[] } | undefined => {
  const { rig } = facts.assembly
  const { catalogue } = facts.context
  const commands = swapCommands(rig, piece.instance.id, to, catalogue)
  const edited = edit(rig, commands, catalogue)
  if (!edited.ok) return undefined
  const fits = rig.setups.every((setup) => {
    const now = edited.value.setups.find(({ id }) => id === setup.id)
    if (!now || now.joints.length < setup.joints.length || now.links.length < setup.links.length) return false
    if (setup.id !== facts.assembly.setup.id && !setup.joints.some(({ guest }) => guest === piece.instance.id))
      return true
    const before = setup.id === facts.assembly.setup.id ? facts.assembly : placeSetup(rig, setup, catalogue)
    const after = placeSetup(edited.value, now, catalogue)
    const [old, swapped] = [before.byInstance.get(piece.instance.id), after.byInstance.get(piece.instance.id)]
    if (!old || !swapped) return !old
    const matesAs = (guest: PlacedPart) =>
      guest.mate?.ok !== false || before.byInstance.get(guest.instance.id)?.mate?.ok === false
    return after.placed.every(matesAs) && clashWith(swapped, after.placed) <= clashWith(old, before.placed)
  })
  return fits ? { rig: edited.value, commands } : undefined
}

/** Pieces of the kit, on the rig or in the bag, that a predicate picks. */
export const kitThat = (
  { assembly }: Sees,
  wanted: (part: Part) => boolean,
): readonly { readonly id: string; readonly part: Part }[] =>
  piecesIn(assembly)
    .filter(({ part }) => wanted(part))
    .map(({ instance, part }) => ({ id: instance.id, part }))

/** The rings of the catalogue that lead from one thread to another, owned ones first. */
export const ringsBetween = (facts: Sees, fromMm: number, toMm: number): readonly Part[] | undefined => {
  const rings = facts.context.catalogue.byRole.get('step-ring') ?? []
  const chain = stepChain(
    fromMm,
    toMm,
    flatMap(rings, (part) => stepOf(part, spareOwned(facts, part)) ?? []),
  )
  return chain && flatMap(chain.ids, (id) => facts.context.catalogue.parts.get(id) ?? [])
}

const ways = perKey<Part, readonly Part[] | undefined>('filters before lenses')
/** What of the kit is along. */
const along = perThing('parts along', (kit: Rig['kit']): string =>
  kit.map(({ partId, status }) => `${partId} ${status}`).join(),
)

/** The parts that bring one filter before the mounted lens: itself, and the rings it takes. */
export const withRings = (facts: Sees, lens: Part, filter: Part): readonly Part[] | undefined => {
  const { kit } = facts.assembly.rig
  return ways(
    filter,
    `${numberOf(lens)} ${numberOf(facts.context.catalogue)} ${along(kit)} ${numberOf(facts.context.owned)}`,
    () => {
      const kept = kitThat(facts, () => true).map(({ part }) => part)
      if (goesBefore(filter, lens, kept)) return [filter]
      const [lensMm, filterMm] = [sizeOn(lens, 'filter'), sizeOn(filter, 'filter', 'sits')]
      const rings = lensMm !== undefined && filterMm !== undefined ? ringsBetween(facts, lensMm, filterMm) : undefined
      return rings && [...rings, filter]
    },
  )
}

/** Pieces that meet no need by themselves and carry nothing: what can be left out, the first by the given order. */
export const dispensable = (facts: Sees<'needs'>): readonly PlacedPart[] => {
  const { placed } = facts.assembly
  const wanted = new Set(facts.needs.map((need) => need.capability))
  const hosts = new Set(placed.map((piece) => piece.host))
  return placed.filter((piece) => {
    if (hosts.has(piece) || !piece.host || !inHand(piece) || piece.part.role === 'lens') return false
    return piece.part.provides.every(
      (gift) => !wanted.has(gift) || placed.some((other) => other !== piece && other.part.provides.includes(gift)),
    )
  })
}

/** The heaviest first. */
export const heaviestFirst = (pieces: readonly PlacedPart[]): readonly PlacedPart[] =>
  [...pieces].sort((a, b) => b.part.massG - a.part.massG)

/** Maps a list only as far as it is read, since working out a proposal is dear. */
export const eachOf = function* <T, U>(list: Iterable<T>, propose: (item: T) => U): Generator<U> {
  for (const item of list) yield propose(item)
}

/** Does a second hold, at a brace that fits, keep a piece or something it carries from moving? */
export const isBraced = (assembly: Assembly, piece: PlacedPart): boolean =>
  assembly.braces.some((brace) => isFirm(brace) && ridesOn(brace.guest, piece) !== ridesOn(brace.host, piece))

const nothing: JointLoad = { far: 'guest', massG: 0, first: [0, 0, 0], momentNm: 0, twistNm: 0, holds: 1 }

const loadAt = ({ loads }: Sees<'loads'>, instance: string): JointLoad => loads.get(instance) ?? nothing

/** What the joint of a piece has to carry: nothing for a piece that sits on nothing. */
export const loadOn = (facts: Sees<'loads'>, { instance }: PlacedPart): JointLoad =>
  takenFrom(facts, instance.id, loadAt)

/** Over a maker's rating it is a stop, over the usual figure of the standard a risk. */
export const overLimit = ({ mate: made }: PlacedPart): { readonly message: 'over' | 'usual'; readonly level: Level } =>
  made?.ok && made.value.limitBy === 'maker' ? { message: 'over', level: 'stop' } : { message: 'usual', level: 'risk' }

/** How a finding says it: what hangs from the joint, or stands on it. */
export const loadWords = (
  piece: PlacedPart,
  { far }: JointLoad,
  support: Support,
): { readonly way: string; readonly what: string } => ({
  way: isCarried(support) ? 'hang' : 'stand',
  what: far === 'guest' ? piece.part.name : 'The rest of the rig',
})

/** Is the rig used on the move? */
export const onTheRun = ({ assembly }: Sees): boolean =>
  assembly.setup.support !== 'tripod' &&
  (assembly.rig.brief.kind === 'run-and-gun' || assembly.rig.brief.conditions.includes('running'))

/** Parts that could take a piece's place, the readiest first. */
export const rivals = (facts: Sees, piece: PlacedPart, wanted: (part: Part) => boolean): readonly Part[] =>
  [...(facts.context.catalogue.byRole.get(piece.part.role) ?? [])]
    .filter((part) => part.id !== piece.part.id && wanted(part))
    .sort(byReadiness(facts))

/** To where it can not turn: another point that holds a twist, or another part for the same point. */
export const firmerSeats = (piece: PlacedPart): readonly Aim[] => {
  const { host, joint, part } = piece
  const hostMount = host && joint && mountOf(host.part, joint.hostMount)
  if (!host || !hostMount) return []
  const firm = (point: { part: Part; mount: typeof hostMount }, other: Part) =>
    other.mounts.some((mount) => {
      const made = mate(point, { part: other, mount })
      return made.ok && made.value.holdsTwist
    })
  return [
    { do: 'move', piece, to: (point) => firm({ part: point.piece.part, mount: point.mount }, part) },
    {
      do: 'swap',
      piece,
      most: 2,
      tried: Infinity,
      for: (other) =>
        firm({ part: host.part, mount: hostMount }, other) &&
        part.provides.every((gift) => other.provides.includes(gift)),
    },
  ]
}

/** A joint of this rig as the field's log names it, whichever pieces are of these parts. */
export const jointKeyOf = ({ host, joint, part }: PlacedPart): JointKey | undefined =>
  host && joint && { guest: part.id, guestMount: joint.guestMount, host: host.part.id, hostMount: joint.hostMount }
export const joinedAs = perThing('joint by its parts', (piece: PlacedPart): string => {
  const key = jointKeyOf(piece)
  return key ? jointName(key) : ''
})
